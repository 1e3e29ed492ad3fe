import type { ComponentType } from 'react';
import type {
  AnswerOf,
  Confidence,
  Family,
  FamilyName,
  KeyOf,
  QuestionOf,
  SubjectOf,
  TypesOf,
} from '../../../core/lesson';
import { useKept } from '../../shared/kept';
import type { FamilyWords } from '../families/familyWords';
import { StageFrame, type StageProps } from './StageFrame';
import { useAsked } from './useAsked';

/** Families that are about machines which the lesson carries. */
type RigFamily = 'converter' | 'clutch' | 'gearbox' | 'oil';
type RigOf<F extends RigFamily> = SubjectOf<F>['rig'];

export interface SheetProps<F extends RigFamily, D> {
  question: QuestionOf<F>;
  rig: RigOf<F>;
  /** `null` where the question can't be asked. */
  keyNow: KeyOf<F> | null;
  draft: D;
  /** What was committed. */
  answer: AnswerOf<F> | undefined;
  onDraft: (change: Partial<D>) => void;
}
export interface DraftPredictionProps<F extends RigFamily, D> extends Pick<
  SheetProps<F, D>,
  'question' | 'rig' | 'draft' | 'onDraft'
> {
  onCommit: (answer: AnswerOf<F>, confidence: Confidence) => void;
}

/** What leads to the answer, once there is one. */
export type WorkedProps<F extends RigFamily> = Omit<
  SheetProps<F, never>,
  'draft' | 'onDraft' | 'answer'
> & { answer: AnswerOf<F> };

/** What a family's stage is made of: a sheet that is worked on, fields beside it, and one draft for both. */
export interface DraftParts<F extends RigFamily, D> {
  readonly family: Family<TypesOf[F]>;
  readonly words: FamilyWords<F>;
  /** Name under which the draft outlives a reload. */
  readonly kept: string;
  /** @param seed what is mixed goes by it */
  readonly begin: (
    question: QuestionOf<F>,
    rig: RigOf<F>,
    keyNow: KeyOf<F> | null,
    seed: string,
  ) => D;
  /** The draft after a change; the change over it where left out. */
  readonly changed?: (draft: D, change: Partial<D>) => D;
  readonly sheetClass?: string;
  /** Not one drawing but a page that is read on and on: on a phone it stands above the question. */
  readonly isLong?: (question: QuestionOf<F>) => boolean;
  readonly Sheet: ComponentType<SheetProps<F, D>>;
  readonly Prediction: ComponentType<DraftPredictionProps<F, D>>;
  readonly Worked?: ComponentType<WorkedProps<F>>;
}

/** A question whose answer is partly worked on the sheet: the draft is kept until it is committed. */
export function DraftStage<F extends RigFamily & FamilyName, D>({
  block,
  subject,
  round,
  parts,
  ...frame
}: StageProps<F> & { parts: DraftParts<F, D> }) {
  const {
    family,
    words,
    kept,
    begin,
    changed,
    sheetClass = '',
    isLong,
    Sheet,
    Prediction,
    Worked,
  } = parts;
  const rig: RigOf<F> = subject.rig;
  const asked = useAsked<F>(family, block, subject, round);
  const { question, key, given, commit } = asked;
  const keyNow = key?.ok ? key.key : null;
  const [draft, setDraft] = useKept<D>(kept, () =>
    begin(question, rig, keyNow, `${block.id} ${round}`),
  );
  const onDraft = (change: Partial<D>) =>
    setDraft(changed ? changed(draft, change) : { ...draft, ...change });
  const shown = { question, rig, keyNow };
  return (
    <StageFrame
      {...frame}
      asked={asked}
      words={words}
      sheetClass={isLong?.(question) ? `${sheetClass} is-long` : sheetClass}
      sheet={<Sheet {...shown} answer={given} draft={draft} onDraft={onDraft} />}
      prediction={<Prediction {...{ question, rig, draft, onDraft }} onCommit={commit} />}
      worked={Worked && given && <Worked {...shown} answer={given} />}
    />
  );
}
