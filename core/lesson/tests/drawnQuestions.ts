import type { Job } from '../../assembly';
import { selectiveChoices, type Clutch, type ClutchPack } from '../../clutch';
import type { Converter, Engine } from '../../converter';
import { singleFaults, rigOfUnit, type FaultCase } from '../../faults';
import { PORTS, type Roles, type Unit } from '../../geartrain';
import { planFor, type HydraulicPlan, type PlanFault } from '../../hydraulics';
import { demoFile, demoUnit } from '../../tests/demoFile';
import type { Random } from '../../numerics';
import type { Vehicle } from '../../vehicle';
import { FAMILIES, type Subject } from '../families/families';
import { ARRANGEMENT_KEYS, CHOICE_ASKS, GOALS, NUMBER_ASKS } from '../families/gear-set/kinds';
import { newSetQuestion } from '../families/gear-set/defaults';
import { newUnitQuestion } from '../families/unit/defaults';
import { newConverterQuestion } from '../families/converter/defaults';
import { newClutchQuestion } from '../families/clutch/defaults';
import { newFaultQuestion } from '../families/fault/defaults';
import { newGearboxQuestion } from '../families/gearbox/defaults';
import { ballsOf } from '../families/oil/balls';
import { gaugesOf, newOilQuestion, tellingBall } from '../families/oil/defaults';
import { newStripQuestion } from '../families/strip-down/defaults';
import { newOwnQuestion } from '../families/own/defaults';
import type { OwnQuestion } from '../families/own/kinds';
import { otherTeeth } from '../families/gear-set/vary';
import { familyOf, QUESTION_KINDS, type Question, type QuestionKind } from '../question';

/** A question of every kind about something drawn from the demo. */

const UNITS = ['harbour-trainer', 'winch-manual', 'quay-four', 'wherry-four', 'capstan-five'];
const CONVERTERS = ['jetty-eleven', 'slipway-table'];

export interface Drawn {
  readonly question: Question;
  readonly subject: Subject;
}

const pick = <T>(random: Random, list: readonly T[]): T => random.pick(list);

function drawnSetup(random: Random) {
  const base = newSetQuestion('roles').setup;
  const kind = random.whole(0, 2) === 0 ? 'double-pinion' : 'single-pinion';
  const set =
    kind === 'single-pinion'
      ? base.set
      : ({ kind, teeth: { sun: 30, inner: 18, outer: 18, ring: 78 }, pinions: 3 } as const);
  const drives = pick(random, PORTS);
  const driven = pick(
    random,
    PORTS.filter((p) => p !== drives),
  );
  const reaction = pick(random, ['held', 'held', 'held', 'held', 'locked', 'free'] as const);
  const roles: Roles = { drives, driven, reaction };
  const question = newSetQuestion('roles', { ...base, set, roles });
  return {
    ...otherTeeth(question, { kind: 'gear-set', setup: question.setup }, random).setup,
    inputSpeedRpm: random.whole(4, 40) * 50,
    inputTorqueNm: random.whole(5, 60) * 10,
  };
}

/** Plans of units, each made once. */
const plansMade = new Map<string, HydraulicPlan>();
const oilPlan = (unit: Unit, shifting: 'valves' | 'solenoids'): HydraulicPlan => {
  const name = `${unit.id} ${shifting}`;
  if (!plansMade.has(name)) plansMade.set(name, planFor(unit, { shifting }));
  return plansMade.get(name)!;
};

