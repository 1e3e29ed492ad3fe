import { found, refused, type KeyResult } from '../../family';
import {
  ARRANGEMENTS,
  PORTS,
  readSet,
  solveSet,
  thirdPort,
  type Effect,
  type GearSetSetup,
  type PlanetarySet,
  type Port,
  type Roles,
} from '../../../geartrain';
import { equals, fraction, negate, signOf, toNumber, type Fraction } from '../../../numerics';
import {
  ARRANGEMENT_KEYS,
  arrangementKey,
  EFFECTS,
  type ChoiceQuestion,
  type Goal,
  type NumberQuestion,
  type SetQuestion,
} from './kinds';
import { DIRECTIONS, type Direction } from '../../questionParts';

/** The right answer, computed from the model at the moment it is asked for. */
export type SetKey =
  | {
      readonly kind: 'number';
      readonly value: number;
      readonly exact: Fraction | null;
      readonly direction: Direction;
    }
  | {
      readonly kind: 'choice';
      readonly right: readonly string[];
      readonly options: readonly string[];
    }
  | { readonly kind: 'roles'; readonly right: readonly RoleAnswer[]; readonly target: Fraction };

export interface RoleAnswer {
  readonly drives: Port;
  readonly driven: Port;
  readonly held: Port;
}

/** Why a question can't be asked as it stands. */
export type SetKeyFault =
  | 'no-output'
  | 'no-held-part'
  | 'pinion-unknown'
  | 'locked-has-no-roles'
  | 'goal-not-reached'
  | 'answer-is-right';

export type SetKeyResult = KeyResult<SetKey, SetKeyFault>;

/** @param setup the set as this student has it; the question's own unless it is varied */
export function setKey(question: SetQuestion, setup: GearSetSetup = question.setup): SetKeyResult {
  switch (question.kind) {
    case 'number':
      return numberKey(question, setup);
    case 'choice':
      return choiceKey(question, setup);
    case 'roles':
      return rolesKey(setup);
  }
}

const directionOf = (value: Fraction): Direction =>
  ({ '1': 'same', '-1': 'opposite', '0': 'none' } as const)[`${signOf(value)}`];

function numberKey(question: NumberQuestion, setup: GearSetSetup): SetKeyResult {
  const solution = solveSet(setup.set, setup.roles);
  const reading = readSet(setup, solution);
  const { ratio } = solution;
  const driven = solution.speeds[setup.roles.driven];
  switch (question.ask) {
    case 'ratio': {
      if (!ratio) return refused('no-output');
      const value = Math.abs(toNumber(ratio));
      return found({ kind: 'number', value, exact: ratio, direction: directionOf(ratio) });
    }
    case 'output-speed': {
      if (!driven) return refused('no-output');
      const value = Math.abs(toNumber(driven) * setup.inputSpeedRpm);
      return found({ kind: 'number', value, exact: null, direction: directionOf(driven) });
    }
    case 'output-torque': {
      const torque = reading[setup.roles.driven].torqueNm;
      if (torque === null) return refused('no-output');
      return found({ kind: 'number', value: Math.abs(torque), exact: null, direction: 'none' });
    }
    case 'held-torque': {
      const torque = reading[thirdPort(setup.roles)].torqueNm;
      if (setup.roles.reaction !== 'held' || torque === null) return refused('no-held-part');
      return found({ kind: 'number', value: Math.abs(torque), exact: null, direction: 'none' });
    }
    case 'pinion-speed': {
      const speed = solution.pinions[0]?.speed;
      if (!speed) return refused('pinion-unknown');
      const value = Math.abs(toNumber(speed) * setup.inputSpeedRpm);
      return found({ kind: 'number', value, exact: null, direction: directionOf(speed) });
    }
  }
}

