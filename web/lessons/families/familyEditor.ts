import type { ComponentType } from 'react';
import type { Model } from '../../../core/formats';
import type { FamilyName, Question, QuestionOf } from '../../../core/lesson';
import type { LessonShelf } from '../builder/useLessonShelf';

export interface EditorProps<F extends FamilyName> {
  question: QuestionOf<F>;
  /** With models when the lesson is to carry them from now on. */
  onQuestion: (question: QuestionOf<F>, models?: readonly Model[]) => void;
}

/** How an instructor asks a question of one family. */
export interface FamilyEditor<F extends FamilyName> {
  /** The family's name in the list of kinds. */
  readonly label: string;
  /** Kinds that can be asked with what there is. */
  kinds(shelf: LessonShelf): readonly QuestionOf<F>['kind'][];
  /** A new question, about what the present one is about where that fits, and the models that it brings along. */
  fresh(
    kind: QuestionOf<F>['kind'],
    shelf: LessonShelf,
    now: Question,
  ): { readonly question: QuestionOf<F>; readonly models: readonly Model[] } | null;
  readonly Editor: ComponentType<EditorProps<F>>;
}
