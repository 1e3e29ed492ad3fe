import { characteristicOf, engineModel } from '../../../converter';
import { monotoneCurve } from '../../../numerics';
import type { Family, GradedPart, Judged as JudgedAs, Of } from '../../family';
import { within } from '../../questionParts';
import type { ConverterPart, ConverterTypes } from './types';
import { measured, TOGETHER, type ConverterKey } from './key';
import {
  SKETCH_AT,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type PredictChangeQuestion,
  type ReadMatchQuestion,
  type SketchQuestion,
} from './kinds';

type Judged = JudgedAs<ConverterPart>;
type ConverterGradedPart = GradedPart<ConverterPart>;

function operated(
  question: Of<ConverterQuestion, 'operate'>,
  rig: ConverterRig,
  answer: Of<ConverterAnswer, 'operate'>,
): Judged {
  const models = {
    engine: engineModel(rig.engine),
    converter: characteristicOf(rig.converter)!,
  };
  const value = measured(question.measure, models, answer, rig.converter.lockUpCapacity ?? 0);
  const right = value !== null && within(question.tolerance, question.target, value);
  return { parts: [{ part: 'reading', right }] };
}

const read = (question: ReadMatchQuestion, right: number, given: number): Judged => ({
  parts: [{ part: 'value', right: within(question.tolerance, right, given) }],
});

/** Speed ratio within which the crossing of a sketch has to lie. */
const CROSSING_NEAR = 0.1;
const FINE = 50;

/**
 * A sketch is judged by its shape: the value at both ends, whether it falls and rises where the true curve does,
 * where it crosses a level that means something, and the area between the two.
 */
function sketched(
  { curve, tolerance }: SketchQuestion,
  { at, most }: Of<ConverterKey, 'sketch-curve'>,
  values: readonly number[],
): Judged {
  const drawn = monotoneCurve(SKETCH_AT, values);
  const off = tolerance * most;
  const near = (sr: number) => Math.abs(drawn.at(sr) - at(sr)) <= off;
  const grid = Array.from({ length: FINE + 1 }, (_, k) => k / FINE);
  const area = grid.reduce((sum, sr) => sum + Math.abs(drawn.at(sr) - at(sr)), 0) / grid.length;
  const level = { 'torque-ratio': 1.05, efficiency: 0.5, capacity: 0.5 }[curve];
  const crossing = (f: (sr: number) => number) =>
    grid.find((sr) => (curve === 'efficiency' ? f(sr) >= level : f(sr) <= level)) ?? 1;
  const shape = SKETCH_AT.slice(1).every((sr, k) => {
    const [true_, mine] = [at(sr) - at(SKETCH_AT[k]!), values[k + 1]! - values[k]!];
    // Nearly level may be drawn either way.
    return Math.abs(true_) < off / 2 ? Math.abs(mine) <= off : mine * true_ > 0;
  });
  const parts: ConverterGradedPart[] = [
    { part: 'at-stall', right: near(0) },
    { part: 'at-end', right: near(1) },
    { part: 'shape', right: shape },
    { part: 'crossing', right: Math.abs(crossing(at) - crossing(drawn.at)) <= CROSSING_NEAR },
    { part: 'area', right: area <= off },
  ];
  return { parts };
}

const predicted = (
  { tolerance }: PredictChangeQuestion,
  key: Of<ConverterKey, 'predict-change'>,
  answer: Of<ConverterAnswer, 'predict-change'>,
): Judged => ({
  parts: [
    { part: 'way', right: answer.way === key.way },
    { part: 'value', right: within(tolerance, key.after, answer.value) },
  ],
});

function ordered({ events }: Of<ConverterKey, 'launch-order'>, order: readonly string[]): Judged {
  const rank = (name: string) => order.indexOf(name);
  const parts = events.slice(1).map(({ name, time }, k): ConverterGradedPart => {
    const before = events[k]!;
    const placed = rank(before.name) >= 0 && rank(name) >= 0;
    const together = time - before.time < TOGETHER;
    return {
      part: 'order',
      right: placed && (together || rank(before.name) < rank(name)),
      of: [before.name, name],
    };
  });
  return { parts };
}

export const judge: Family<ConverterTypes>['judge'] = {
  operate: ({ question, subject, answer }) => operated(question, subject.rig, answer),
  'read-match': ({ question, key, answer }) => read(question, key.value, answer.value),
  'sketch-curve': ({ question, key, answer }) => sketched(question, key, answer.values),
  'predict-change': ({ question, key, answer }) => predicted(question, key, answer),
  'launch-order': ({ key, answer }) => ordered(key, answer.order),
};
