import { rigOfUnit, singleFaults } from '../faults';
import { solveUnit, type GearSetSetup, type PlanetarySet, type Unit } from '../geartrain';
import { newClutchQuestion } from './families/clutch/defaults';
import type { ClutchRig } from './families/clutch/kinds';
import { newConverterQuestion } from './families/converter/defaults';
import type { ConverterRig } from './families/converter/kinds';
import { newFaultQuestion } from './families/fault/defaults';
import { defaultSetup, newSetQuestion } from './families/gear-set/defaults';
import { CHOICE_ASKS, NUMBER_ASKS } from './families/gear-set/kinds';
import { HELD_ARRANGEMENTS } from './families/gear-set/key';
import { newUnitQuestion } from './families/unit/defaults';
import type { Question } from './question';

/** What a lesson can be drafted about. */
export const DRAFT_SUBJECTS = [
  'roles',
  'ratios',
  'chart',
  'power',
  'converter',
  'clutch',
  'faults',
] as const;
export type DraftSubject = (typeof DRAFT_SUBJECTS)[number];

/** The models there are to draft from. */
export interface DraftRig {
  readonly unit: Unit;
  readonly converter: ConverterRig | null;
  readonly clutch: ClutchRig | null;
}

/** The unit's planetary sets, each by itself, ring held. */
export function setupsOf(unit: Unit): GearSetSetup[] {
  const sets = unit.gearsets.flatMap((g): PlanetarySet[] => {
    if (g.kind === 'mesh' || !g.teeth) return [];
    const pinions = g.pinions === undefined ? {} : { pinions: g.pinions };
    return [{ kind: g.kind, teeth: g.teeth, ...pinions }];
  });
  return sets.map((set) => ({ ...defaultSetup(), set }));
}

/** Every question that could be asked about a subject, as far as drafting goes. */
export function candidatesOf(
  subject: DraftSubject,
  { unit, converter, clutch }: DraftRig,
): Question[] {
  const driving = unit.ranges.filter((r) => solveUnit(unit, r.apply).outcome === 'drives');
  const setups = setupsOf(unit).slice(0, 2);
  const arranged = setups.flatMap((setup) =>
    HELD_ARRANGEMENTS.map((roles) => ({ ...setup, roles })),
  );
  switch (subject) {
    case 'roles':
      return arranged.flatMap((setup) => [
        newSetQuestion('roles', setup),
        ...CHOICE_ASKS.map((ask) => ({ ...newSetQuestion('choice', setup), ask }) as Question),
      ]);
    case 'ratios':
      return [
        ...arranged.flatMap((setup) =>
          NUMBER_ASKS.map(
            (ask) =>
              ({
                ...newSetQuestion('number', setup),
                ask,
                direction: ask === 'ratio' || ask === 'output-speed',
                vary: true,
              }) as Question,
          ),
        ),
        ...driving.map(
          (r) => ({ ...newUnitQuestion('row-outcome', unit), apply: r.apply }) as Question,
        ),
      ];
    case 'chart': {
      const loads = ['drive', 'coast'] as const;
      return [
        newUnitQuestion('fill-chart', unit),
        ...driving.flatMap((r) =>
          loads.map(
            (load) =>
              ({ ...newUnitQuestion('row-outcome', unit), apply: r.apply, load }) as Question,
          ),
        ),
        ...tooMuch(unit).map(
          (apply) => ({ ...newUnitQuestion('row-outcome', unit), apply }) as Question,
        ),
      ];
    }
    case 'power':
      return driving.flatMap((r) =>
        (['trace-path', 'reaction', 'drive-or-coast'] as const).map(
          (kind) => ({ ...newUnitQuestion(kind, unit), range: r.id }) as Question,
        ),
      );
    case 'converter':
      return converter ? aboutConverter(converter) : [];
    case 'clutch':
      return clutch ? aboutClutch(clutch) : [];
    case 'faults': {
      const elements = unit.elements.map((e) => e.id);
      const of = { unit, faultCase: null };
      return singleFaults(rigOfUnit(unit))
        .filter((f) => elements.includes(f.target))
        .slice(0, 24)
        .flatMap((fault) =>
          (['symptom-row', 'which-element'] as const).map(
            (kind) => ({ ...newFaultQuestion(kind, of), fault }) as Question,
          ),
        );
    }
  }
}

/** Rows with one element more than a range has on. */
const tooMuch = (unit: Unit): string[][] =>
  unit.ranges
    .filter((r) => r.apply.length > 0)
    .slice(0, 3)
    .flatMap((r) => {
      const more = unit.elements.find((e) => e.kind !== 'one-way' && !r.apply.includes(e.id));
      return more ? [[...r.apply, more.id]] : [];
    });

function aboutConverter(rig: ConverterRig): Question[] {
  const read = (
    ['stall-speed', 'engine-speed', 'turbine-torque', 'coupling-ratio', 'heat'] as const
  ).map(
    (ask) => ({ ...newConverterQuestion('read-match', rig), ask, turbineRpm: 800 }) as Question,
  );
  const sketches = (['torque-ratio', 'efficiency', 'capacity'] as const).map(
    (curve) => ({ ...newConverterQuestion('sketch-curve', rig), curve }) as Question,
  );
  const changes = [
    { kind: 'engine', share: 0.7 },
    { kind: 'altitude', metres: 1500 },
    { kind: 'size', factor: 0.9 },
    { kind: 'stator', fault: 'slips' },
    { kind: 'stator', fault: 'seized' },
  ].map(
    (change) =>
      ({ ...newConverterQuestion('predict-change', rig), of: 'stall-speed', change }) as Question,
  );
  return [...read, ...sketches, ...changes, newConverterQuestion('operate', rig)];
}

function aboutClutch(rig: ClutchRig): Question[] {
  const holds = [0, 0.0008, 0.0016].map(
    (wear) =>
      ({ ...newClutchQuestion('will-it-hold', rig), ask: 'holds', wear, oil: 0.2 }) as Question,
  );
  const first = { ...newClutchQuestion('will-it-hold', rig), ask: 'slips-first' } as Question;
  const kinds = [
    'set-free-play',
    'adjust-order',
    'noise-test',
    'choose-selective',
    'upgrade-limit',
  ] as const;
  return [...holds, first, ...kinds.map((kind) => newClutchQuestion(kind, rig))];
}
