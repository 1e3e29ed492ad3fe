import type { ReactNode } from 'react';
import { useTranslation } from 'react-i18next';
import {
  caseOf,
  clutchRigOf,
  isClutchQuestion,
  isCaseQuestion,
  isConverterQuestion,
  isFaultQuestion,
  isUnitQuestion,
  missingFault,
  rigOf,
  setupForStudent,
  unitOf,
  type AnyFault,
  type Lesson,
  type QuestionBlock,
} from '../../../core/lesson';
import { useAppSelector } from '../../app/hooks';
import { QuestionFaultAlert } from '../QuestionFaultAlert';
import { KeptScope } from '../../shared/kept';
import { lazyPart } from '../../shared/lazyPart';
import { NextButton, type Next } from './NextButton';
import { selectPlayer } from './playerSlice';
import { QuestionStage } from './QuestionStage';
import type { Focus } from './usePlayerStep';

const UnitQuestionStage = lazyPart(
  async () => (await import('./UnitQuestionStage')).UnitQuestionStage,
);
const UnitBenchStage = lazyPart(async () => (await import('./UnitBenchStage')).UnitBenchStage);
const ClutchQuestionStage = lazyPart(
  async () => (await import('./ClutchQuestionStage')).ClutchQuestionStage,
);
const ClutchBenchStage = lazyPart(
  async () => (await import('./ClutchBenchStage')).ClutchBenchStage,
);
const PackBenchStage = lazyPart(async () => (await import('./ClutchBenchStage')).PackBenchStage);
const ConverterQuestionStage = lazyPart(
  async () => (await import('./ConverterQuestionStage')).ConverterQuestionStage,
);
const ConverterBenchStage = lazyPart(
  async () => (await import('./ConverterBenchStage')).ConverterBenchStage,
);
const FaultRowStage = lazyPart(async () => (await import('./FaultRowStage')).FaultRowStage);
const CaseStage = lazyPart(async () => (await import('./CaseStage')).CaseStage);
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
      <ConverterQuestionStage
        key={key}
        block={{ ...block, question }}
        rig={rig}
        round={round}
        {...frame}
      />
    );
  }
  if (isClutchQuestion(question)) {
    const rig = clutchRigOf(lesson, question);
    if (!rig) return <ModelMissing fault={missingFault(question)} {...frame} />;
    return (
      <ClutchQuestionStage
        key={key}
        block={{ ...block, question }}
        rig={rig}
        round={round}
        {...frame}
      />
    );
  }
  if (isCaseQuestion(question)) {
    const faultCase = caseOf(lesson, question);
    if (!faultCase) return <ModelMissing fault="case-missing" {...frame} />;
    return (
      <CaseStage
        key={key}
        block={{ ...block, question }}
        faultCase={faultCase}
        round={round}
        {...frame}
      />
    );
  }
  if (isFaultQuestion(question)) {
    const unit = unitOf(lesson, question);
    if (!unit) return <ModelMissing fault="unit-missing" {...frame} />;
    return (
      <FaultRowStage
        key={key}
        block={{ ...block, question }}
        unit={unit}
        round={round}
        {...frame}
      />
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
    <UnitQuestionStage
      key={key}
      block={{ ...block, question }}
      unit={unit}
      round={round}
      {...frame}
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
