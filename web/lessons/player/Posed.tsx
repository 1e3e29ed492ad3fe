import { useContext, useMemo, useState, type ComponentType } from 'react';
import { useTranslation } from 'react-i18next';
import {
  missingFault,
  posedIn,
  varies,
  type AnyTypes,
  type Family,
  type FamilyName,
  type Lesson,
  type QuestionBlock,
  type TypesOf,
} from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { ModelMissing, type FocusFrame } from './ModelMissing';
import { PaperContext } from './onPaper';
import { selectPlayer } from './playerSlice';
import type { StageProps } from './StageFrame';

export interface AskedProps extends FocusFrame {
  lesson: Lesson;
  block: QuestionBlock;
  round: number;
}

interface PosedProps<F extends FamilyName> extends AskedProps {
  family: Family<TypesOf[F]>;
  Stage: ComponentType<StageProps<F>>;
}

/**
 * A question as this student gets it in this round: with numbers of their own, and one step of it by itself after wrong
 * answers.
 */
export function Posed<F extends FamilyName>({
  family,
  Stage,
  lesson,
  block: whole,
  round,
  ...frame
}: PosedProps<F>) {
  const row = family as unknown as Family<AnyTypes>;
  // Question and subject are of this very family.
  const AnyStage = Stage as unknown as ComponentType<StageProps<FamilyName>>;
  const { t } = useTranslation();
  const player = useAppSelector(selectPlayer);
  const paper = useContext(PaperContext);
  const attempt = paper ? null : player.attempt;
  const student = paper ? paper.student : (attempt?.student ?? '');
  const { id } = whole;
  // One question and one subject for the whole stage: keys are computed from them once. What came before does not change
  // while a round goes on; a commit of this very round is no reason to draw again.
  const [before] = useState(() =>
    (attempt?.answers ?? []).filter((a) => a.question === id && a.round < round),
  );
  const { question, subject, step, drawn } = useMemo(() => {
    const seed = { student, lessonId: lesson.id, questionId: id, round };
    return posedIn(row, lesson, whole.question, seed, before);
  }, [lesson, whole.question, before, row, student, id, round]);
  const block = useMemo(
    () => ({ ...whole, question, ...(drawn === null ? {} : { drawn }) }),
    [whole, question, drawn],
  );
  if (!subject) return <ModelMissing fault={missingFault(question)} {...frame} />;
  const heading = step ? (
    <>
      {frame.heading}
      <p className="quiet">{t('player.stepFirst')}</p>
    </>
  ) : (
    frame.heading
  );
  return (
    <AnyStage
      block={block}
      subject={subject}
      round={round}
      varies={varies(row, question)}
      {...frame}
      heading={heading}
    />
  );
}
