import { lazyPart } from '../../shared/lazyPart';
import { useTranslation } from 'react-i18next';
import type { Lesson, LessonStep } from '../../../core/lesson';
import { useAppDispatch, useAppSelector } from '../../state/hooks';
import { useShortcuts } from '../../shared/useShortcuts';
import { FocusStage } from './FocusStage';
import { NextButton } from './NextButton';
import { ReadingBlocks } from './ReadingBlocks';
import { StepTags } from './StepTags';
import { RECORD, selectPlayer, stepShown } from './playerSlice';
import { useFocus } from './usePlayerStep';
import './Player.css';

/** Grading takes more to load than asking: it comes with the record. */
const RecordPanel = lazyPart(async () => (await import('./RecordPanel')).RecordPanel);

interface Props {
  lesson: Lesson;
  /** The lesson has been changed since it was begun. */
  earlier: boolean;
}

/** The player: steps as tags, the drawing, and beside it what is said and asked. */
export function Player({ lesson, earlier }: Props) {
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
    <main className="player with-foot" id="main">
      <StepTags
        lesson={lesson}
        current={ids[index] ?? RECORD}
        earlier={earlier}
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
  if (focus) return <FocusStage lesson={lesson} focus={focus} round={round} {...frame} />;
  return (
    <section className="player-reading" aria-label={t('player.step')}>
      {heading}
      {blocks}
      <NextButton {...next} />
    </section>
  );
}
