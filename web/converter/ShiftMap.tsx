import { useTranslation } from 'react-i18next';
import type { ShiftLine } from '../../core/hydraulics';
import { RPM_TO_RAD } from '../../core/quantities';
import {
  shiftSpeeds,
  type LaunchResult,
  type Shifting,
  type ShiftSchedule,
} from '../../core/vehicle';
import type { Curve } from '../bench/curves/curve';
import { CurveSheet } from '../bench/curves/CurveSheet';
import { figuresOf, type Measured } from '../bench/curves/figures';
import { useNumbers } from '../shared/numbers';
import { eventList } from './eventList';

interface Props {
  schedule: ShiftSchedule;
  shifting: Shifting;
  result: LaunchResult;
  /** Shift lines of the oil plan that shifts; the schedule's are thin then. */
  lines: readonly ShiftLine[] | null;
}

const OPENINGS = Array.from({ length: 41 }, (_, k) => k / 40);
const INKS = ['--drives', '--driven', '--held', '--idle'] as const;
const WAYS = [
  { way: 'up', word: 'launch.shiftUp' },
  { way: 'down', word: 'launch.shiftDown' },
] as const;

/** When each gear comes and goes, by throttle and road speed, with the run drawn across. */
export function ShiftMap({ schedule, shifting, result, lines }: Props) {
  const { t } = useTranslation();
  const numbers = useNumbers();
  const speed = (v: number) => numbers.toDisplay(v, 'road-speed');
  const pairs = shifting.gears.slice(1).map((_g, k) => k);
  const curves = pairs.flatMap((gear): Curve[] => {
    const ink = INKS[gear % INKS.length]!;
    const line = (way: 'up' | 'down') =>
      OPENINGS.map((throttle) => ({
        x: speed(shiftSpeeds(schedule, shifting, gear, throttle)[way]),
        y: 100 * throttle,
      }));
    const names = { low: gear + 1, high: gear + 2 };
    if (lines)
      return [
        {
          label: t('launch.scheduleUp', names),
          ink: '--idle',
          look: 'thin',
          points: line('up'),
        },
      ];
    return [
      { label: t('launch.shiftUp', names), ink, points: line('up') },
      { label: t('launch.shiftDown', names), ink, look: 'dashed', points: line('down') },
    ];
  });
  const { tyreRadiusM, finalDrive } = shifting.vehicle;
  const road = (rpm: number) => speed((rpm * RPM_TO_RAD * tyreRadiusM) / finalDrive);
  const valves = (lines ?? []).flatMap((l): Curve[] => {
    const ink = INKS[(l.from - 1) % INKS.length]!;
    const along = (way: 'up' | 'down') =>
      l.points.flatMap((p) => (p[way] === null ? [] : [{ x: road(p[way]), y: 100 * p.throttle }]));
    const names = { low: l.from, high: l.to };
    return [
      { label: t('launch.shiftUp', names), ink, points: along('up') },
      { label: t('launch.shiftDown', names), ink, look: 'dashed', points: along('down') },
    ];
  });
  const run = result.samples.map((s) => ({ x: speed(s.speed), y: 100 * s.throttle }));
  const changed = result.events.filter((e) => e.kind === 'upshift' || e.kind === 'downshift');
  const changes = changed.flatMap((e) => {
    const sample = result.samples.find((s) => s.time >= e.time);
    return sample ? [{ x: speed(sample.speed), y: 100 * sample.throttle }] : [];
  });
  return (
    <CurveSheet
      title={t('launch.views.map')}
      x={{ title: numbers.headed(t('launch.roadSpeed'), 'road-speed'), min: 0 }}
      y={{ title: t('launch.throttlePercent'), min: 0, max: 100 }}
      curves={[
        ...valves,
        ...curves,
        { label: t('launch.thisRun'), ink: '--ink', look: 'dotted', points: run },
        { label: t('launch.changesHere'), ink: '--ink', look: 'marks', points: changes },
      ]}
      spoken={t('launch.mapShows', {
        changes: eventList(t, changed),
      })}
      figures={figuresOf(
        numbers,
        OPENINGS,
        [
          { title: t('launch.throttlePercent'), of: (throttle) => 100 * throttle, places: 0 },
          ...pairs.flatMap((gear) =>
            WAYS.map(({ way, word }): Measured<number> => ({
              title: t(word, { low: gear + 1, high: gear + 2 }),
              of: (throttle) => shiftSpeeds(schedule, shifting, gear, throttle)[way],
              quantity: 'road-speed',
              places: 1,
            })),
          ),
        ],
        4,
      )}
    />
  );
}
