import { Spin } from 'antd';
import { useMemo } from 'react';
import { useTranslation } from 'react-i18next';
import type { ShiftLine } from '../../core/hydraulics';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf } from '../bench/curves/figures';
import { formatNumber, useNumbers } from '../shared/numbers';
import { runOilMap } from '../workers/oilWorker';
import { useSettledRun } from '../workers/useSettledRun';
import { sameUnit } from './sameUnit';
import type { ShiftBenchProps } from './shiftBenchProps';

const INKS = ['--drives', '--driven', '--held', '--idle', '--oil'] as const;
/** Every twentieth of the pedal's travel. */
const THROTTLES = Array.from({ length: 21 }, (_v, k) => k / 20);

type Props = ShiftBenchProps & { readonly idleRpm: number };

/** At which output speeds the valves change gear, drawn over the pedal, with the place where the bench stands. */
export function MapSheet(props: Props) {
  const { bench } = props;
  const { t } = useTranslation();
  const numbers = useNumbers();
  const { result, failure, before } = useOilMaps(props);
  if (failure) return <p role="alert">{failure}</p>;
  if (!result) return <Spin />;
  const { shifts, lockUp } = result;
  if (shifts.length === 0) return <p className="quiet">{t('oil.map.none')}</p>;
  const line = (l: Pick<ShiftLine, 'points'>, way: 'up' | 'down') =>
    l.points.flatMap((p) => (p[way] === null ? [] : [{ x: p[way], y: 100 * p.throttle }]));
  const names = (l: ShiftLine) => ({ low: l.from, high: l.to });
  const ways = [
    ...shifts.flatMap((of, k) => {
      const ink = INKS[k % INKS.length]!;
      return [
        { of, way: 'up', label: t('launch.shiftUp', names(of)), ink },
        { of, way: 'down', label: t('launch.shiftDown', names(of)), ink },
      ] as const;
    }),
    ...(lockUp
      ? ([
          { of: lockUp, way: 'up', label: t('oil.lockUp.on'), ink: '--ink' },
          { of: lockUp, way: 'down', label: t('oil.lockUp.off'), ink: '--ink' },
        ] as const)
      : []),
  ];
  const curves = ways.map(({ of, way, label, ink }): Curve => ({
    label,
    ink,
    look: way === 'up' ? 'line' : 'dashed',
    points: line(of, way),
  }));
  const kept =
    before?.shifts.map((l): Curve => ({
      label: t('oil.map.before', names(l)),
      ink: '--idle',
      look: 'thin',
      points: line(l, 'up'),
    })) ?? [];
  const never = shifts.filter((l) => l.points.every((p) => p.up === null));
  return (
    <>
      {never.length > 0 && (
        <p className="shift-never" role="status">
          {never.map((l) => t('oil.map.never', names(l))).join(' ')}
        </p>
      )}
      <CurveSheet
        title={t('oil.views.map')}
        x={{ title: t('oil.map.speed'), min: 0 }}
        y={{ title: t('launch.throttlePercent'), min: 0, max: 100 }}
        curves={[
          ...curves,
          ...kept,
          {
            label: t('oil.map.here'),
            ink: '--ink',
            look: 'marks',
            points: [{ x: bench.outputRpm, y: 100 * bench.throttle }],
          },
        ]}
        spoken={t('oil.map.spoken')}
        figures={figuresOf(
          numbers,
          THROTTLES.map((throttle, at) => ({ throttle, at })),
          [
            { title: t('launch.throttlePercent'), of: (row) => 100 * row.throttle, places: 0 },
            ...ways.map(({ of, way, label }) => ({
              title: numbers.headed(label, 'speed'),
              text: (row: { at: number }) => {
                const value = of.points[row.at]?.[way] ?? null;
                return value === null ? '–' : formatNumber(value, 0);
              },
            })),
          ],
          2,
        )}
      />
    </>
  );
}

/** The map as the plan is, and as it was before the last change where that is kept. */
function useOilMaps({ unit, plan, fault, bench, oil, idleRpm }: Props) {
  const ratios = useMemo(() => oil.gears.forward.map((f) => f.ratio), [oil.gears]);
  const { before } = bench;
  const setting = useMemo(
    () => ({ celsius: bench.celsius, idleRpm, ratios, throttles: THROTTLES }),
    [bench.celsius, idleRpm, ratios],
  );
  const request = useMemo(
    () => ({ unit, plan, faults: fault ? [fault] : [], setting }),
    [unit, plan, fault, setting],
  );
  const earlier = useMemo(
    () =>
      before && { unit, plan: before.plan, faults: before.fault ? [before.fault] : [], setting },
    [unit, before, setting],
  );
  const now = useSettledRun(request, runOilMap, sameUnit);
  const was = useSettledRun(earlier, runOilMap, sameUnit);
  return { ...now, before: was.result };
}