const rigOf = (random: Random) => ({
  converter: demoFile<Converter>(`converters/${pick(random, CONVERTERS)}`),
  engine: demoFile<Engine>('engines/yard-diesel'),
  vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
  unit: demoUnit('harbour-trainer'),
});
const clutchRig = (random: Random) => ({
  clutch: demoFile<Clutch>(
    `clutches/${pick(random, ['gunwale-eight', 'hawser-twelve', 'bollard-nine'])}`,
  ),
  pack: demoFile<ClutchPack>(`clutch-packs/${pick(random, ['windlass-brake', 'fender-pack'])}`),
  engine: demoFile<Engine>('engines/pilot-petrol'),
  vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
  unit: demoUnit('winch-manual'),
});
/** What varies in a question beyond its defaults, kind by kind. */
const CHANGES: { readonly [K in QuestionKind]?: (random: Random, drawn: Drawn) => object } = {
  number: (r) => ({
    ask: pick(r, NUMBER_ASKS),
    direction: true,
    tolerance: { kind: 'percent', value: 1 },
  }),
  choice: (r) => ({
    ask: pick(r, CHOICE_ASKS),
    goal: pick(r, GOALS),
    answered: pick(r, ARRANGEMENT_KEYS),
  }),
  'row-outcome': (r, { subject }) => {
    const unit = subject.kind === 'unit' ? subject.unit : null;
    const range = pick(r, unit!.ranges);
    const more = unit!.elements.filter((e) => e.kind !== 'one-way' && !range.apply.includes(e.id));
    const extra = r.whole(0, 2) === 0 && more.length > 0 ? [pick(r, more).id] : [];
    return {
      apply: [...range.apply, ...extra],
      load: pick(r, ['drive', 'drive', 'coast']),
      tolerance: { kind: 'percent', value: 1 },
    };
  },
  'trace-path': rangeOf,
  reaction: rangeOf,
  'drive-or-coast': rangeOf,
  operate: (r) => ({
    measure: pick(r, ['torque-ratio', 'efficiency', 'heat']),
    target: pick(r, [0.5, 1.5, 20]),
  }),
  'read-match': (r) => ({
    ask: pick(r, ['stall-speed', 'engine-speed', 'turbine-torque', 'coupling-ratio', 'heat']),
    throttle: r.whole(5, 10) / 10,
    turbineRpm: r.whole(2, 9) * 100,
    tolerance: { kind: 'percent', value: 2 },
  }),
  'sketch-curve': (r) => ({ curve: pick(r, ['torque-ratio', 'efficiency', 'capacity']) }),
  'predict-change': (r) => ({
    of: pick(r, ['stall-speed', 'stall-speed', 'stall-speed', 'top-speed', 'launch-time']),
    vehicle: 'yard-tractor',
    unit: 'harbour-trainer',
    change: pick(r, [
      { kind: 'engine', share: r.whole(5, 9) / 10 },
      { kind: 'altitude', metres: r.whole(5, 40) * 100 },
      { kind: 'size', factor: r.whole(80, 120) / 100 },
      { kind: 'stator', fault: 'slips' },
      { kind: 'stator', fault: 'seized' },
    ]),
    tolerance: { kind: 'percent', value: 1 },
  }),
  'will-it-hold': (r, { subject }) => ({
    ask: pick(r, ['holds', 'holds', 'slips-first']),
    range: pick(r, subject.kind === 'clutch' ? subject.rig.unit!.ranges : []).id,
    throttle: r.whole(5, 10) / 10,
    wear: r.whole(0, 20) / 1e4,
    oil: r.whole(0, 4) / 10,
    tolerance: { kind: 'percent', value: 4 },
  }),
  'set-free-play': (r) => ({ wear: r.whole(0, 10) / 1e4 }),
  'launch-order': (r) => ({ throttle: r.whole(3, 10) / 10, grade: r.whole(0, 6) / 50 }),
  'choose-selective': (r, { subject }) => {
    const pack = subject.kind === 'clutch' ? subject.rig.pack : null;
    return { fitted: pick(r, selectiveChoices(pack!)).thickness };
  },
  'upgrade-limit': (r) => ({
    ask: pick(r, ['limit', 'carried']),
    upgrade: pick(r, ['one-plate-more', 'more-pressure', 'thinner-steels']),
    load: 60,
  }),
  'oil-fault-row': (r) => ({ fault: pick(r, OIL_FAULTS) }),
  'which-ball': (r, { subject }) => {
    if (subject.kind !== 'oil') return {};
    const balls = ballsOf(subject.rig);
    const told = tellingBall(subject.rig, 0.4, [pick(r, balls), ...balls], gaugesOf(subject.rig));
    return { throttle: 0.4, ...told };
  },
  'symptom-row': faultOf,
  'which-element': faultOf,
};

/** Of a cable, a governor and a single valve: to all shifts, late or early, or to one. */
const OIL_FAULTS: readonly PlanFault[] = [
  { part: 'throttle-valve', kind: 'cable-slack' },
  { part: 'throttle-valve', kind: 'cable-short' },
  { part: 'governor', kind: 'screen-blocked' },
  { part: 'shift-1', kind: 'spring-broken' },
  { part: 'shift-2', kind: 'spring-swapped' },
  { part: 'shift-2', kind: 'valve-stuck-down' },
];

function rangeOf(random: Random, { subject }: Drawn): object {
  return { range: pick(random, subject.kind === 'unit' ? subject.unit.ranges : []).id };
}

