import { Button } from 'antd';
import { useTranslation } from 'react-i18next';
import { USUAL_INERTIA, type Engine, type EngineRow, type PartLoad } from '../../../core/converter';
import { engineCsv, readEngineRows, type Problem } from '../../../core/formats';
import { DeleteOutlined, PlusOutlined } from '../../shared/icons';
import { CsvButtons } from './CsvButtons';
import { NumberField } from '../../shared/NumberField';
import { RowsTable, type Column } from './RowsTable';

interface Props {
  engine: Engine;
  problems: readonly Problem[];
  onEngine: (engine: Engine, field?: string) => void;
}

const NUMBERS = [
  { field: 'idleRpm', unit: 'rev/min', scale: 1, step: 10 },
  { field: 'governedRpm', unit: 'rev/min', scale: 1, step: 50 },
  { field: 'drag', unit: '%', scale: 100, step: 1 },
] as const;

/** An engine's data: idle, governor, and torque against speed at full throttle and, if measured, below. */
export function EngineFields({ engine, problems, onEngine }: Props) {
  const { t } = useTranslation();
  const parts = engine.partLoad ?? [];
  const setParts = (partLoad: PartLoad[], field?: string) => {
    const next = { ...engine };
    if (partLoad.length > 0) next.partLoad = partLoad;
    else delete next.partLoad;
    onEngine(next, field);
  };
  const columns: Column[] = [
    { field: 'speedRpm', title: t('modelFields.speedRpm'), quantity: 'speed', step: 50 },
    { field: 'torqueNm', title: t('modelFields.torqueNm'), quantity: 'torque', step: 5 },
  ];
  const next = (last: EngineRow) => ({ ...last, speedRpm: last.speedRpm + 250 });
  return (
    <>
      <div className="number-fields">
        {NUMBERS.map(({ field, unit, scale, step }) => (
          <NumberField
            key={field}
            label={t(`modelFields.${field}`)}
            unit={unit}
            step={step}
            value={engine[field] * scale}
            faulty={problems.some((p) => p.path === field)}
            onValue={(v) => onEngine({ ...engine, [field]: v / scale }, field)}
          />
        ))}
        <NumberField
          label={t('modelFields.inertia')}
          unit="kg·m²"
          step={0.01}
          value={engine.inertia ?? USUAL_INERTIA}
          faulty={problems.some((p) => p.path === 'inertia')}
          onValue={(inertia) => onEngine({ ...engine, inertia }, 'inertia')}
        />
      </div>
      <CsvButtons
        name={engine.name}
        write={() => engineCsv(engine)}
        read={readEngineRows}
        onRead={({ rows, partLoad }) => {
          const bare = { ...engine, rows: [...rows] };
          delete bare.partLoad;
          onEngine(partLoad.length > 0 ? { ...bare, partLoad: [...partLoad] } : bare);
        }}
      />
      <strong>{t('partEditor.fullThrottle')}</strong>
      <RowsTable
        label={t('partEditor.fullThrottle')}
        path="rows"
        rows={engine.rows}
        problems={problems}
        columns={columns}
        onRows={(rows: EngineRow[], field) => onEngine({ ...engine, rows }, field)}
        next={next}
      />
      {parts.map((part, k) => {
        const set = (change: Partial<PartLoad>, field?: string) =>
          setParts(
            parts.map((p, j) => (j === k ? { ...p, ...change } : p)),
            field && `part ${k} ${field}`,
          );
        return (
          <section key={k} className="part-card" aria-label={t('modelFields.curve', { n: k + 1 })}>
            <header className="row">
              <NumberField
                label={t('modelFields.throttle')}
                unit="%"
                per={100}
                value={part.throttle}
                faulty={problems.some((p) => p.path === `partLoad[${k}].throttle`)}
                onValue={(throttle) => set({ throttle }, 'throttle')}
              />
              <Button
                size="small"
                type="text"
                icon={<DeleteOutlined />}
                aria-label={t('partEditor.removeCurve', { n: k + 1 })}
                onClick={() => setParts(parts.filter((_p, j) => j !== k))}
              />
            </header>
            <RowsTable
              label={t('modelFields.curve', { n: k + 1 })}
              path={`partLoad[${k}].rows`}
              rows={part.rows}
              problems={problems}
              columns={columns}
              onRows={(rows: EngineRow[], field) => set({ rows }, field)}
              next={next}
            />
          </section>
        );
      })}
      <Button icon={<PlusOutlined />} onClick={() => setParts([...parts, nextPart(engine)])}>
        {t('partEditor.addCurve')}
      </Button>
    </>
  );
}

/** A curve between the last opening and full throttle, in proportion. */
function nextPart({ rows, partLoad = [] }: Engine): PartLoad {
  const throttle = ((partLoad.at(-1)?.throttle ?? 0) + 1) / 2;
  const scaled = rows.map((r) => ({ ...r, torqueNm: Number((r.torqueNm * throttle).toFixed(1)) }));
  return { throttle, rows: scaled };
}
