import { partsOf, type PlanFault } from '../../../hydraulics';
import type { Keyed, Reasons, ThoughtOf } from '../../family';
import { within } from '../../questionParts';
import { oilClaimHolds, weighed, type OilClaim } from './claims';
import type { OilAnswer, OilRig, ShiftMoment, ShiftSetting } from './kinds';
import { drivenUp, gearsFor, keepsWithin, linesFor, shiftedWith } from './runs';
import type { OilTypes } from './types';

type KeyedOf<K extends OilTypes['question']['kind']> = Keyed<OilTypes, K>;
type Thoughts<K extends OilTypes['question']['kind']> = ThoughtOf<OilTypes, K>[];

const sameSet = (a: readonly string[], b: readonly string[]): boolean =>
  a.length === b.length && a.every((x) => b.includes(x));

const comes = (part: string, element: string, way: 'through' | 'past'): OilClaim => ({
  claim: 'oil-comes',
  part,
  element,
  way,
});

function traceThoughts({
  question,
  subject: { rig },
  key,
}: KeyedOf<'trace-oil'>): Thoughts<'trace-oil'> {
  if (key.kind !== 'trace-oil') return [];
  const { element } = question;
  const valves = rig.plan.parts
    .filter((p) => p.kind === 'shift-valve' || p.kind === 'manual-valve' || p.kind === 'shuttle')
    .map((p) => p.id);
  const passed = valves.filter((id) => key.parts.includes(id));
  const out: Thoughts<'trace-oil'> = [];
  if (passed.length > 0)
    out.push({
      slip: 'valves-left-out',
      answer: { kind: 'trace-oil', parts: key.parts.filter((p) => !valves.includes(p)) },
      gives: (a) =>
        passed.every((id) => !a.parts.includes(id)) &&
        key.parts.every((p) => valves.includes(p) || a.parts.includes(p)),
      claims: () => passed.map((id) => comes(id, element, 'through')),
    });
  // The passage that the ball shuts: what stands behind it on the other side.
  const shut = rig.plan.parts
    .filter(
      (p) => p.kind === 'shift-valve' && !key.parts.includes(p.id) && leadsTo(rig, p.id, element),
    )
    .map((p) => p.id);
  if (shut.length > 0)
    out.push({
      slip: 'both-sides-of-the-ball',
      answer: { kind: 'trace-oil', parts: [...key.parts, ...shut] },
      gives: (a) =>
        key.parts.every((p) => a.parts.includes(p)) && shut.some((p) => a.parts.includes(p)),
      claims: (a) => shut.filter((p) => a.parts.includes(p)).map((p) => comes(p, element, 'past')),
    });
  return out;
}

/** Whether a valve could feed an element in another gear. */
function leadsTo({ plan }: OilRig, valve: string, element: string): boolean {
  const piston = partsOf(plan, 'piston').find((p) => p.element === element);
  const feed = partsOf(plan, 'feed').find((f) => f.to === piston?.line);
  const shift = partsOf(plan, 'shift-valve').find((v) => v.id === valve);
  if (!feed || !shift) return false;
  const ends = new Set([feed.from]);
  for (const ball of partsOf(plan, 'shuttle').toReversed())
    if (ends.has(ball.to)) ends.add(ball.first).add(ball.second);
  return [...shift.up, ...shift.down].some((w) => ends.has(w.to));
}

