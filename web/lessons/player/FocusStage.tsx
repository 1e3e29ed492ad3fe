import { useMemo, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  clutchRigOf,
  missingFault,
  rigOf,
  stepFor,
  subjectFor,
  unitOf,
  type AnyFault,
  type Lesson,
  type QuestionBlock,
} from '../../../core/lesson';
import { useAppSelector } from '../../state/hooks';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { KeptScope } from '../../shared/kept';
import { lazyPart } from '../../shared/lazyPart';
import { NextButton, type Next } from './NextButton';
import { selectPlayer } from './playerSlice';
import { ANY_STAGE } from '../families/stages';
import type { Focus } from './usePlayerStep';

const UnitBenchStage = lazyPart(async () => (await import('./UnitBenchStage')).UnitBenchStage);
const ClutchBenchStage = lazyPart(
  async () => (await import('./ClutchBenchStage')).ClutchBenchStage,
);
const PackBenchStage = lazyPart(async () => (await import('./ClutchBenchStage')).PackBenchStage);
const ConverterBenchStage = lazyPart(
  async () => (await import('./ConverterBenchStage')).ConverterBenchStage,
);
const FaultTableStage = lazyPart(async () => (await import('./FaultTableStage')).FaultTableStage);
const BenchStage = lazyPart(async () => (await import('./BenchStage')).BenchStage);

interface Frame {
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

interface FocusProps extends Frame {
  lesson: Lesson;
  focus: Focus;
  round: number;
}

/** What has the drawing sheet; what is typed or set there belongs to this attempt, block and round. */
export function FocusStage(props: FocusProps) {
  const attempt = useAppSelector(selectPlayer).attempt?.id ?? '';
  return (
    <KeptScope value={`${attempt} ${props.focus.id} ${props.round}`}>
      <Stage {...props} />
    </KeptScope>
  );
}

/** A question, or a bench to operate; each loads when it is first met. */
function Stage({ lesson, focus, round, ...frame }: FocusProps) {
  switch (focus.kind) {
    case 'question':
      return <AskedQuestion lesson={lesson} block={focus} round={round} {...frame} />;
    case 'bench':
      return <BenchStage key={focus.id} block={focus} {...frame} />;
    case 'unit-bench': {
      const unit = unitOf(lesson, focus);
      if (!unit) return <ModelMissing fault="unit-missing" {...frame} />;
      return <UnitBenchStage key={focus.id} block={focus} unit={unit} {...frame} />;
    }
    case 'converter-bench': {
      const rig = rigOf(lesson, focus);
      if (!rig) return <ModelMissing fault="converter-missing" {...frame} />;
      return <ConverterBenchStage key={focus.id} block={focus} rig={rig} {...frame} />;
    }
    case 'clutch-bench': {
      const clutch = clutchRigOf(lesson, focus)?.clutch;
      if (!clutch) return <ModelMissing fault="clutch-missing" {...frame} />;
      return <ClutchBenchStage key={focus.id} block={focus} clutch={clutch} {...frame} />;
    }
    case 'fault-table': {
      const unit = unitOf(lesson, focus);
      if (!unit) return <ModelMissing fault="unit-missing" {...frame} />;
      return <FaultTableStage key={focus.id} block={focus} unit={unit} {...frame} />;
    }
    case 'pack-bench': {
      const pack = clutchRigOf(lesson, focus)?.pack;
      if (!pack) return <ModelMissing fault="pack-missing" {...frame} />;
      return <PackBenchStage key={focus.id} block={focus} pack={pack} {...frame} />;
    }
  }
}

interface AskedProps extends Frame {
  lesson: Lesson;
  block: QuestionBlock;
  round: number;
}

/** A question with what it is about for this student: a gear set of their own, or models of the lesson. */
function AskedQuestion({ lesson, block: whole, round, ...frame }: AskedProps) {
  const { t } = useTranslation();
  const { attempt } = useAppSelector(selectPlayer);
  const student = attempt?.student ?? '';
  const { id } = whole;
  const step = useMemo(() => {
    const before = (attempt?.answers ?? []).filter((a) => a.question === id && a.round < round);
    return stepFor(lesson, whole.question, before);
  }, [lesson, attempt?.answers, whole.question, id, round]);
  const block = useMemo(() => (step ? { ...whole, question: step } : whole), [whole, step]);
  const { question } = block;
  // One subject for the whole stage: keys are computed from it once.
  const subject = useMemo(
    () => subjectFor(lesson, question, { student, lessonId: lesson.id, questionId: id, round }),
    [lesson, question, student, id, round],
  );
  if (!subject) return <ModelMissing fault={missingFault(question)} {...frame} />;
  const Stage = ANY_STAGE[subject.kind];
  const heading = step ? (
    <>
      {frame.heading}
      <p className="quiet">{t('player.stepFirst')}</p>
    </>
  ) : (
    frame.heading
  );
  return (
    <Stage
      key={`${id} ${round}`}
      block={block}
      subject={subject}
      round={round}
      {...frame}
      heading={heading}
    />
  );
}

/** The lesson came without the model that this step is about. */
function ModelMissing({ fault, heading, blocks, next }: Frame & { fault: AnyFault }) {
  const { t } = useTranslation();
  return (
    <section className="player-reading" aria-label={t('player.step')}>
      {heading}
      {blocks}
      <QuestionFaultAlert fault={fault} />
      <NextButton {...next} />
    </section>
  );
}
