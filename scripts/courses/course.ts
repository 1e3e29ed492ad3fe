import type { PlanFault } from '../../core/hydraulics';
import type { CautionBlock, Question } from '../../core/lesson';

/** A lesson of the demo class, told by its steps; what it is about stands in the files of the models. */

type Asked = Question extends infer Q ? (Q extends Question ? Omit<Q, 'prompt'> : never) : never;

export interface Told {
  readonly title: string;
  readonly text?: string;
  readonly caution?: CautionBlock['topic'];
  /** A unit to drive, by its id, with these elements on. */
  readonly drive?: { readonly unit: string; readonly apply: readonly string[] };
  /** An oil plan to drive, from a standstill. */
  readonly oil?: {
    readonly plan: string;
    readonly unit: string;
    readonly lever: string;
    readonly throttle: number;
    readonly broken?: PlanFault;
  };
  readonly ask?: Asked;
}

export interface Course {
  readonly id: string;
  readonly title: string;
  readonly summary: string;
  /** Paths of the models that it carries. */
  readonly models: readonly string[];
  readonly steps: readonly Told[];
}
