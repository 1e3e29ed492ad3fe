import { useTranslation } from 'react-i18next';
import type { Problem } from '../../../../core/formats';
import type { Unit, UnitFinding, Outcome } from '../../../../core/geartrain';
import { formatNumber } from '../../../shared/numbers';
import { WarningOutlined } from '../../../shared/icons';
import { NothingWrong } from '../../../bench/NothingWrong';
import '../../../shared/FindingsList.css';

interface Props {
  unit: Unit;
  findings: readonly UnitFinding[];
  /** What keeps the draft from being saved. */
  problems: readonly Problem[];
}

/** What is wrong or odd, and where; or that nothing is. */
export function FindingsList({ unit, findings, problems }: Props) {
  const { t } = useTranslation();
  if (findings.length === 0 && problems.length === 0) return <NothingWrong />;
  return (
    <div className="findings" role="status">
      <WarningOutlined />
      <div>
        <strong>{t('unitFindings.title', { count: findings.length + problems.length })}</strong>
        <ul>
          {problems.map((p) => (
            <li key={`${p.path} ${p.code}`}>
              {placeText(t, unit, p.path)}:{' '}
              {t(`problems.${p.code}`, { ...p.values, defaultValue: p.code })}
            </li>
          ))}
          {findings.map((f, k) => (
            <li key={k} data-weight={f.weight}>
              {placeText(t, unit, f.path)}: {findingText(t, f)}
            </li>
          ))}
        </ul>
      </div>
    </div>
  );
}

type Translate = ReturnType<typeof useTranslation>['t'];

/** Where in the unit, as a person names it. */
function placeText(t: Translate, unit: Unit, path: string): string {
  const [, list = '', index] = /^(\w+)(?:\[(\d+)\])?/.exec(path) ?? [];
  const k = Number(index);
  switch (list) {
    case 'members':
      return unit.members[k]?.name ?? path;
    case 'gearsets':
      return unit.gearsets[k]?.id ?? t('unitEditor.tabs.sets');
    case 'elements':
      return unit.elements[k]?.id ?? t('unitEditor.tabs.elements');
    case 'sleeves':
      return unit.sleeves?.[k]?.id ?? t('unitEditor.sleeves');
    case 'ranges': {
      const range = unit.ranges[k];
      return range ? t('unitFindings.range', { lever: range.lever, gear: range.gear }) : path;
    }
    default:
      return path || t('problems.top');
  }
}

function findingText(t: Translate, { code, values }: UnitFinding): string {
  const shown = Object.fromEntries(
    Object.entries(values).map(([k, v]) => [
      k,
      typeof v === 'number' ? formatNumber(v, Number.isInteger(v) ? 0 : 1) : v,
    ]),
  );
  if (code === 'teeth') return t(`findings.${values['condition']}`, shown);
  const outcome = values['outcome'];
  return t(`unitFindings.${code}`, {
    ...shown,
    outcome: outcome === undefined ? '' : t(`outcomes.${outcome as Outcome}`),
  });
}
