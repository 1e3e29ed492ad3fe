import type { TFunction } from 'i18next';
import { FILL_STEP, type OilShiftResult } from '../../core/hydraulics';
import type { Quantity } from '../../core/quantities';
import type { Curve, Figures } from '../bench/curves/curve';
import { figuresOf } from '../bench/curves/figures';
import { formatNumber, type Numbers } from '../shared/numbers';

/** Sides of a shift that are drawn. */
export const SIDES = ['pressure', 'torque', 'speed', 'felt'] as const;
export type ShiftSide = (typeof SIDES)[number];

export interface TwoRuns {
  readonly now: OilShiftResult;
  readonly before: OilShiftResult | null;
}

const ELEMENT_INKS = ['--drives', '--driven', '--held', '--idle'] as const;
/** Of the steps of filling, one in so many is drawn. */
const EVERY = 8;

type Sample = OilShiftResult['run']['samples'][number];

const filled = (values: Float64Array, scale: (v: number) => number): Curve['points'] =>
  Array.from({ length: Math.ceil(values.length / EVERY) }, (_v, k) => ({
    x: k * EVERY * FILL_STEP,
    y: scale(values[k * EVERY]!),
  }));

/** A run from just before the shift begins. */
const sampled = ({ run }: OilShiftResult, y: (s: Sample) => number): Curve['points'] =>
  run.samples.filter((s) => s.time > -0.05).map((s) => ({ x: s.time, y: y(s) }));

/** One curve for each element that comes or goes, by its own ink; what goes is dashed. */
const elementCurves = (
  run: OilShiftResult,
  label: (id: string) => string,
  points: (id: string) => Curve['points'] | null,
): Curve[] =>
  [...run.coming, ...run.going].flatMap((id, k): Curve[] => {
    const drawn = points(id);
    const ink = ELEMENT_INKS[k % ELEMENT_INKS.length]!;
    const look = run.going.includes(id) ? 'dashed' : 'line';
    return drawn ? [{ label: label(id), ink, look, points: drawn }] : [];
  });

interface Drawn {
  /** Of the axis, without its unit where there is a quantity. */
  readonly title: string;
  readonly quantity?: Quantity;
  readonly curves: readonly Curve[];
}

/** What is drawn of a shift on one side, and of the one before it. */
export function sideOf(
  side: ShiftSide,
  { now, before }: TwoRuns,
  t: TFunction,
  numbers: Numbers,
): Drawn {
  const torque = (nm: number) => numbers.toDisplay(nm, 'torque');
  const kilo = (pascal: number) => numbers.toDisplay(pascal / 1000, 'pressure');
  const earlier = (y: (s: Sample) => number): Curve[] =>
    before
      ? [
          {
            label: t('oil.shift.rows.before'),
            ink: '--idle',
            look: 'thin',
            points: sampled(before, y),
          },
        ]
      : [];
  const sides: Record<ShiftSide, () => Drawn> = {
    pressure: () => ({
      title: t('oil.shift.sides.pressure'),
      quantity: 'pressure',
      curves: [
        {
          label: t('oil.lines.line'),
          ink: '--ink',
          look: 'dotted',
          points: filled(now.filled.line, kilo),
        },
        ...elementCurves(
          now,
          (id) => id,
          (id) => {
            const element = now.filled.elements.get(id);
            return element ? filled(element.pressures, kilo) : null;
          },
        ),
      ],
    }),
    torque: () => ({
      title: t('oil.shift.sides.torque'),
      quantity: 'torque',
      curves: [
        {
          label: t('oil.shift.output'),
          ink: '--ink',
          points: sampled(now, (s) => torque(s.outputNm)),
        },
        ...elementCurves(
          now,
          (element) => t('oil.shift.carries', { element }),
          (id) => sampled(now, (s) => torque(s.torques[id] ?? 0)),
        ),
        ...earlier((s) => torque(s.outputNm)),
      ],
    }),
    speed: () => ({
      title: t('oil.shift.sides.speed'),
      quantity: 'speed',
      curves: [
        { label: t('oil.shift.input'), ink: '--drives', points: sampled(now, (s) => s.inputRpm) },
        {
          label: t('oil.outputSpeed'),
          ink: '--driven',
          look: 'dashed',
          points: sampled(now, (s) => s.outputRpm),
        },
        ...earlier((s) => s.inputRpm),
      ],
    }),
    felt: () => ({
      title: t('clutch.acceleration'),
      curves: [
        {
          label: t('clutch.acceleration'),
          ink: '--driven',
          points: sampled(now, (s) => s.acceleration),
        },
        ...earlier((s) => s.acceleration),
      ],
    }),
  };
  return sides[side]();
}

const TIMES = Array.from({ length: 17 }, (_v, k) => k / 10);

/** The curves in numbers, every tenth of a second. */
export const shiftFigures = (
  { curves, quantity }: Drawn,
  t: TFunction,
  numbers: Numbers,
): Figures =>
  figuresOf(numbers, TIMES, [
    { title: t('launch.time'), of: (time) => time, places: 1 },
    ...curves.map((c) => ({
      title: quantity ? numbers.headed(c.label, quantity) : c.label,
      text: (time: number) => {
        const point = c.points.find((p) => p.x >= time - 1e-9);
        return point ? formatNumber(point.y, Math.abs(point.y) < 10 ? 2 : 0) : '–';
      },
    })),
  ]);