function spoolThoughts({
  question,
  subject: { rig },
  key,
}: KeyedOf<'spool-places'>): Thoughts<'spool-places'> {
  if (key.kind !== 'spool-places') return [];
  const valves = partsOf(rig.plan, 'shift-valve').map((v) => v.id);
  const weighs = (a: OilAnswer & { kind: 'spool-places' }) =>
    valves
      .filter((id) => a.up.includes(id) !== key.up.includes(id))
      .flatMap((id) => weighed(rig, question, id) ?? []);
  const as = (slip: Thoughts<'spool-places'>[number]['slip'], up: readonly string[]) =>
    sameSet(up, key.up)
      ? []
      : [
          {
            slip,
            answer: { kind: 'spool-places' as const, up: [...up] },
            gives: (a: OilAnswer & { kind: 'spool-places' }) => sameSet(a.up, up),
            claims: weighs,
          },
        ];
  const light = drivenUp(rig, { ...question, throttle: 0 }).state;
  return [
    ...as(
      'throttle-left-out',
      [...light.spools].filter(([, at]) => at > 0.5).map(([id]) => id),
    ),
    ...as('lever-clicks-are-gears', question.lever === gearsFor(rig).mainLever ? valves : []),
  ];
}

const changes = (
  gear: number,
  throttle: number,
  rpm: number,
  way: 'up' | 'down',
  fault: PlanFault | null,
): OilClaim => ({ claim: 'pair-changes', gear, throttle, rpm, way, with: fault });

/** The fault that is the opposite of another, where there is one. */
const OPPOSITE: Partial<Record<PlanFault['kind'], PlanFault['kind']>> = {
  'cable-slack': 'cable-short',
  'cable-short': 'cable-slack',
};

function speedThoughts({
  question,
  subject: { rig },
  key,
}: KeyedOf<'shift-speed'>): Thoughts<'shift-speed'> {
  if (key.kind !== 'shift-speed') return [];
  const { gear, throttle, fault, tolerance } = question;
  const right = (a: { up: number; down: number }) =>
    within(tolerance, key.up, a.up) && within(tolerance, key.down, a.down);
  const own = [
    changes(gear, throttle, key.up, 'up', fault),
    changes(gear, throttle, key.down, 'down', fault),
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
          ...soundAt(at(null, throttle), gear, throttle),
          ...own,
        ])
      : []),
    ...(fault && opposite
      ? as('slack-is-late', at({ ...fault, kind: opposite }, throttle), own)
      : []),
    ...as('throttle-left-out', light, [
      ...(light?.up ? [changes(gear, 0, light.up, 'up', fault)] : []),
      own[0]!,
    ]),
  ];
}

const soundAt = (
  point: { up: number | null } | undefined,
  gear: number,
  throttle: number,
): OilClaim[] => (point?.up ? [changes(gear, throttle, point.up, 'up', null)] : []);

const FLIPPED: Readonly<Record<ShiftMoment, ShiftMoment>> = {
  same: 'same',
  early: 'late',
  late: 'early',
  never: 'never',
};

/** What becomes of each pair that was answered wrong. */
function rowClaims(
  { question: { fault, throttle }, subject: { rig } }: KeyedOf<'oil-fault-row'>,
  wrong: (k: number) => boolean,
): OilClaim[] {
  const [sound, now] = [null, fault].map((f) => linesFor(rig, f, [throttle]));
  return now!.flatMap((line, k): OilClaim[] => {
    if (!wrong(k)) return [];
    const [up, was] = [line.points[0]!.up, sound![k]!.points[0]!.up];
    const before = was === null ? [] : [changes(line.from, throttle, was, 'up', null)];
    return up === null
      ? [...before, { claim: 'pair-never', gear: line.from, throttle, with: fault }]
      : [...before, changes(line.from, throttle, up, 'up', fault)];
  });
}

