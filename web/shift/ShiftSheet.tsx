import { Button, Segmented, Select, Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  learnedFrom,
  LOOKED_AT_RPM,
  partsOf,
  type OilShiftResult,
  upshiftOf,
  withNothingLearned,
} from '../../core/hydraulics';
import { useKept } from '../shared/kept';
import { formatNumber, useNumbers } from '../shared/numbers';
import { runOilShift } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import { sameShift } from './sameUnit';
import type { ShiftBenchProps } from './shiftBenchProps';
import { enginePush } from './enginePush';
import { SchoolsSheet } from './SchoolsSheet';
import { pairOf } from './shiftPair';
import { Traces, Verdicts } from './ShiftRun';
import { SIDES } from './shiftSides';

const VIEWS = [...SIDES, 'schools'] as const;
type View = (typeof VIEWS)[number];

/** One upshift over time: oil, torque, speeds and what is felt, beside an earlier setting. */
export function ShiftSheet(props: ShiftBenchProps) {
  const { unit, engine, vehicle, bench, plan, base, fault, oil } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [side, setSide] = useKept<View>('ShiftSheet side', 'pressure');
  const { before } = bench;
  const pair = pairOf(unit, plan, oil.gears, bench.gear);
  const setup = useMemo(
    () =>
      upshiftOf({
        unit,
        gears: oil.gears,
        vehicle,
        gear: pair.gear,
        throttle: bench.throttle,
        celsius: bench.celsius,
        ...enginePush(engine, bench.throttle),
      }),
    [unit, vehicle, engine, oil.gears, pair.gear, bench.throttle, bench.celsius],
  );
  const request = useMemo(
    () => setup && { ...setup, plan, faults: fault ? [fault] : [] },
    [setup, plan, fault],
  );
  const earlier = useMemo(
    () =>
      setup && before
        ? { ...setup, plan: before.plan, faults: before.fault ? [before.fault] : [] }
        : null,
    [setup, before],
  );
  const now = useSettledRun(request, runOilShift, sameShift);
  const was = useSettledRun(earlier, runOilShift, sameShift);
  return (
    <div className="shift-over-time">
      <ShiftTools {...props} gear={pair.gear} side={side} onSide={setSide} now={now.result} />
      {setup && (
        <p className="quiet">
          {t('oil.shift.at', {
            speed: formatNumber(LOOKED_AT_RPM, 0),
            torque: numbers.quantity(setup.inputNm, 'torque'),
          })}
        </p>
      )}
      {!setup ? (
        <p className="quiet">{t('oil.shift.noVehicle')}</p>
      ) : side === 'schools' ? (
        <SchoolsSheet setup={setup} plan={base} engine={engine} />
      ) : now.failure ? (
        <p role="alert">{now.failure}</p>
      ) : now.result ? (
        <div className="shift-run">
          <Verdicts now={now.result} before={was.result} />
          <Traces now={now.result} before={was.result} side={side} />
        </div>
      ) : (
        <Spin />
      )}
    </div>
  );
}

interface ToolsProps extends ShiftBenchProps {
  /** Of the pair: the lower one's place. */
  readonly gear: number;
  readonly side: View;
  readonly onSide: (side: View) => void;
  readonly now: OilShiftResult | null;
}

/** Which pair, which side of it, what is kept beside it, and what the control learns. */
function ShiftTools(props: ToolsProps) {
  const { plan, fault, oil, bench, onBench, gear, side, onSide, now } = props;
  const { t } = useTranslation();
  const { before } = bench;
  const { forward } = oil.gears;
  const controls = partsOf(plan, 'control');
  const learned = controls.some((c) => c.learned.some((l) => l.seconds > 0));
  return (
    <div className="row shift-over-time-tools">
      <Select<number>
        aria-label={t('oil.shift.which')}
        value={gear}
        onChange={(gear) => onBench({ gear })}
        options={forward.slice(1).map((_f, k) => ({
          value: k + 1,
          label: t('oil.shift.pair', {
            low: forward[k]!.range.gear,
            high: forward[k + 1]!.range.gear,
          }),
        }))}
      />
      <Segmented
        size="small"
        aria-label={t('oil.shift.side')}
        value={side}
        onChange={onSide}
        options={VIEWS.map((s) => ({ value: s, label: t(`oil.shift.sides.${s}`) }))}
      />
      <Button
        size="small"
        disabled={side === 'schools'}
        onClick={() => onBench({ before: { plan, fault, throttle: bench.throttle } })}
      >
        {t('oil.shift.keepBefore')}
      </Button>
      {before && (
        <Button size="small" onClick={() => onBench({ before: null })}>
          {t('oil.shift.dropBefore')}
        </Button>
      )}
      {controls.length > 0 && (
        <Button
          size="small"
          // What lets go by itself teaches nothing. It stands there from the start: nothing moves away under a finger.
          disabled={!now || now.lateBy === null}
          onClick={() => now && onBench({ plan: learnedFrom(plan, now) })}
        >
          {t('oil.shift.learn')}
        </Button>
      )}
      {controls.length > 0 && (
        <Button
          size="small"
          disabled={!learned}
          onClick={() => onBench({ plan: withNothingLearned(plan) })}
        >
          {t('oil.shift.forget')}
        </Button>
      )}
    </div>
  );
}
