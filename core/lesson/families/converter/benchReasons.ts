import { stallRpm, characteristicOf, engineModel } from '../../../converter';
import { monotoneCurve } from '../../../numerics';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { powerKw, runningOf, type ConverterClaim } from './claims';
import { curveAt, measured } from './key';
import {
  SKETCH_AT,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type ConverterSetting,
} from './kinds';
import type { ConverterSlip } from './slips';
import type { ConverterTypes } from './types';

const reading = (
  { measure }: Of<ConverterQuestion, 'operate'>,
  rig: ConverterRig,
  { throttle, turbineRpm, lockUp }: ConverterSetting,
): number | null =>
  measured(
    measure,
    { engine: engineModel(rig.engine), converter: characteristicOf(rig.converter)! },
    { throttle, turbineRpm, lockUp },
    rig.converter.lockUpCapacity ?? 0,
  );

/** What the bench reads at a setting. */
export function reads(
  question: Of<ConverterQuestion, 'operate'>,
  rig: ConverterRig,
  setting: ConverterSetting,
): ConverterClaim[] {
  const value = reading(question, rig, setting);
  const { throttle, turbineRpm, lockUp } = setting;
  return value === null
    ? []
    : [{ claim: 'reads', measure: question.measure, value, throttle, turbineRpm, lockUp }];
}

/** Settings of the bench that ways of thinking lead to. */
export function operateThoughts({
  question,
  subject: { rig },
}: Keyed<ConverterTypes, 'operate'>): ThoughtOf<ConverterTypes, 'operate'>[] {
  const { governedRpm } = engineModel(rig.engine);
  const couples = characteristicOf(rig.converter)!.couplesAt;
  const coupled: ThoughtOf<ConverterTypes, 'operate'>['answer'] = {
    kind: 'operate',
    throttle: 0.5,
    turbineRpm: Math.round(governedRpm * 0.6),
    lockUp: false,
  };
  const list: ThoughtOf<ConverterTypes, 'operate'>[] = [];
  const claims = (a: ConverterSetting): ConverterClaim[] => [
    ...reads(question, rig, a),
    { claim: 'couples', speedRatio: couples },
  ];
  if (question.measure === 'torque-ratio' && question.target > 1.05) {
    const noMore = (a: ConverterSetting) => (reading(question, rig, a) ?? 2) < 1.02;
    list.push(
      {
        slip: 'multiplies-at-road-speed',
        answer: coupled,
        gives: (a) => !a.lockUp && noMore(a),
        claims,
      },
      {
        slip: 'lock-up-multiplies',
        answer: { ...coupled, lockUp: true },
        gives: (a) => a.lockUp && noMore(a),
        claims: (a) => reads(question, rig, a),
      },
    );
  }
  if (question.measure === 'efficiency' && question.target > 0.1)
    list.push({
      slip: 'efficient-at-stall',
      answer: { ...coupled, turbineRpm: 0 },
      gives: (a) => a.turbineRpm === 0 && (reading(question, rig, a) ?? 1) === 0,
      claims: (a) => reads(question, rig, a),
    });
  return list;
}

/** Numbers read off the match that ways of thinking lead to. */
export function matchThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ConverterTypes, 'read-match'>): ThoughtOf<ConverterTypes, 'read-match'>[] {
  const { tolerance, throttle, turbineRpm } = question;
  const right = key.value;
  const converter = characteristicOf(rig.converter)!;
  const engine = engineModel(rig.engine);
  const m = runningOf(rig, throttle, turbineRpm);
  const numbers = new NumberThoughts<
    Of<ConverterAnswer, 'read-match'>,
    ConverterSlip,
    ConverterClaim
  >({
    right,
    tolerance,
    answer: (value) => ({ kind: 'read-match', value }),
    valueOf: (a) => a.value,
    facts: matchFacts(question, rig),
  });
  const add = (slip: ConverterSlip, value: number, weight = 1) =>
    numbers.add(slip, value, undefined, weight);
  switch (question.ask) {
    case 'turbine-torque':
      add('engine-torque-for-turbine', m.engineNm);
      add('always-doubles', 2 * m.engineNm, 0.9);
      add('multiplies-at-road-speed', converter.at(0).torqueRatio * m.engineNm);
      break;
    case 'engine-speed':
      add('no-slip-expected', m.turbineRpm);
      add('stall-speed-everywhere', stallRpm(engine, converter, throttle));
      add('stall-at-governor-expected', engine.governedRpm);
      break;
    case 'stall-speed':
      add('stall-at-governor-expected', engine.governedRpm);
      break;
    case 'coupling-ratio':
      add('couples-at-one', 1);
      break;
    case 'heat':
      add('heat-forgotten', 0);
      add('all-power-is-heat', powerKw(m.engineRpm, m.engineNm));
      add('power-out-for-heat', powerKw(m.turbineRpm, m.turbineNm));
      break;
  }
  return numbers.withArithmetic();
}

