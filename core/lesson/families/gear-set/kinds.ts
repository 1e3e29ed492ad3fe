import type { Effect, GearSetSetup, Port, Roles } from '../../../geartrain';
import type { Direction, Tolerance } from '../../questionParts';

/**
 * Questions about one gear set, and what a student may answer. A question carries the set it is about and
 * how the set is run; the right answer is not in it.
 */
export const NUMBER_ASKS = [
  'ratio',
  'output-speed',
  'output-torque',
  'held-torque',
  'pinion-speed',
] as const;
export type NumberAsk = (typeof NUMBER_ASKS)[number];

interface SetQuestionBase {
  /** The instructor's own wording; empty: the program words it. */
  prompt: string;
  setup: GearSetSetup;
  /** Every student gets tooth counts of their own. */
  vary: boolean;
}

export interface NumberQuestion extends SetQuestionBase {
  kind: 'number';
  ask: NumberAsk;
  tolerance: Tolerance;
  /** Also ask which way it turns (ratio, output speed and pinion speed only). */
  direction: boolean;
}

/**
 * What a choice is about; the right one is computed.
 * effect: what the arrangement does · direction: which way the output turns ·
 * fastest: which part turns fastest · arrangement: which arrangement gives a wanted effect most strongly ·
 * right-for: what would have to change for a wrong ratio to be right
 */
export const CHOICE_ASKS = ['effect', 'direction', 'fastest', 'arrangement', 'right-for'] as const;
export type ChoiceAsk = (typeof CHOICE_ASKS)[number];

export const GOALS = [
  'largest-reduction',
  'smallest-reduction',
  'strongest-overdrive',
  'reverse-reduction',
  'reverse-overdrive',
] as const;
export type Goal = (typeof GOALS)[number];

export interface ChoiceQuestion extends SetQuestionBase {
  kind: 'choice';
  ask: ChoiceAsk;
  /** Only read when `ask` is `arrangement`. */
  goal: Goal;
  /** Only read when `ask` is `right-for`: the wrong answer is what this arrangement gives; the first that differs when left out. */
  answered?: ArrangementKey;
}

/** Given the ratio that `setup` makes, name who drives, who is driven and who is held. */
export interface RolesQuestion extends SetQuestionBase {
  kind: 'roles';
}

export type SetQuestion = NumberQuestion | ChoiceQuestion | RolesQuestion;

export type SetAnswer =
  | { kind: 'number'; value: number; direction?: Direction }
  | { kind: 'choice'; choice: string }
  | { kind: 'roles'; drives: Port; driven: Port; held: Port };

/** The six arrangements with one part held, as a choice's value: "sun-carrier" is sun in, carrier out. */
export const ARRANGEMENT_KEYS = [
  'sun-carrier',
  'sun-ring',
  'carrier-sun',
  'carrier-ring',
  'ring-sun',
  'ring-carrier',
] as const;
export type ArrangementKey = (typeof ARRANGEMENT_KEYS)[number];

/** @param roles of two different parts */
export const arrangementKey = (roles: Pick<Roles, 'drives' | 'driven'>): ArrangementKey =>
  `${roles.drives}-${roles.driven}` as ArrangementKey;

export const EFFECTS: readonly Effect[] = [
  'reduction',
  'direct',
  'overdrive',
  'reverse-reduction',
  'reverse-direct',
  'reverse-overdrive',
  'neutral',
];

/** Whether a number has a way of turning that can be asked for. */
export const hasDirection = (ask: NumberAsk): boolean =>
  ask === 'ratio' || ask === 'output-speed' || ask === 'pinion-speed';

/** True when showing the roles in the drawing would give the answer away. */
export const hidesRoles = (question: SetQuestion): boolean =>
  question.kind === 'roles' || (question.kind === 'choice' && question.ask === 'arrangement');
