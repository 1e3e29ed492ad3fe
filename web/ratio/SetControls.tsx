import { ValueSlider } from '../shared/ValueSlider';
import { LinkOutlined } from '../shared/icons';
import { Button, Segmented } from 'antd';
import { useId } from 'react';
import { useTranslation } from 'react-i18next';
import {
  DEFAULT_PINIONS,
  FEWEST_TEETH,
  MOST_TEETH,
  type GearSetSetup,
  type PlanetarySet,
} from '../../core/geartrain';
import { defaultSet } from '../../core/lesson';
import { useNumbers } from '../shared/numbers';
import { TypedNumber } from '../shared/TypedNumber';
import './SetControls.css';

interface Props {
  setup: GearSetSetup;
  onSetup: (setup: GearSetSetup) => void;
  /** Which groups are shown. */
  teeth: boolean;
  speed: boolean;
  /** The ring is kept at sun + 2 · pinion. */
  ringFollows: boolean;
  onRingFollows: (follows: boolean) => void;
}

/** Tooth counts, kind of set, input speed and torque; each drag changes everything in the same frame. */
export function SetControls(props: Props) {
  const { setup, onSetup, teeth, speed, ringFollows, onRingFollows } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { set } = setup;
  const change = (next: PlanetarySet) => onSetup({ ...setup, set: next });
  const torque = numbers.toDisplay(setup.inputTorqueNm, 'torque');
  return (
    <div className="set-controls">
      {teeth && (
        <>
          <Segmented
            block
            size="small"
            className="set-kind"
            aria-label={t('bench.kind')}
            value={set.kind}
            onChange={(kind) => change(defaultSet(kind))}
            options={(['single-pinion', 'double-pinion'] as const).map((kind) => ({
              value: kind,
              label: t(`kinds.${kind}`),
            }))}
          />
          {teethRows(set, ringFollows).map(({ key, value, most, onValue }) => (
            <NumberRow
              key={key}
              label={t(`teeth.${key}`)}
              value={value}
              min={FEWEST_TEETH}
              max={most}
              most={MOST_TEETH}
              onValue={(v) => change(onValue(v))}
              after={
                key === 'ring' && set.kind === 'single-pinion' ? (
                  <Button
                    size="small"
                    type={ringFollows ? 'primary' : 'default'}
                    icon={<LinkOutlined />}
                    aria-pressed={ringFollows}
                    aria-label={t('bench.ringFollows')}
                    title={t('bench.ringFollows')}
                    onClick={() => onRingFollows(!ringFollows)}
                  />
                ) : null
              }
            />
          ))}
          <NumberRow
            label={t(set.kind === 'single-pinion' ? 'teeth.pinions' : 'teeth.pairs')}
            value={set.pinions ?? DEFAULT_PINIONS}
            min={1}
            max={8}
            onValue={(pinions) => change({ ...set, pinions })}
          />
        </>
      )}
      {speed && (
        <>
          <NumberRow
            label={numbers.headed(t('bench.inputSpeed'), 'speed')}
            value={setup.inputSpeedRpm}
            min={0}
            max={4000}
            step={50}
            onValue={(inputSpeedRpm) => onSetup({ ...setup, inputSpeedRpm })}
          />
          <NumberRow
            label={numbers.headed(t('bench.inputTorque'), 'torque')}
            value={Math.round(torque * 10) / 10}
            min={0}
            max={Math.round(numbers.toDisplay(1000, 'torque'))}
            step={5}
            onValue={(v) => onSetup({ ...setup, inputTorqueNm: numbers.fromDisplay(v, 'torque') })}
          />
        </>
      )}
    </div>
  );
}

interface TeethRow {
  key: 'sun' | 'pinion' | 'inner' | 'outer' | 'ring';
  value: number;
  most: number;
  onValue: (value: number) => PlanetarySet;
}

/** The rows of a kind, and what changing each does to the set. */
function teethRows(set: PlanetarySet, ringFollows: boolean): TeethRow[] {
  if (set.kind === 'double-pinion') {
    const row = (key: 'sun' | 'inner' | 'outer' | 'ring', most: number): TeethRow => ({
      key,
      value: set.teeth[key] ?? FEWEST_TEETH,
      most,
      onValue: (v) => ({ ...set, teeth: { ...set.teeth, [key]: v } }),
    });
    return [row('sun', 60), row('inner', 40), row('outer', 40), row('ring', 140)];
  }
  const { sun, ring } = set.teeth;
  const pinion = set.teeth.pinion ?? Math.max(FEWEST_TEETH, Math.round((ring - sun) / 2));
  const build = (s: number, p: number, r: number): PlanetarySet => ({
    ...set,
    teeth: { sun: s, pinion: p, ring: ringFollows ? s + 2 * p : r },
  });
  // Dragging the ring while it follows moves the pinions with it.
  const pinionFor = (r: number) => Math.max(FEWEST_TEETH, Math.round((r - sun) / 2));
  return [
    { key: 'sun', value: sun, most: 60, onValue: (v) => build(v, pinion, ring) },
    { key: 'pinion', value: pinion, most: 50, onValue: (v) => build(sun, v, ring) },
    {
      key: 'ring',
      value: ring,
      most: 160,
      onValue: (v) => (ringFollows ? build(sun, pinionFor(v), v) : build(sun, pinion, v)),
    },
  ];
}

interface RowProps {
  label: string;
  value: number;
  min: number;
  max: number;
  /** That may be typed, where it is more than the slider's end. */
  most?: number;
  step?: number;
  onValue: (value: number) => void;
  after?: React.ReactNode;
}

function NumberRow({ label, value, min, max, most, step = 1, onValue, after }: RowProps) {
  const id = useId();
  return (
    <div className="number-cell">
      <label htmlFor={id}>{label}</label>
      <div className="number-line">
        <TypedNumber
          id={id}
          label={label}
          size="small"
          min={min}
          max={Math.max(most ?? max, value)}
          step={step}
          value={value}
          onValue={(v) => v !== null && onValue(v)}
        />
        {after}
      </div>
      <ValueSlider min={min} max={max} step={step} value={value} onValue={onValue} label={label} />
    </div>
  );
}