function faultOf(random: Random, { subject }: Drawn): object {
  const unit = subject.kind === 'fault' ? subject.subject.unit! : null;
  const elements = unit!.elements.map((e) => e.id);
  return {
    fault: pick(
      random,
      singleFaults(rigOfUnit(unit!)).filter((f) => elements.includes(f.target)),
    ),
  };
}

/** Kinds of which the program knows how students think: a part in the hand it does not know. */
export const THOUGHT_OF: readonly QuestionKind[] = QUESTION_KINDS.filter(
  (kind) => kind !== 'own-choice' && kind !== 'own-order',
);

/** A question of this kind about something drawn. */
export function drawQuestion(kind: QuestionKind, random: Random): Drawn {
  const drawn = plainQuestion(kind, random);
  const change = CHANGES[kind]?.(random, drawn) ?? {};
  return { ...drawn, question: { ...drawn.question, ...change } };
}

/** An instructor's own question, written out. */
function ownQuestion(kind: OwnQuestion['kind']): OwnQuestion {
  const own = {
    ...newOwnQuestion(kind),
    prompt: 'What is to be said of it?',
    reason: 'It is worn',
  };
  switch (own.kind) {
    case 'own-choice':
      return { ...own, options: ['Reuse', 'Replace'], right: [1] };
    case 'own-number':
      return { ...own, value: 1.8 };
    case 'own-order':
      return { ...own, steps: ['Pan', 'Filter', 'Valve body'] };
  }
}

let desk: FaultCase | null = null;
const JOBS = ['slip-tractor-second', 'quay-hauler-noise', 'wherry-whole'].map((id) =>
  demoFile<Job>(`jobs/${id}`),
);

function plainQuestion(kind: QuestionKind, random: Random): Drawn {
  const family = familyOf({ kind });
  switch (family) {
    case 'gear-set': {
      const setup = drawnSetup(random);
      return { question: newSetQuestion(kind as never, setup), subject: { kind: family, setup } };
    }
    case 'unit': {
      const unit = demoUnit(pick(random, UNITS));
      return { question: newUnitQuestion(kind as never, unit), subject: { kind: family, unit } };
    }
    case 'converter': {
      const rig = rigOf(random);
      return { question: newConverterQuestion(kind as never, rig), subject: { kind: family, rig } };
    }
    case 'clutch': {
      const rig = clutchRig(random);
      return { question: newClutchQuestion(kind as never, rig), subject: { kind: family, rig } };
    }
    case 'gearbox': {
      const whole =
        kind === 'which-side' ? pick(random, ['ferry-dual', 'winch-manual']) : 'ferry-dual';
      const rig = {
        unit: demoUnit(whole),
        vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
        engine: demoFile<Engine>('engines/pilot-petrol'),
      };
      const subject = { kind: family, rig };
      const plain = newGearboxQuestion(kind as never, rig);
      // What a student would get.
      const draw = FAMILIES[family].vary[plain.kind]!;
      return { question: draw(plain as never, subject, random), subject };
    }
    case 'oil': {
      const unit = demoUnit(pick(random, ['quay-four', 'wherry-four', 'capstan-five']));
      const vehicle = demoFile<Vehicle>('vehicles/yard-tractor');
      const controlled = kind === 'kick-down' && random.whole(0, 2) === 0;
      const rig = { unit, plan: oilPlan(unit, controlled ? 'solenoids' : 'valves'), vehicle };
      const subject = { kind: family, rig };
      const plain = newOilQuestion(kind as never, rig);
      const draw = FAMILIES[family].vary[plain.kind]!;
      const question = draw(plain as never, subject, random);
      return { question, subject };
    }
    case 'own':
      return { question: ownQuestion(kind as never), subject: { kind: family } };
    case 'strip-down': {
      const job = pick(random, JOBS);
      const subject = { kind: family, subject: { job } };
      const plain = newStripQuestion(kind as never, job);
      // What a student would get: other parts of the same job. Other damage is told by its seed alone.
      const draw = kind === 'whole-job' ? null : FAMILIES[family].vary[plain.kind];
      return { question: draw ? draw(plain as never, subject, random) : plain, subject };
    }
    case 'fault': {
      desk ??= demoFile<FaultCase>('fault-cases/quay-hopper');
      const subject = { unit: demoUnit('harbour-trainer'), faultCase: desk };
      return {
        question: newFaultQuestion(kind as never, subject),
        subject: { kind: family, subject },
      };
    }
  }
}
