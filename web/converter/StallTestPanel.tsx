import { Button, Checkbox, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useTranslation } from 'react-i18next';
import type { Converter, Engine } from '../../core/converter';
import {
  dipstick,
  fluidLook,
  LONGEST_STALL_S,
  stallBand,
  stallConditions,
  stallSuspects,
  stallTest,
  stallVerdict,
  USUAL_FLUID,
  type StallCondition,
  type StallRig,
  type Vehicle,
} from '../../core/vehicle';
import { formatNumber, useNumbers } from '../shared/numbers';
import { FluidEvidence } from './FluidEvidence';
import { RevCounter } from './RevCounter';
import { useStallRun } from './useStallRun';
import './StallTestPanel.css';

interface Props {
  converter: Converter;
  engine: Engine;
  vehicle: Vehicle | null;
}

/** What stands on the stand: one of the model's conditions, or a sound one with water in its fluid. */
type OnStand = StallCondition | 'water';
const CHECKS = ['chocks', 'brakes', 'clear', 'level'] as const;
const WEAK_SHARE = 0.65;
const CLUTCH_SHARE = 0.5;
/** °C past which the test waits for the fluid to cool. */
const TOO_HOT_C = 110;

/** The stall test as a procedure: checks first, five seconds at most, then the reading and what it says. */
export function StallTestPanel({ converter, engine, vehicle }: Props) {
  const { t } = useTranslation();
  const conditions: OnStand[] = [...stallConditions(converter), 'water'];
  const [stand, setStand] = useState<{ on: OnStand; hidden: boolean }>({
    on: 'sound',
    hidden: false,
  });
  const on = conditions.includes(stand.on) ? stand.on : 'sound';
  const condition: StallCondition = on === 'water' ? 'sound' : on;
  const [checked, setChecked] = useState<readonly string[]>([]);
  const fluid = vehicle?.fluid ?? USUAL_FLUID;
  const [fluidC, setFluidC] = useState(fluid.coolantC);
  const rig = useMemo<StallRig>(
    () => ({
      engine,
      converter,
      fluid: { ...fluid, coolantC: fluidC },
      weakShare: WEAK_SHARE,
      clutchShare: CLUTCH_SHARE,
    }),
    [engine, converter, fluid, fluidC],
  );
  const samples = useMemo(() => stallTest(rig, condition), [rig, condition]);
  const band = useMemo(() => stallBand(rig), [rig]);
  const run = useStallRun(samples, (last) => setFluidC(last.fluidC));
  const ready = checked.length === CHECKS.length && fluidC < TOO_HOT_C;
  const choose = (next: OnStand, hidden: boolean) => {
    setStand({ on: next, hidden });
    run.clear();
    setFluidC(fluid.coolantC);
  };
  return (
    <div className="bench-test">
      <section aria-label={t('stall.before')}>
        <Select<OnStand | 'unknown'>
          aria-label={t('stall.onStand')}
          style={{ width: '100%' }}
          value={stand.hidden ? 'unknown' : on}
          onChange={(next) =>
            next === 'unknown' ? choose(drawn(conditions), true) : choose(next, false)
          }
          options={[
            ...conditions.map((c) => ({ value: c, label: t(`stall.conditions.${c}`) })),
            { value: 'unknown' as const, label: t('stall.unknown') },
          ]}
        />
        <Checkbox.Group
          className="bench-checks"
          value={[...checked]}
          onChange={(list) => setChecked(list)}
          options={CHECKS.map((c) => ({ value: c, label: t(`stall.checks.${c}`) }))}
        />
        {fluidC >= TOO_HOT_C && <p role="alert">{t('stall.tooHot')}</p>}
        <Button
          className="stall-cool"
          disabled={fluidC <= fluid.coolantC || run.running}
          onClick={() => setFluidC(fluid.coolantC)}
        >
          {t('stall.cool')}
        </Button>
        <FluidEvidence
          level={dipstick(condition)}
          look={fluidLook(condition, on === 'water', fluidC)}
          celsius={fluidC}
        />
      </section>
      <StallRun
        run={run}
        ready={ready}
        engine={engine}
        band={run.reading !== null && !stand.hidden ? band : null}
      />
      <section className="stall-says" aria-label={t('stall.says')} aria-live="polite">
        {run.reading === null ? (
          <p className="quiet">{t('stall.nothingYet')}</p>
        ) : run.tooShort ? (
          <p role="alert">{t('stall.tooShort')}</p>
        ) : (
          <Verdict
            key={run.reading}
            rig={rig}
            reading={run.reading}
            condition={on}
            hidden={stand.hidden}
          />
        )}
      </section>
    </div>
  );
}

