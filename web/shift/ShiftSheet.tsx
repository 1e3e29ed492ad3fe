import { Button, Segmented, Select, Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import {
  learnedFrom,
  LOOKED_AT_RPM,
  partsOf,
  upshiftOf,
  withNothingLearned,
} from '../../core/hydraulics';
import { useKept } from '../shared/kept';
import { formatNumber, useNumbers } from '../shared/numbers';
import { runOilShift } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import type { ShiftBenchProps } from './shiftBenchProps';
import { enginePush } from './enginePush';
import { SchoolsSheet } from './SchoolsSheet';
import { pairOf } from './shiftPair';
import { Traces, Verdicts } from './ShiftRun';
import { SIDES } from './shiftSides';

const VIEWS = [...SIDES, 'schools'] as const;

/** One upshift over time: oil, torque, speeds and what is felt, beside an earlier setting. */
export function ShiftSheet(props: ShiftBenchProps) {
  const { unit, engine, vehicle, bench, plan, base, fault, oil, onBench } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const [side, setSide] = useKept<(typeof VIEWS)[number]>('ShiftSheet side', 'pressure');
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
  const now = useSettledRun(request, runOilShift);
  const was = useSettledRun(earlier, runOilShift);
  const { forward } = oil.gears;
  const control = partsOf(plan, 'control').length > 0;
  const learned = partsOf(plan, 'control').some((c) => c.learned.some((l) => l.seconds > 0));
  return (
    <div className="shift-over-time">
      <div className="row shift-over-time-tools">
        <Select<number>
          aria-label={t('oil.shift.which')}
          value={pair.gear}
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
          onChange={setSide}
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
        {control && (
          <Button
            size="small"
            // What lets go by itself teaches nothing. It stands there from the start: nothing moves away under a finger.
            disabled={!now.result || now.result.lateBy === null}
            onClick={() => now.result && onBench({ plan: learnedFrom(plan, now.result) })}
          >
            {t('oil.shift.learn')}
          </Button>
        )}
        {control && (
          <Button
            size="small"
            disabled={!learned}
            onClick={() => onBench({ plan: withNothingLearned(plan) })}
          >
            {t('oil.shift.forget')}
          </Button>
        )}
      </div>
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
          <Verdicts now={now.result} before={before && was.result} />
          <Traces now={now.result} before={before && was.result} side={side} />
        </div>
      ) : (
        <Spin />
      )}
    </div>
  );
}
