import type { Job } from '../assembly';
import type { Clutch, ClutchFault, ClutchPack } from '../clutch';
import type { Converter, Engine, StatorFault } from '../converter';
import { HAZARDS, type CaseFault, type FaultCase } from '../faults';
import type { GearSetSetup, Load, Unit } from '../geartrain';
import type { HydraulicPlan, PlanFault } from '../hydraulics';
import type { Vehicle } from '../vehicle';
import type { ConverterSetting } from './families/converter/kinds';
import type { Question } from './question';

/**
 * The lesson document, version 1: steps of blocks. It holds what is shown and what is asked, and never an
 * answer: answers are computed from the gear set when they are asked for (`setKey.ts`).
 */
export interface Lesson {
  format: 'fair-sprocket/lesson';
  version: 1;
  id: string;
  title: string;
  /** One or two sentences for the library. */
  summary: string;
  author?: string;
  /** Words that its teacher sorts by: a class, a course, a term. */
  tags?: string[];
  steps: LessonStep[];
  /** Models the lesson carries; each stored as a file of its own in a pack, as `units/ID.json`. */
  units?: Unit[];
  converters?: Converter[];
  engines?: Engine[];
  vehicles?: Vehicle[];
  hydraulics?: HydraulicPlan[];
  clutches?: Clutch[];
  clutchPacks?: ClutchPack[];
  cases?: FaultCase[];
  jobs?: Job[];
}

export interface LessonStep {
  id: string;
  title: string;
  /** Markdown; for the instructor, beside the projector. */
  notes?: string;
  blocks: Block[];
}

export type Block =
  | TextBlock
  | CautionBlock
  | PictureBlock
  | BenchBlock
  | UnitBenchBlock
  | ConverterBenchBlock
  | ShiftBenchBlock
  | ClutchBenchBlock
  | PackBenchBlock
  | FaultTableBlock
  | QuestionBlock;
export type BlockKind = Block['kind'];

export interface TextBlock {
  id: string;
  kind: 'text';
  markdown: string;
}

/** The trade's standing cautions; `own` shows only the instructor's words. */
export const CAUTION_TOPICS = [...HAZARDS, 'own'] as const;
export type CautionTopic = (typeof CAUTION_TOPICS)[number];

export interface CautionBlock {
  id: string;
  kind: 'caution';
  topic: CautionTopic;
  /** The instructor's own words, shown after the standing caution. */
  markdown: string;
}

export interface PictureBlock {
  id: string;
  kind: 'picture';
  /** Path inside the pack, `media/NAME`; empty until a picture is chosen. */
  media: string;
  /** What the picture shows, for those who do not see it. */
  alt: string;
  caption: string;
}

export interface BenchPermissions {
  roles: boolean;
  teeth: boolean;
  speed: boolean;
}

export interface BenchBlock {
  id: string;
  kind: 'bench';
  bench: 'gear-set';
  setup: GearSetSetup;
  /** What the student may change. */
  allow: BenchPermissions;
}

/** A whole unit to operate, one that the lesson carries. */
export interface UnitBenchBlock {
  id: string;
  kind: 'unit-bench';
  unit: string;
  /** What is on when the block opens. */
  apply: string[];
  load: Load;
  /** What the student may do: switch elements on the drawing, move the lever. */
  allow: { elements: boolean; lever: boolean };
}

/** An engine and a converter to operate, ones that the lesson carries. */
export interface ConverterBenchBlock {
  id: string;
  kind: 'converter-bench';
  converter: string;
  engine: string;
  setting: ConverterSetting;
  fault: StatorFault | null;
  /** What the student may do. */
  allow: { throttle: boolean; turbine: boolean; lockUp: boolean; fault: boolean };
}

/** An oil plan with its unit to drive, ones that the lesson carries. */
export interface ShiftBenchBlock {
  id: string;
  kind: 'shift-bench';
  hydraulics: string;
  unit: string;
  /** How it is driven when the block opens: rev/min of the output. */
  lever: string;
  throttle: number;
  outputRpm: number;
  fault: PlanFault | null;
  /** What the student may do: move lever, pedal and speed; break it. */
  allow: { driving: boolean; fault: boolean };
}

/** How a clutch stands on a bench in a lesson. */
export interface ClutchSetting {
  /** Share of the pedal's travel. */
  pedal: number;
  /** m lost by the disc. */
  wear: number;
  /** m at the fork's end, and m of pedal travel. */
  forkRod: number;
  turnbuckle: number;
  fault: ClutchFault | null;
}

/** A dry clutch to operate, one that the lesson carries. */
export interface ClutchBenchBlock {
  id: string;
  kind: 'clutch-bench';
  clutch: string;
  setting: ClutchSetting;
  /** What the student may do. */
  allow: { pedal: boolean; wear: boolean; adjust: boolean; fault: boolean };
}

/** A wet pack to lay plates in and out of, one that the lesson carries. */
export interface PackBenchBlock {
  id: string;
  kind: 'pack-bench';
  pack: string;
  allow: { plates: boolean; pressure: boolean };
}

/** Faults of a unit by range, to look things up in; some of them, or all single ones. */
export interface FaultTableBlock {
  id: string;
  kind: 'fault-table';
  unit: string;
  /** Rows shown; empty: every single fault. */
  faults: CaseFault[];
  /** What the student may do: say what was seen, so that rows fall away. */
  allow: { filter: boolean };
}

export interface QuestionBlock {
  id: string;
  kind: 'question';
  question: Question;
  /** Before the commit students also write, in their own words, why they think so: kept for the instructor, never graded. */
  askWhy?: boolean;
}

/** Characters that a student's own words may have. */
export const MOST_WORDS = 2000;

/** Whether a question can be asked with a why: a whole case at the desk has a report of its own. */
export const canAskWhy = ({ kind }: Pick<Question, 'kind'>): boolean => kind !== 'diagnose';

/** Whether a round of a question asks for it: only the prediction that counts does, practice does not. */
export const asksWhy = ({ question, askWhy }: QuestionBlock, round: number): boolean =>
  askWhy === true && round === 0 && canAskWhy(question);

/** Everything a lesson asks, in order. */
export interface AskedQuestion {
  readonly id: string;
  readonly stepId: string;
  readonly stepTitle: string;
  readonly question: Question;
}

export const questionsOf = (lesson: Lesson): AskedQuestion[] =>
  lesson.steps.flatMap((step) =>
    step.blocks.flatMap((block) =>
      block.kind === 'question'
        ? [{ id: block.id, stepId: step.id, stepTitle: step.title, question: block.question }]
        : [],
    ),
  );

/** The lesson with its pictures under other paths. */
export const withMediaAt = (lesson: Lesson, paths: ReadonlyMap<string, string>): Lesson => ({
  ...lesson,
  steps: lesson.steps.map((step) => ({
    ...step,
    blocks: step.blocks.map((b) =>
      b.kind === 'picture' ? { ...b, media: paths.get(b.media) ?? b.media } : b,
    ),
  })),
});

/** Paths of all pictures a lesson shows. */
export const mediaOf = (lesson: Lesson): string[] => [
  ...new Set(
    lesson.steps.flatMap((step) =>
      step.blocks.flatMap((b) => (b.kind === 'picture' && b.media !== '' ? [b.media] : [])),
    ),
  ),
];