function choiceKey(question: ChoiceQuestion, setup: GearSetSetup): SetKeyResult {
  const solution = solveSet(setup.set, setup.roles);
  const choice = (right: readonly string[], options: readonly string[]): SetKeyResult =>
    found({ kind: 'choice', right, options });
  switch (question.ask) {
    case 'effect':
      return choice([solution.effect], EFFECTS);
    case 'direction': {
      const speed = solution.speeds[setup.roles.driven];
      return speed ? choice([directionOf(speed)], DIRECTIONS) : refused('no-output');
    }
    case 'fastest': {
      const sizes = PORTS.map((p) => Math.abs(toNumber(solution.speeds[p] ?? fraction(0))));
      if (PORTS.some((p) => solution.speeds[p] === null)) return refused('no-output');
      const most = Math.max(...sizes);
      const right = PORTS.filter((_p, k) => sizes[k]! > most * (1 - 1e-12));
      return choice(right.length === 3 ? ['all-same'] : right, [...PORTS, 'all-same']);
    }
    case 'arrangement': {
      const right = bestFor(question.goal, setup.set);
      return right.length > 0
        ? choice(right, HELD_ARRANGEMENTS.map(arrangementKey))
        : refused('goal-not-reached');
    }
    case 'right-for': {
      const wrong = wrongAnswer(question, setup);
      return wrong
        ? choice(fittingSize(setup.set, wrong).map(arrangementKey), ARRANGEMENT_KEYS)
        : refused('answer-is-right');
    }
  }
}

/** Size of an arrangement's ratio; `null` where nothing comes out. */
function sizeOf(set: PlanetarySet, roles: Roles): Fraction | null {
  const { ratio } = solveSet(set, roles);
  return ratio && (signOf(ratio) < 0 ? negate(ratio) : ratio);
}

/** The arrangements with one part held that give a ratio of this size. */
const fittingSize = (set: PlanetarySet, size: Fraction): Roles[] =>
  HELD_ARRANGEMENTS.filter((roles) => {
    const own = sizeOf(set, roles);
    return own !== null && equals(own, size);
  });

/** The ratio that was answered where it is wrong; `null` where it is what the set gives as it stands. */
export function wrongAnswer(
  { answered }: ChoiceQuestion,
  { set, roles }: GearSetSetup,
): Fraction | null {
  const right = sizeOf(set, roles);
  const sizes = HELD_ARRANGEMENTS.filter((r) => !answered || arrangementKey(r) === answered).map(
    (r) => sizeOf(set, r),
  );
  return sizes.find((size) => size && !(right && equals(size, right))) ?? null;
}

export const HELD_ARRANGEMENTS: readonly Roles[] = ARRANGEMENTS.filter(
  (a) => a.reaction === 'held',
);

const EFFECT_OF_GOAL: Readonly<Record<Goal, Effect>> = {
  'largest-reduction': 'reduction',
  'smallest-reduction': 'reduction',
  'strongest-overdrive': 'overdrive',
  'reverse-reduction': 'reverse-reduction',
  'reverse-overdrive': 'reverse-overdrive',
};

/** The arrangements that give the wanted effect, and most strongly where the goal says so. */
function bestFor(goal: Goal, set: PlanetarySet): string[] {
  const fitting = HELD_ARRANGEMENTS.map((roles) => ({ roles, ...solveSet(set, roles) })).filter(
    (a) => a.effect === EFFECT_OF_GOAL[goal],
  );
  const sizes = fitting.map((a) => Math.abs(toNumber(a.ratio!)));
  const wanted = {
    'largest-reduction': Math.max(...sizes),
    'smallest-reduction': Math.min(...sizes),
    'strongest-overdrive': Math.min(...sizes),
    'reverse-reduction': null,
    'reverse-overdrive': null,
  }[goal];
  return fitting
    .filter((_a, k) => wanted === null || sizes[k] === wanted)
    .map((a) => arrangementKey(a.roles));
}

function rolesKey(setup: GearSetSetup): SetKeyResult {
  if (setup.roles.reaction !== 'held') return refused('locked-has-no-roles');
  const target = solveSet(setup.set, setup.roles).ratio;
  if (!target) return refused('no-output');
  const right = HELD_ARRANGEMENTS.filter((roles) => {
    const { ratio } = solveSet(setup.set, roles);
    return ratio !== null && equals(ratio, target);
  }).map(({ drives, driven }) => ({ drives, driven, held: thirdPort({ drives, driven }) }));
  return found({ kind: 'roles', right, target });
}
