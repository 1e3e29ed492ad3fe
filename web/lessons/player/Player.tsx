import { lazy, Suspense, type ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  clutchRigOf,
  isClutchQuestion,
  isConverterQuestion,
  missingFault,
  isUnitQuestion,
  rigOf,
  setupForStudent,
  unitOf,
  type AnyFault,
  type Lesson,
  type LessonStep,
  type QuestionBlock,
} from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../app/hooks';
import { useShortcuts } from '../../shared/useShortcuts';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { NextButton, type Next } from './NextButton';
import { QuestionStage } from './QuestionStage';
import { ReadingBlocks } from './ReadingBlocks';
import { RecordPanel } from './RecordPanel';
import { StepTags } from './StepTags';
import { RECORD, selectPlayer, stepShown } from './playerSlice';
import { useFocus } from './usePlayerStep';
import './Player.css';

const UnitQuestionStage = lazy(async () => ({
  default: (await import('./UnitQuestionStage')).UnitQuestionStage,
}));
const UnitBenchStage = lazy(async () => ({
  default: (await import('./UnitBenchStage')).UnitBenchStage,
}));
const ClutchQuestionStage = lazy(async () => ({
  default: (await import('./ClutchQuestionStage')).ClutchQuestionStage,
}));
const ClutchBenchStage = lazy(async () => ({
  default: (await import('./ClutchBenchStage')).ClutchBenchStage,
}));
const PackBenchStage = lazy(async () => ({
  default: (await import('./ClutchBenchStage')).PackBenchStage,
}));
const ConverterQuestionStage = lazy(async () => ({
  default: (await import('./ConverterQuestionStage')).ConverterQuestionStage,
}));
const ConverterBenchStage = lazy(async () => ({
  default: (await import('./ConverterBenchStage')).ConverterBenchStage,
}));
const BenchStage = lazy(async () => ({ default: (await import('./BenchStage')).BenchStage }));

/** The player: steps as tags, the drawing, and beside it what is said and asked. */
export function Player({ lesson }: { lesson: Lesson }) {
  const { t } = useTranslation();
  const dispatch = useAppDispatch();
  const player = useAppSelector(selectPlayer);
  const ids = [...lesson.steps.map((s) => s.id), RECORD];
  const index = Math.max(0, ids.indexOf(player.stepId ?? ''));
  const go = (to: number) => {
    const id = ids[to];
    if (id !== undefined) dispatch(stepShown(id));
  };
  useShortcuts({ n: () => go(index + 1), b: () => go(index - 1) });
  const step = lesson.steps[index];
  return (
    <main className="player" id="main">
      <StepTags
        lesson={lesson}
        current={ids[index] ?? RECORD}
        onStep={(id) => go(ids.indexOf(id))}
      />
      {step ? (
        <StepView
          key={step.id}
          lesson={lesson}
          step={step}
          number={index + 1}
          nextTitle={lesson.steps[index + 1]?.title ?? t('player.yourRecord')}
          onNext={() => go(index + 1)}
        />
      ) : (
        <RecordPanel lesson={lesson} />
      )}
    </main>
  );
}

interface StepProps {
  lesson: Lesson;
  step: LessonStep;
  number: number;
  nextTitle: string;
  onNext: () => void;
}

