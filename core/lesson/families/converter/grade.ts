import type { ConverterSlip } from './slips';
import { characteristicOf, engineModel, matchEngine } from '../../../converter';
import { monotoneCurve } from '../../../numerics';
import {
  keyAs,
  type Family,
  type GradedPart,
  type Judged as JudgedAs,
  type Of,
} from '../../family';
import { within } from '../../questionParts';
import type { ConverterPart, ConverterTypes } from './types';
import { measured, type ConverterKey } from './key';
import {
  SKETCH_AT,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type PredictChangeQuestion,
  type ReadMatchQuestion,
  type SketchQuestion,
} from './kinds';

type Judged = JudgedAs<ConverterPart, ConverterSlip>;
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
  const multiplies = question.measure === 'torque-ratio' && question.target > 1.05;
  const coupled = value !== null && multiplies && value < 1.02;
  return {
    parts: [{ part: 'reading', right }],
    misconception: coupled
      ? answer.lockUp
        ? 'lock-up-multiplies'
        : 'multiplies-at-road-speed'
      : null,
  };
}

function read(
  question: ReadMatchQuestion,
  rig: ConverterRig,
  right: number,
  given: number,
): Judged {
  const near = (wanted: number) => within(question.tolerance, wanted, given);
  const match = matchEngine(
    engineModel(rig.engine),
    characteristicOf(rig.converter)!,
    question.throttle,
    question.turbineRpm,
  );
  const code: ConverterSlip | null =
    question.ask === 'turbine-torque' && near(match.engineNm)
      ? 'engine-torque-for-turbine'
      : question.ask === 'engine-speed' && near(match.turbineRpm)
        ? 'no-slip-expected'
        : question.ask === 'stall-speed' && near(rig.engine.governedRpm)
          ? 'stall-at-governor-expected'
          : null;
  return { parts: [{ part: 'value', right: near(right) }], misconception: code };
}

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
  return { parts, misconception: sketchMisread(curve, drawn.at) };
}

function sketchMisread(curve: string, drawn: (sr: number) => number): ConverterSlip | null {
  if (curve === 'torque-ratio') {
    if (drawn(1) > 1.15) return 'multiplies-at-road-speed';
    if (drawn(0) < 1.15) return 'no-multiplication-at-stall';
  }
  return curve === 'efficiency' && drawn(0) > 0.15 ? 'efficient-at-stall' : null;
}

function predicted(
  { of, change, tolerance }: PredictChangeQuestion,
  key: Of<ConverterKey, 'predict-change'>,
  answer: Of<ConverterAnswer, 'predict-change'>,
): Judged {
  const parts: ConverterGradedPart[] = [
    { part: 'way', right: answer.way === key.way },
    { part: 'value', right: within(tolerance, key.after, answer.value) },
  ];
  if (answer.way === key.way) return { parts, misconception: null };
  return { parts, misconception: wrongWay(of, change, key.way) };
}

function wrongWay(
  of: PredictChangeQuestion['of'],
  change: PredictChangeQuestion['change'],
  right: string,
): ConverterSlip | null {
  if (change.kind === 'stator') {
    const seized = change.fault === 'seized';
    if (of === 'stall-speed')
      return seized ? 'seized-shows-at-stall' : 'slipping-stator-stalls-higher';
    if (of === 'top-speed') return seized ? 'seized-spares-top-speed' : null;
    return seized ? null : 'launches-without-stator';
  }
  if (of !== 'stall-speed') return null;
  if (change.kind === 'size') return 'size-the-wrong-way';
  return right === 'down' ? 'weak-engine-stalls-higher' : null;
}

/** Events closer than this happen together: either order is right, s. */
const TOGETHER = 0.05;

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
  const first = (a: string, b: string) => rank(a) >= 0 && rank(b) >= 0 && rank(a) < rank(b);
  const happensLater = (a: string, b: string) => {
    const time = (name: string) => events.find((e) => e.name === name)?.time ?? Infinity;
    return time(a) > time(b) + TOGETHER;
  };
  const code: ConverterSlip | null =
    first('stator-lets-go', 'moves') && happensLater('stator-lets-go', 'moves')
      ? 'stator-lets-go-at-once'
      : first('stator-lets-go', 'pulls-most') && happensLater('stator-lets-go', 'pulls-most')
        ? 'pulls-most-when-coupled'
        : first('lock-up', 'stator-lets-go') && happensLater('lock-up', 'stator-lets-go')
          ? 'locks-while-it-multiplies'
          : null;
  return { parts, misconception: code };
}

export const judge: Family<ConverterTypes>['judge'] = {
  operate: ({ question, subject, answer }) => operated(question, subject.rig, answer),
  'read-match': ({ question, subject, key, answer }) =>
    read(question, subject.rig, keyAs(key, 'read-match').value, answer.value),
  'sketch-curve': ({ question, key, answer }) =>
    sketched(question, keyAs(key, 'sketch-curve'), answer.values),
  'predict-change': ({ question, key, answer }) =>
    predicted(question, keyAs(key, 'predict-change'), answer),
  'launch-order': ({ key, answer }) => ordered(keyAs(key, 'launch-order'), answer.order),
};