interface RunProps {
  run: ReturnType<typeof useStallRun>;
  ready: boolean;
  engine: Engine;
  /** Shown on the counter; `null` while it would give the condition away. */
  band: ReturnType<typeof stallBand> | null;
}

/** The rev counter, the time that is left, and the pedal. */
function StallRun({ run, ready, engine, band }: RunProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const rpm = run.now?.engineRpm ?? engine.idleRpm;
  return (
    <section className="stall-run" aria-label={t('stall.run')}>
      <RevCounter
        rpm={rpm}
        most={engine.governedRpm * 1.1}
        band={band}
        words={t('stall.counter', {
          speed: numbers.quantity(Math.round(rpm), 'speed'),
        })}
      />
      <div className="stall-time" aria-hidden="true">
        <i style={{ width: `${(100 * (run.now?.time ?? 0)) / LONGEST_STALL_S}%` }} />
      </div>
      <Button
        type="primary"
        size="large"
        disabled={!ready && !run.running}
        aria-pressed={run.running}
        onClick={run.toggle}
      >
        {t(run.running ? 'stall.release' : 'stall.press')}
      </Button>
      <span className="quiet">
        {t(ready ? 'stall.limit' : 'stall.checkFirst', { seconds: LONGEST_STALL_S })}
      </span>
    </section>
  );
}

const drawn = (conditions: readonly OnStand[]): OnStand =>
  conditions[crypto.getRandomValues(new Uint32Array(1))[0]! % conditions.length]!;

interface VerdictProps {
  rig: StallRig;
  reading: number;
  condition: OnStand;
  hidden: boolean;
}

/** The reading against the band, and every condition that would give it; a hidden unit is said first. */
function Verdict({ rig, reading, condition, hidden }: VerdictProps) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [shown, setShown] = useState(!hidden);
  const band = stallBand(rig);
  const suspects = useMemo(() => stallSuspects(rig, reading), [rig, reading]);
  const rpm = (v: number) => numbers.quantity(Math.round(v / 10) * 10, 'speed');
  return (
    <>
      <p className="stall-reading">
        <strong>{rpm(reading)}</strong>{' '}
        <span className="quiet">
          {t('stall.band', {
            low: formatNumber(Math.round(band.low / 10) * 10, 0),
            high: rpm(band.high),
          })}
        </span>
      </p>
      {shown ? (
        <>
          <p>{t(`stall.verdicts.${stallVerdict(reading, band)}`)}</p>
          <ul className="stall-suspects">
            {suspects.map(({ condition: c, share }) => (
              <li key={c}>
                {t(`stall.conditions.${c}`)}
                {share !== null &&
                  (c === 'engine-weak' || c === 'clutch-slips') &&
                  `: ${t(`stall.share.${c}`, { percent: formatNumber(100 * share, 0) })}`}
              </li>
            ))}
          </ul>
          {suspects.length > 1 && <p className="quiet">{t(`stall.splits.${splitOf(suspects)}`)}</p>}
          {hidden && <p>{t('stall.was', { what: t(`stall.conditions.${condition}`) })}</p>}
        </>
      ) : (
        <Button onClick={() => setShown(true)}>{t('stall.show')}</Button>
      )}
    </>
  );
}

/** The cheap test that tells the suspects apart. */
function splitOf(suspects: readonly { condition: StallCondition }[]) {
  const has = (c: StallCondition) => suspects.some((s) => s.condition === c);
  if (has('pump-not-driven')) return 'level';
  if (has('stator-slips')) return 'road';
  return has('stator-seized') ? 'top-speed' : 'other';
}
