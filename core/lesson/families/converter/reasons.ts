import { stallRpm, characteristicOf, engineModel } from '../../../converter';
import { monotoneCurve } from '../../../numerics';
import type { Asked, Of, Reasons } from '../../family';
import type { Thought } from '../../learners';
import { arithmeticSlips } from '../../numberClaims';
import { within } from '../../questionParts';
import { converterClaimHolds, powerKw, runningOf, shareOf, type ConverterClaim } from './claims';
import { curveAt, measured, TOGETHER } from './key';
import {
  SKETCH_AT,
  WAYS,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type ConverterSetting,
  type PredictChangeQuestion,
  type Sketched,
  type Way,
} from './kinds';
import type { ConverterSlip } from './slips';
import type { ConverterTypes } from './types';

type About<K> = Omit<Asked<ConverterTypes, K>, 'answer'>;
type ThoughtAs<K> = Thought<Of<ConverterAnswer, K>, ConverterSlip, ConverterClaim>;

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

function reads(
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

function operateThoughts({ question, subject: { rig } }: About<'operate'>): ThoughtAs<'operate'>[] {
  const { governedRpm } = engineModel(rig.engine);
  const couples = characteristicOf(rig.converter)!.couplesAt;
  const coupled: ThoughtAs<'operate'>['answer'] = {
    kind: 'operate',
    throttle: 0.5,
    turbineRpm: Math.round(governedRpm * 0.6),
    lockUp: false,
  };
  const list: ThoughtAs<'operate'>[] = [];
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

function matchThoughts({
  question,
  subject: { rig },
  key,
}: About<'read-match'>): ThoughtAs<'read-match'>[] {
  if (key.kind !== 'read-match') return [];
  const { tolerance, throttle, turbineRpm } = question;
  const right = key.value;
  const converter = characteristicOf(rig.converter)!;
  const engine = engineModel(rig.engine);
  const m = runningOf(rig, throttle, turbineRpm);
  const list: ThoughtAs<'read-match'>[] = [];
  const facts = matchFacts(question, rig);
  const add = (slip: ConverterSlip, value: number, weight = 1) => {
    if (Number.isFinite(value) && !within(tolerance, right, value))
      list.push({ slip, weight, answer: { kind: 'read-match', value }, claims: () => facts });
  };
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
  for (const { slip, value, gives, weight, claims } of arithmeticSlips(right, tolerance))
    list.push({
      slip,
      weight,
      answer: { kind: 'read-match', value },
      ...(gives ? { gives: (a) => gives(a.value) } : {}),
      claims: (a) => [...claims(a.value), ...facts],
    });
  return list;
}

/** What runs at the point that a number is read at. */
function matchFacts(
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

function sketchThoughts({
  question,
  subject: { rig },
  key,
}: About<'sketch-curve'>): ThoughtAs<'sketch-curve'>[] {
  if (key.kind !== 'sketch-curve') return [];
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
  ): ThoughtAs<'sketch-curve'> => ({
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

function changeThoughts({ question, key }: About<'predict-change'>): ThoughtAs<'predict-change'>[] {
  if (key.kind !== 'predict-change') return [];
  const { of, tolerance } = question;
  const { before, after, way } = key;
  const changes: ConverterClaim = { claim: 'changes', of, before, after };
  const valueFor = (w: Way) =>
    w === way ? after : w === 'same' ? before : w === 'up' ? before * 1.1 : before * 0.9;
  const list: ThoughtAs<'predict-change'>[] = WAYS.filter((w) => w !== way).map((wrong) => ({
    slip: wrongWay(question, way, wrong),
    answer: { kind: 'predict-change', way: wrong, value: valueFor(wrong) },
    gives: (a) => a.way === wrong,
    claims: () => [changes],
  }));
  const sized = (
    slip: ConverterSlip,
    value: number,
    claims: (given: number) => ConverterClaim[],
  ) => {
    if (within(tolerance, after, value)) return;
    list.push({
      slip,
      answer: { kind: 'predict-change', way, value },
      gives: (a) => a.way === way && within(tolerance, value, a.value),
      claims: (a) => [...claims(a.value), changes],
    });
  };
  const share = shareOf(question);
  if (share !== null)
    for (const value of [before * share, before / share])
      if (Math.sign(value - before) === Math.sign(after - before))
        sized('in-proportion', value, (given) => [{ claim: 'proportion', of, share, given }]);
  sized('change-changes-nothing', before, () => []);
  for (const { slip, value, gives, weight, claims } of arithmeticSlips(after, tolerance))
    list.push({
      slip,
      weight,
      answer: { kind: 'predict-change', way, value },
      gives: (a) => a.way === way && (gives ? gives(a.value) : within(tolerance, value, a.value)),
      claims: (a) => [...claims(a.value), changes],
    });
  return list;
}

/** What is thought by a student who says that it goes this way, where it goes another. */
function wrongWay({ of, change }: PredictChangeQuestion, right: Way, wrong: Way): ConverterSlip {
  const spared = wrong === 'same' ? 'change-changes-nothing' : 'expects-a-change';
  if (change.kind === 'stator') {
    const seized = change.fault === 'seized';
    if (of === 'stall-speed')
      return seized
        ? right === 'same'
          ? 'seized-shows-at-stall'
          : spared
        : wrong === 'up'
          ? 'slipping-stator-stalls-higher'
          : spared;
    if (of === 'top-speed')
      return seized && right === 'down' && wrong === 'same' ? 'seized-spares-top-speed' : spared;
    return !seized && right === 'up' ? 'launches-without-stator' : spared;
  }
  if (right === 'same' || wrong === 'same') return spared;
  if (change.kind === 'size') return 'size-the-wrong-way';
  return of === 'stall-speed' && right === 'down' && wrong === 'up'
    ? 'weak-engine-stalls-higher'
    : spared;
}

/** Orders of two events that tell a way of thinking. */
const ORDERS: readonly (readonly [ConverterSlip, first: string, later: string])[] = [
  ['stator-lets-go-at-once', 'moves', 'stator-lets-go'],
  ['pulls-most-when-coupled', 'pulls-most', 'stator-lets-go'],
  ['locks-while-it-multiplies', 'stator-lets-go', 'lock-up'],
];

function orderThoughts({ key }: About<'launch-order'>): ThoughtAs<'launch-order'>[] {
  if (key.kind !== 'launch-order') return [];
  const right = key.events.map((e) => e.name);
  const at = (name: string) => key.events.find((e) => e.name === name);
  return ORDERS.flatMap(([slip, first, later]) => {
    const [a, b] = [at(first), at(later)];
    if (!a || !b || b.time <= a.time + TOGETHER) return [];
    const without = right.filter((n) => n !== later);
    const order = [...without];
    order.splice(without.indexOf(first), 0, later);
    return [
      {
        slip,
        answer: { kind: 'launch-order', order },
        gives: ({ order: given }) => {
          const [i, k] = [given.indexOf(first), given.indexOf(later)];
          // What stands before all else is one way of thinking, not two.
          const moves = given.indexOf('moves');
          return i >= 0 && k >= 0 && k < i && (first === 'moves' || moves < 0 || moves < k);
        },
        claims: () => [{ claim: 'first', event: first, time: a.time, later, laterTime: b.time }],
      } satisfies ThoughtAs<'launch-order'>,
    ];
  });
}

const same = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((x, k) => x === b[k]);

const ENDS: Readonly<Record<Sketched, readonly number[]>> = {
  'torque-ratio': [0, 1],
  efficiency: [0, 0.8],
  capacity: [0, 0.9],
};

export const reasons: Reasons<ConverterTypes> = {
  thoughts: {
    operate: operateThoughts,
    'read-match': matchThoughts,
    'sketch-curve': sketchThoughts,
    'predict-change': changeThoughts,
    'launch-order': orderThoughts,
  },
  same: {
    operate: ({ answer }, o) =>
      same(
        [answer.throttle, answer.turbineRpm, answer.lockUp],
        [o.throttle, o.turbineRpm, o.lockUp],
      ),
    'read-match': ({ question, answer }, o) => within(question.tolerance, o.value, answer.value),
    'sketch-curve': ({ answer }, o) => same(answer.values, o.values),
    'predict-change': ({ question, answer }, o) =>
      answer.way === o.way && within(question.tolerance, o.value, answer.value),
    'launch-order': ({ answer }, o) => same(answer.order, o.order),
  },
  facts: {
    operate: ({ question, subject: { rig }, answer }) => reads(question, rig, answer),
    'read-match': ({ question, subject: { rig } }) => matchFacts(question, rig),
    'sketch-curve': ({ question: { curve }, subject: { rig } }) =>
      ENDS[curve].map((speedRatio) => ({
        claim: 'curve',
        curve,
        speedRatio,
        value: curveAt(curve, characteristicOf(rig.converter)!, speedRatio),
      })),
    'predict-change': ({ question: { of }, key }) =>
      key.kind === 'predict-change'
        ? [{ claim: 'changes', of, before: key.before, after: key.after }]
        : [],
    'launch-order': ({ key }) =>
      key.kind === 'launch-order'
        ? key.events.slice(1).flatMap(({ name, time }, k) => {
            const before = key.events[k]!;
            return before.time < time
              ? [
                  {
                    claim: 'first' as const,
                    event: before.name,
                    time: before.time,
                    later: name,
                    laterTime: time,
                  },
                ]
              : [];
          })
        : [],
  },
  holds: (claim, { question, subject }) => converterClaimHolds(claim, question, subject.rig),
};
