import { useTranslation } from 'react-i18next';
import type { Problem, TableProblem } from '../../../core/formats';
import { WarningOutlined } from '../../shared/icons';
import '../../shared/FindingsList.css';

/** What is wrong with the draft, each at its place. */
export function ModelProblems({ problems }: { problems: readonly Problem[] }) {
  const { t } = useTranslation();
  return (
    <div className="findings" role="status">
      <WarningOutlined />
      <ul>
        {problems.map((p) => (
          <li key={`${p.path} ${p.code}`}>
            {placeOf(t, p.path)}: {t(`problems.${p.code}`, { ...p.values, defaultValue: p.code })}
          </li>
        ))}
      </ul>
    </div>
  );
}

type Translate = ReturnType<typeof useTranslation>['t'];

/** `model.rows[3].speedRatio` → "Row 4, speed ratio". */
function placeOf(t: Translate, path: string): string {
  const field = /(\w+)$/.exec(path)?.[1] ?? '';
  const name = t(`modelFields.${field}`, { defaultValue: path });
  const row = /rows\[(\d+)\]/.exec(path)?.[1];
  const part = /partLoad\[(\d+)\]/.exec(path)?.[1];
  const wheel = /model\.(pump|turbine|stator)\./.exec(path)?.[1];
  const where = [
    part === undefined ? '' : t('modelFields.curve', { n: Number(part) + 1 }),
    row === undefined ? '' : t('modelFields.row', { n: Number(row) + 1 }),
    wheel ? t(`converter.wheels.${wheel}`) : '',
    name,
  ];
  return where.filter((w) => w !== '').join(', ');
}

/** What was wrong with a file of numbers; nothing was taken over from it. */
export function TableProblems({ problems }: { problems: readonly TableProblem[] }) {
  const { t } = useTranslation();
  if (problems.length === 0) return null;
  return (
    <div className="findings" role="alert">
      <WarningOutlined />
      <div>
        <strong>{t('rows.notTaken')}</strong>
        <ul>
          {problems.slice(0, SHOWN).map((p, k) => (
            <li key={k}>
              {t(`csv.${p.code}`, {
                row: p.row,
                column: t(`modelFields.${p.column}`, { defaultValue: p.column }),
                value: p.value,
              })}
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}

const SHOWN = 8;
