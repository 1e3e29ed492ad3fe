import { Checkbox, Segmented } from 'antd';
import { useTranslation } from 'react-i18next';
import {
  kOfCoefficient,
  streamlineCharacteristic,
  usualBlades,
  type Converter,
  type ConverterRow,
  type StreamlineModel,
  type TableModel,
} from '../../../core/converter';
import { converterCsv, readConverterRows, type Problem } from '../../../core/formats';
import { CsvButtons } from './CsvButtons';
import { FitBlades } from './FitBlades';
import { NumberField } from '../../shared/NumberField';
import { useNumbers } from '../../shared/numbers';
import { RowsTable } from './RowsTable';

interface Props {
  converter: Converter;
  problems: readonly Problem[];
  onConverter: (converter: Converter, field?: string) => void;
}

/** A converter's data: a measured table, or the blades; and what lock-up holds. */
export function ConverterFields({ converter, problems, onConverter }: Props) {
  const { t } = useTranslation();
  const { model } = converter;
  const faulty = (path: string) => problems.some((p) => p.path === path);
  const setModel = (next: Converter['model'], field?: string) =>
    onConverter({ ...converter, model: next }, field);
  return (
    <>
      <Segmented
        block
        aria-label={t('partEditor.statedBy')}
        value={model.kind}
        onChange={(kind) => {
          if (kind !== model.kind)
            setModel(model.kind === 'table' ? usualBlades(PUMP_M) : tableOf(model));
        }}
        options={(['streamline', 'table'] as const).map((kind) => ({
          value: kind,
          label: t(`modelFacts.${kind}`),
        }))}
      />
      {model.kind === 'table' ? (
        <>
          <CsvButtons
            name={converter.name}
            write={() => converterCsv(model)}
            read={readConverterRows}
            onRead={({ rows }) => setModel({ kind: 'table', rows: [...rows] })}
          />
          <FitBlades table={model} onModel={setModel} disabled={problems.length > 0} />
          <RowsTable
            label={t('partEditor.table')}
            path="model.rows"
            rows={model.rows}
            problems={problems}
            columns={[
              { field: 'speedRatio', title: t('modelFields.speedRatio'), step: 0.05 },
              { field: 'torqueRatio', title: t('modelFields.torqueRatio'), step: 0.05 },
              { field: 'capacity', title: 'K', quantity: 'capacity', step: 5 },
            ]}
            onRows={(rows: ConverterRow[], field) => setModel({ kind: 'table', rows }, field)}
            next={(last) => ({ ...last, speedRatio: Math.min(1, last.speedRatio + 0.05) })}
          />
        </>
      ) : (
        <BladeFields model={model} faulty={faulty} onModel={setModel} />
      )}
      <div className="number-fields">
        <OptionalNumber
          label={t('modelFields.lockUpCapacity')}
          value={converter.lockUpCapacity}
          start={250}
          faulty={faulty('lockUpCapacity')}
          quantity="torque"
          onValue={(value, field) =>
            onConverter(withOptional(converter, 'lockUpCapacity', value), field)
          }
        />
        <OptionalNumber
          label={t('modelFields.diameter')}
          value={converter.diameter}
          start={0.28}
          faulty={faulty('diameter')}
          quantity="length"
          scale={1000}
          onValue={(value, field) => onConverter(withOptional(converter, 'diameter', value), field)}
        />
      </div>
    </>
  );
}

/** m, where nothing else says how large the pump is. */
const PUMP_M = 0.11;

/** The blades' own curve as rows of a table. */
function tableOf(model: StreamlineModel): TableModel {
  const { at } = streamlineCharacteristic(model);
  const rows = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.85, 0.9, 0.95].flatMap(
    (speedRatio) => {
      const { torqueRatio, coefficient } = at(speedRatio);
      const capacity = Number(kOfCoefficient(coefficient).toPrecision(4));
      return Number.isFinite(capacity)
        ? [{ speedRatio, torqueRatio: Number(torqueRatio.toFixed(3)), capacity }]
        : [];
    },
  );
  return { kind: 'table', rows };
}

function withOptional<K extends 'lockUpCapacity' | 'diameter'>(
  converter: Converter,
  field: K,
  value: number | undefined,
): Converter {
  const next = { ...converter };
  if (value === undefined) delete next[field];
  else next[field] = value;
  return next;
}

interface OptionalProps {
  label: string;
  value: number | undefined;
  start: number;
  faulty: boolean;
  quantity: 'torque' | 'length';
  /** Stored number × scale = the quantity's unit. */
  scale?: number;
  onValue: (value: number | undefined, field?: string) => void;
}

function OptionalNumber({
  label,
  value,
  start,
  faulty,
  quantity,
  scale = 1,
  onValue,
}: OptionalProps) {
  return (
    <div>
      <Checkbox
        checked={value !== undefined}
        onChange={(e) => onValue(e.target.checked ? start : undefined)}
      >
        {label}
      </Checkbox>
      {value !== undefined && (
        <NumberField
          label={label}
          value={value * scale}
          quantity={quantity}
          step={10}
          faulty={faulty}
          onValue={(v) => onValue(Number((v / scale).toPrecision(9)), label)}
        />
      )}
    </div>
  );
}

const WHEELS = ['pump', 'turbine', 'stator'] as const;
const BLADE_FIELDS = ['exitRadius', 'exitAngle', 'inletAngle'] as const;
const FLOW_FIELDS = [
  { field: 'area', unit: 'cm²', scale: 1e4, step: 1 },
  { field: 'density', unit: 'kg/m³', scale: 1, step: 5 },
  { field: 'shock', unit: '', scale: 1, step: 0.05 },
  { field: 'friction', unit: '', scale: 1, step: 0.05 },
] as const;

interface BladeProps {
  model: StreamlineModel;
  faulty: (path: string) => boolean;
  onModel: (model: StreamlineModel, field?: string) => void;
}

function BladeFields({ model, faulty, onModel }: BladeProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  return (
    <>
      <div className="wheel-fields">
        <span />
        {BLADE_FIELDS.map((field) => (
          <span key={field} className="label">
            {t(`modelFields.${field}`)} {field === 'exitRadius' ? numbers.unit('length') : '°'}
          </span>
        ))}
        {WHEELS.map((wheel) => [
          <strong key={wheel}>{t(`converter.wheels.${wheel}`)}</strong>,
          ...BLADE_FIELDS.map((field) => {
            return (
              <NumberField
                key={`${wheel} ${field}`}
                bare
                label={`${t(`converter.wheels.${wheel}`)}, ${t(`modelFields.${field}`)}`}
                {...(field === 'exitRadius' ? { per: 1000, quantity: 'length' } : {})}
                value={model[wheel][field]}
                faulty={faulty(`model.${wheel}.${field}`)}
                onValue={(v) =>
                  onModel(
                    { ...model, [wheel]: { ...model[wheel], [field]: v } },
                    `${wheel} ${field}`,
                  )
                }
              />
            );
          }),
        ])}
      </div>
      <div className="number-fields">
        {FLOW_FIELDS.map(({ field, unit, scale, step }) => (
          <NumberField
            key={field}
            label={t(`modelFields.${field}`)}
            unit={unit}
            step={step}
            value={model[field] * scale}
            faulty={faulty(`model.${field}`)}
            onValue={(v) => onModel({ ...model, [field]: v / scale }, field)}
          />
        ))}
      </div>
    </>
  );
}