function StepView({ lesson, step, number, nextTitle, onNext }: StepProps) {
  const { t } = useTranslation();
  const player = useAppSelector(selectPlayer);
  const { focus, open, benchesOpen, choose } = useFocus(step, player);
  const round = focus ? (player.rounds[focus.id] ?? 0) : 0;
  const blocks = (
    <ReadingBlocks
      step={step}
      focus={focus}
      benchesOpen={benchesOpen}
      player={player}
      onFocus={choose}
    />
  );
  const heading = (
    <h1 className="player-step-title">
      <span className="quiet">{number}</span> {step.title}
    </h1>
  );
  const questions = step.blocks.filter((b) => b.kind === 'question');
  const next = open
    ? {
        title: t('player.question', { n: questions.indexOf(open) + 1 }),
        go: () => choose(open),
      }
    : { title: nextTitle, go: onNext };
  const frame = { heading, blocks, next };
  if (focus?.kind === 'question')
    return <AskedQuestion lesson={lesson} block={focus} round={round} {...frame} />;
  if (focus?.kind === 'unit-bench') {
    const unit = unitOf(lesson, focus);
    return unit ? (
      <Suspense fallback={null}>
        <UnitBenchStage key={focus.id} block={focus} unit={unit} {...frame} />
      </Suspense>
    ) : (
      <ModelMissing fault="unit-missing" {...frame} />
    );
  }
  if (focus?.kind === 'converter-bench') {
    const rig = rigOf(lesson, focus);
    return rig ? (
      <Suspense fallback={null}>
        <ConverterBenchStage key={focus.id} block={focus} rig={rig} {...frame} />
      </Suspense>
    ) : (
      <ModelMissing fault="converter-missing" {...frame} />
    );
  }
  if (focus?.kind === 'clutch-bench') {
    const clutch = clutchRigOf(lesson, focus)?.clutch;
    return clutch ? (
      <Suspense fallback={null}>
        <ClutchBenchStage key={focus.id} block={focus} clutch={clutch} {...frame} />
      </Suspense>
    ) : (
      <ModelMissing fault="clutch-missing" {...frame} />
    );
  }
  if (focus?.kind === 'pack-bench') {
    const pack = clutchRigOf(lesson, focus)?.pack;
    return pack ? (
      <Suspense fallback={null}>
        <PackBenchStage key={focus.id} block={focus} pack={pack} {...frame} />
      </Suspense>
    ) : (
      <ModelMissing fault="pack-missing" {...frame} />
    );
  }
  if (focus)
    return (
      <Suspense fallback={null}>
        <BenchStage key={focus.id} block={focus} {...frame} />
      </Suspense>
    );
  return (
    <section className="player-reading" aria-label={t('player.step')}>
      {heading}
      {blocks}
      <NextButton {...next} />
    </section>
  );
}

interface Frame {
  heading: ReactNode;
  blocks: ReactNode;
  next: Next;
}

interface AskedProps extends Frame {
  lesson: Lesson;
  block: QuestionBlock;
  round: number;
}

/** A question with what it is about for this student: a gear set of their own, or models of the lesson. */
function AskedQuestion({ lesson, block, round, ...frame }: AskedProps) {
  const player = useAppSelector(selectPlayer);
  const seed = {
    student: player.attempt?.student ?? '',
    lessonId: lesson.id,
    questionId: block.id,
    round,
  };
  const { question } = block;
  const key = `${block.id} ${round}`;
  if (isConverterQuestion(question)) {
    const rig = rigOf(lesson, question);
    if (!rig) return <ModelMissing fault="converter-missing" {...frame} />;
    return (
      <Suspense fallback={null}>
        <ConverterQuestionStage
          key={key}
          block={{ ...block, question }}
          rig={rig}
          round={round}
          {...frame}
        />
      </Suspense>
    );
  }
  if (isClutchQuestion(question)) {
    const rig = clutchRigOf(lesson, question);
    if (!rig) return <ModelMissing fault={missingFault(question)} {...frame} />;
    return (
      <Suspense fallback={null}>
        <ClutchQuestionStage
          key={key}
          block={{ ...block, question }}
          rig={rig}
          round={round}
          {...frame}
        />
      </Suspense>
    );
  }
  if (!isUnitQuestion(question))
    return (
      <QuestionStage
        key={key}
        block={{ ...block, question }}
        setup={setupForStudent(question, seed)}
        round={round}
        {...frame}
      />
    );
  const unit = unitOf(lesson, question);
  if (!unit) return <ModelMissing fault="unit-missing" {...frame} />;
  return (
    <Suspense fallback={null}>
      <UnitQuestionStage
        key={key}
        block={{ ...block, question }}
        unit={unit}
        round={round}
        {...frame}
      />
    </Suspense>
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
