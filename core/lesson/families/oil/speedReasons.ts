import { partsOf, type PlanFault, type ShiftMoment } from '../../../hydraulics';
import { within } from '../../questionParts';
import { flooredWay, latches, type OilClaim } from './claims';
import type { OilRig } from './kinds';
import { gearsFor, linesFor } from './runs';
import type { KeyedOf, Thoughts } from './types';

/** Why gears change where they do. */

export const changes = (
  rig: OilRig,
  gear: number,
  throttle: number,
  rpm: number,
  way: 'up' | 'down',
  fault: PlanFault | null,
): OilClaim => ({
  claim: 'pair-changes',
  gear,
  throttle,
  rpm,
  way,
  with: fault,
  latched: latches(rig, gear),
});

/** The fault that is the opposite of another, where there is one. */
const OPPOSITE: Partial<Record<PlanFault['kind'], PlanFault['kind']>> = {
  'cable-slack': 'cable-short',
  'cable-short': 'cable-slack',
};

export function speedThoughts({
  question,
  subject: { rig },
  key,
}: KeyedOf<'shift-speed'>): Thoughts<'shift-speed'> {
  const { gear, throttle, fault, tolerance } = question;
  const right = (a: { up: number; down: number }) =>
    within(tolerance, key.up, a.up) && within(tolerance, key.down, a.down);
  const own = [
    changes(rig, gear, throttle, key.up, 'up', fault),
    changes(rig, gear, throttle, key.down, 'down', fault),
  ];
  const at = (f: PlanFault | null, t: number) =>
    linesFor(rig, f, [t]).find((l) => l.from === gear)?.points[0];
  const as = (
    slip: Thoughts<'shift-speed'>[number]['slip'],
    point: { up: number | null; down: number | null } | undefined,
    claims: readonly OilClaim[],
  ): Thoughts<'shift-speed'> => {
    if (!point || point.up === null || point.down === null) return [];
    const { up, down } = point;
    if (right({ up, down })) return [];
    return [
      {
        slip,
        answer: { kind: 'shift-speed', up, down },
        gives: (a) => within(tolerance, up, a.up) && within(tolerance, down, a.down) && !right(a),
        claims: () => claims,
      },
    ];
  };
  const opposite = fault && OPPOSITE[fault.kind];
  const light = at(fault, 0);
  return [
    ...as('no-gap-between-up-and-down', { up: key.up, down: key.up }, own),
    ...(fault
      ? as('fault-left-out', at(null, throttle), [
          ...soundAt(rig, at(null, throttle), gear, throttle),
          ...own,
        ])
      : []),
    ...(fault && opposite
      ? as('slack-is-late', at({ ...fault, kind: opposite }, throttle), own)
      : []),
    ...as('throttle-left-out', light, [
      ...(light?.up ? [changes(rig, gear, 0, light.up, 'up', fault)] : []),
      own[0]!,
    ]),
  ];
}

export const soundAt = (
  rig: OilRig,
  point: { up: number | null } | undefined,
  gear: number,
  throttle: number,
): OilClaim[] => (point?.up ? [changes(rig, gear, throttle, point.up, 'up', null)] : []);

const FLIPPED: Readonly<Record<ShiftMoment, ShiftMoment>> = {
  same: 'same',
  early: 'late',
  late: 'early',
  never: 'never',
};

/** What becomes of each pair that was answered wrong. */
export function rowClaims(
  { question: { fault, throttle }, subject: { rig } }: KeyedOf<'oil-fault-row'>,
  wrong: (k: number) => boolean,
): OilClaim[] {
  const [sound, now] = [null, fault].map((f) => linesFor(rig, f, [throttle]));
  return now!.flatMap((line, k): OilClaim[] => {
    if (!wrong(k)) return [];
    const [up, was] = [line.points[0]!.up, sound![k]!.points[0]!.up];
    const before = was === null ? [] : [changes(rig, line.from, throttle, was, 'up', null)];
    return up === null
      ? [...before, { claim: 'pair-never', gear: line.from, throttle, with: fault }]
      : [...before, changes(rig, line.from, throttle, up, 'up', fault)];
  });
}

export function rowThoughts(asked: KeyedOf<'oil-fault-row'>): Thoughts<'oil-fault-row'> {
  const { key, question } = asked;
  const own = partsOf(asked.subject.rig.plan, 'shift-valve').find(
    (v) => v.id === question.fault.part,
  );
  const as = (
    slip: Thoughts<'oil-fault-row'>[number]['slip'],
    row: readonly ShiftMoment[],
  ): Thoughts<'oil-fault-row'> =>
    row.every((m, k) => m === key.row[k])
      ? []
      : [
          {
            slip,
            answer: { kind: 'oil-fault-row', row: [...row] },
            gives: (a) => a.row.every((m, k) => m === row[k]),
            claims: (a) => rowClaims(asked, (k) => a.row[k] !== key.row[k]),
          },
        ];
  return [
    ...as(
      question.fault.kind in OPPOSITE ? 'slack-is-late' : 'the-other-way',
      key.row.map((m) => FLIPPED[m]),
    ),
    ...as(
      'fault-left-out',
      key.row.map(() => 'same'),
    ),
    ...(own
      ? []
      : as(
          'only-its-own-shift',
          key.row.map((m, k) => (k === 0 ? m : 'same')),
        )),
  ];
}

/** Which gear comes, and what it makes of the engine's speed. */
export function kicked({ question, subject: { rig }, key }: KeyedOf<'kick-down'>): OilClaim[] {
  const { gear: from, outputRpm: rpm } = question;
  const { gear: to, engineRpm: engine } = key;
  const ratio = gearsFor(rig).forward[to - 1]!.ratio;
  return [
    { claim: 'floored', from, to, rpm, way: flooredWay(rig, from, rpm) },
    { claim: 'engine-in-gear', gear: to, ratio, rpm, engine },
  ];
}

export function kickThoughts(asked: KeyedOf<'kick-down'>): Thoughts<'kick-down'> {
  const {
    question,
    subject: { rig },
    key,
  } = asked;
  const { gear, outputRpm, tolerance } = question;
  const { forward } = gearsFor(rig);
  const engine = (g: number) => outputRpm * forward[g - 1]!.ratio;
  const [floored, turns] = kicked(asked) as [OilClaim, OilClaim];
  const as = (
    slip: Thoughts<'kick-down'>[number]['slip'],
    to: number,
    rpm: number,
  ): Thoughts<'kick-down'> =>
    to === key.gear && within(tolerance, key.engineRpm, rpm)
      ? []
      : [
          {
            slip,
            answer: { kind: 'kick-down', gear: to, engineRpm: rpm },
            gives: (a) => a.gear === to && within(tolerance, rpm, a.engineRpm),
            claims: () => (to === key.gear ? [turns] : [floored, turns]),
          },
        ];
  return [
    ...(key.gear === gear ? [] : as('kick-down-adds-pressure', gear, engine(gear))),
    ...(key.gear === 1 ? [] : as('kick-down-to-first', 1, engine(1))),
    ...(key.gear === gear ? [] : as('engine-stays-as-it-was', key.gear, engine(gear))),
  ];
}
