import type { ClutchAnswer, ClutchQuestion } from './families/clutch/kinds';
import type { ConverterAnswer, ConverterQuestion } from './families/converter/kinds';
import type { FaultAnswer, FaultQuestion } from './families/fault/kinds';
import type { OilAnswer, OilQuestion } from './families/oil/kinds';
import type { GearboxAnswer, GearboxQuestion } from './families/gearbox/kinds';
import type { SetAnswer, SetQuestion } from './families/gear-set/kinds';
import type { OwnAnswer, OwnQuestion } from './families/own/kinds';
import type { StripAnswer, StripQuestion } from './families/strip-down/kinds';
import type { UnitAnswer, UnitQuestion } from './families/unit/kinds';

/** The families of questions, by what a question of each is about; `families/` holds a folder for each. */
interface Families {
  'gear-set': { question: SetQuestion; answer: SetAnswer };
  unit: { question: UnitQuestion; answer: UnitAnswer };
  converter: { question: ConverterQuestion; answer: ConverterAnswer };
  clutch: { question: ClutchQuestion; answer: ClutchAnswer };
  fault: { question: FaultQuestion; answer: FaultAnswer };
  gearbox: { question: GearboxQuestion; answer: GearboxAnswer };
  oil: { question: OilQuestion; answer: OilAnswer };
  'strip-down': { question: StripQuestion; answer: StripAnswer };
  own: { question: OwnQuestion; answer: OwnAnswer };
}
export type FamilyName = keyof Families;
export type QuestionOf<F extends FamilyName> = Families[F]['question'];
export type AnswerOf<F extends FamilyName> = Families[F]['answer'];
export type Question = QuestionOf<FamilyName>;
export type Answer = AnswerOf<FamilyName>;
export type QuestionKind = Question['kind'];

type FamilyOfKind<K extends QuestionKind> = {
  [F in FamilyName]: K extends QuestionOf<F>['kind'] ? F : never;
}[FamilyName];

/** Every kind of question, in the order in which they are offered, and its family. */
const FAMILY_OF: { readonly [K in QuestionKind]: FamilyOfKind<K> } = {
  number: 'gear-set',
  choice: 'gear-set',
  roles: 'gear-set',
  'fill-chart': 'unit',
  'trace-path': 'unit',
  'row-outcome': 'unit',
  reaction: 'unit',
  'drive-or-coast': 'unit',
  operate: 'converter',
  'read-match': 'converter',
  'sketch-curve': 'converter',
  'predict-change': 'converter',
  'launch-order': 'converter',
  'set-free-play': 'clutch',
  'will-it-hold': 'clutch',
  'adjust-order': 'clutch',
  'noise-test': 'clutch',
  'draw-start': 'clutch',
  'choose-selective': 'clutch',
  'upgrade-limit': 'clutch',
  'symptom-row': 'fault',
  'which-element': 'fault',
  'which-test': 'fault',
  diagnose: 'fault',
  'which-side': 'gearbox',
  'two-gears': 'gearbox',
  'set-waiting': 'gearbox',
  'draw-crossing': 'gearbox',
  'trace-oil': 'oil',
  'spool-places': 'oil',
  'shift-speed': 'oil',
  'oil-fault-row': 'oil',
  'which-ball': 'oil',
  'kick-down': 'oil',
  'set-shift': 'oil',
  'draw-pressures': 'oil',
  'bolt-order': 'oil',
  'free-now': 'strip-down',
  'strip-order': 'strip-down',
  'why-first': 'strip-down',
  'lay-out': 'strip-down',
  'way-round': 'strip-down',
  verdict: 'strip-down',
  'read-gauge': 'strip-down',
  'choose-size': 'strip-down',
  'worth-it': 'strip-down',
  'whole-job': 'strip-down',
  'own-choice': 'own',
  'own-number': 'own',
  'own-order': 'own',
};

export const QUESTION_KINDS = Object.keys(FAMILY_OF) as readonly QuestionKind[];
export const FAMILY_NAMES = [...new Set(Object.values(FAMILY_OF))] as readonly FamilyName[];

export const familyOf = ({ kind }: { readonly kind: QuestionKind }): FamilyName => FAMILY_OF[kind];

export const kindsOf = <F extends FamilyName>(family: F) =>
  QUESTION_KINDS.filter((kind) => FAMILY_OF[kind] === family) as readonly QuestionOf<F>['kind'][];

export const isOf = <F extends FamilyName>(
  family: F,
  question: Question,
): question is QuestionOf<F> => familyOf(question) === family;

export const CONFIDENCES = ['guess', 'fairly-sure', 'certain'] as const;
export type Confidence = (typeof CONFIDENCES)[number];