function rowThoughts(asked: KeyedOf<'oil-fault-row'>): Thoughts<'oil-fault-row'> {
  const { key, question } = asked;
  if (key.kind !== 'oil-fault-row') return [];
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
      'slack-is-late',
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
function kicked({ question, subject: { rig }, key }: KeyedOf<'kick-down'>): OilClaim[] {
  if (key.kind !== 'kick-down') return [];
  const { gear: from, outputRpm: rpm } = question;
  const { gear: to, engineRpm: engine } = key;
  const ratio = gearsFor(rig).forward[to - 1]!.ratio;
  return [
    { claim: 'floored', from, to, rpm, way: to === from ? 'stays' : 'changes' },
    { claim: 'engine-in-gear', gear: to, ratio, rpm, engine },
  ];
}

function kickThoughts(asked: KeyedOf<'kick-down'>): Thoughts<'kick-down'> {
  const {
    question,
    subject: { rig },
    key,
  } = asked;
  if (key.kind !== 'kick-down') return [];
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

const comesTo = (
  { question, subject: { rig } }: Pick<KeyedOf<'set-shift'>, 'question' | 'subject'>,
  setting: ShiftSetting,
  way: 'set' | 'found' | 'could',
): OilClaim => ({
  claim: 'shift-comes-to',
  gear: question.gear,
  setting,
  way,
  ...shiftedWith(rig, question, setting),
});

/** Settings that a way of thinking leads to, and how it is told from others by what was turned. */
const SET_WAYS = [
  {
    slip: 'more-pressure-is-safer',
    setting: { slack: -0.4, feed: 1, spring: 1.6, out: 1 },
    is: (s: ShiftSetting) => s.slack <= -0.15 || s.spring >= 1.4,
  },
  {
    slip: 'overlap-is-softer',
    setting: { slack: 0, feed: 1, spring: 1, out: 0.3 },
    is: (s: ShiftSetting) => s.out <= 0.6,
  },
  {
    slip: 'soft-spares-the-lining',
    setting: { slack: 0.3, feed: 1, spring: 0.6, out: 1 },
    is: (s: ShiftSetting) => s.slack >= 0.15 || s.spring <= 0.7,
  },
] as const;

function setThoughts(asked: KeyedOf<'set-shift'>): Thoughts<'set-shift'> {
  const {
    question,
    subject: { rig },
    key,
  } = asked;
  if (key.kind !== 'set-shift' || !rig.vehicle) return [];
  const fails = (s: ShiftSetting) => !keepsWithin(question, shiftedWith(rig, question, s));
  return SET_WAYS.filter((w) => fails(w.setting)).map(({ slip, setting, is }) => ({
    slip,
    answer: { kind: 'set-shift' as const, setting },
    // What two ways of thinking would turn is neither's.
    gives: (a) =>
      is(a.setting) && SET_WAYS.filter((w) => w.is(a.setting)).length === 1 && fails(a.setting),
    claims: (a) => [comesTo(asked, a.setting, 'set'), comesTo(asked, question.found, 'found')],
  }));
}

/** How the right answer comes about. */
const facts: Reasons<OilTypes>['facts'] = {
  'trace-oil': ({ question, key }) =>
    key.kind === 'trace-oil' ? key.parts.map((p) => comes(p, question.element, 'through')) : [],
  'spool-places': ({ question, subject: { rig } }) =>
    partsOf(rig.plan, 'shift-valve').flatMap((v) => weighed(rig, question, v.id) ?? []),
  'shift-speed': ({ question: { gear, throttle, fault }, subject: { rig }, key }) => {
    if (key.kind !== 'shift-speed') return [];
    const sound = fault
      ? linesFor(rig, null, [throttle]).find((l) => l.from === gear)?.points[0]
      : undefined;
    return [
      ...soundAt(sound, gear, throttle),
      changes(gear, throttle, key.up, 'up', fault),
      changes(gear, throttle, key.down, 'down', fault),
    ];
  },
  'oil-fault-row': (asked) => rowClaims(asked, () => true),
  'kick-down': (asked) => kicked(asked),
  'set-shift': (asked) =>
    asked.key.kind === 'set-shift'
      ? [comesTo(asked, asked.answer.setting, 'set'), comesTo(asked, asked.key.setting, 'could')]
      : [],
};

export const reasons: Reasons<OilTypes> = {
  thoughts: {
    'trace-oil': traceThoughts,
    'spool-places': spoolThoughts,
    'shift-speed': speedThoughts,
    'oil-fault-row': rowThoughts,
    'kick-down': kickThoughts,
    'set-shift': setThoughts,
  },
  facts,
  holds: (claim, { question, subject }) => oilClaimHolds(claim, question, subject.rig),
};