/** What runs at the point that a number is read at. */
export function matchFacts(
  question: Of<ConverterQuestion, 'read-match'>,
  rig: ConverterRig,
): ConverterClaim[] {
  const { ask, throttle, turbineRpm } = question;
  const converter = characteristicOf(rig.converter)!;
  const engine = engineModel(rig.engine);
  const m = runningOf(rig, throttle, turbineRpm);
  switch (ask) {
    case 'stall-speed':
      return [
        {
          claim: 'stalls',
          throttle,
          speedIn: stallRpm(engine, converter, throttle),
          governed: engine.governedRpm,
        },
      ];
    case 'coupling-ratio':
      return [{ claim: 'couples', speedRatio: converter.couplesAt }];
    case 'heat':
      return [
        {
          claim: 'power',
          powerIn: powerKw(m.engineRpm, m.engineNm),
          powerOut: powerKw(m.turbineRpm, m.turbineNm),
          heat: m.heatKw,
        },
      ];
    case 'engine-speed':
    case 'turbine-torque':
      return [
        {
          claim: 'running',
          throttle,
          speedIn: m.engineRpm,
          speedOut: m.turbineRpm,
          torqueIn: m.engineNm,
          torqueOut: m.turbineNm,
          multiplies: m.torqueRatio,
        },
      ];
  }
}

/** How far off the height of a curve a belief has to be before it is one. */
const TELLING = 0.15;

/** Curves that ways of thinking lead to. */
export function sketchThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ConverterTypes, 'sketch-curve'>): ThoughtOf<ConverterTypes, 'sketch-curve'>[] {
  const { curve } = question;
  const { at, most } = key;
  const point = (speedRatio: number): ConverterClaim => ({
    claim: 'curve',
    curve,
    speedRatio,
    value: curveAt(curve, characteristicOf(rig.converter)!, speedRatio),
  });
  const drawn = (values: readonly number[]) => monotoneCurve(SKETCH_AT, values);
  const lifted = TELLING * most;
  const sketch = (of: (sr: number) => number) => ({
    kind: 'sketch-curve' as const,
    values: SKETCH_AT.map(of),
  });
  const thought = (
    slip: ConverterSlip,
    wrong: (sr: number) => number,
    gives: (values: readonly number[]) => boolean,
    points: readonly number[],
  ): ThoughtOf<ConverterTypes, 'sketch-curve'> => ({
    slip,
    answer: sketch(wrong),
    gives: (a) => gives(a.values),
    claims: () => points.map(point),
  });
  switch (curve) {
    case 'torque-ratio':
      return [
        thought(
          'multiplies-at-road-speed',
          () => at(0),
          (v) => drawn(v).at(1) > at(1) + lifted,
          [0, 1],
        ),
        thought(
          'no-multiplication-at-stall',
          () => 1,
          (v) => drawn(v).at(0) < 1 + (at(0) - 1) * 0.3 && at(0) > 1.3,
          [0],
        ),
      ];
    case 'efficiency':
      return [
        thought(
          'efficient-at-stall',
          () => 0.9,
          (v) => drawn(v).at(0) > at(0) + lifted,
          [0],
        ),
      ];
    case 'capacity':
      return [
        thought(
          'capacity-rises',
          (sr) => 0.2 + sr,
          (v) => drawn(v).at(1) > drawn(v).at(0) + lifted && at(1) < at(0) - lifted,
          [0, 0.9],
        ),
      ];
  }
}
