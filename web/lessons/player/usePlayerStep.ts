import { useState } from 'react';
import type { BenchBlock, LessonStep, QuestionBlock, UnitBenchBlock } from '../../../core/lesson';
import { answerNow, type PlayerState } from './playerSlice';

/** The block of a step that has the drawing sheet: a question or a free bench. */
export type Focus = QuestionBlock | BenchBlock | UnitBenchBlock;

export const takesSheet = (block: LessonStep['blocks'][number]): block is Focus =>
  block.kind === 'question' || block.kind === 'bench' || block.kind === 'unit-bench';

/**
 * Which block has the sheet: what the student chose, else the first open question, else the last block that
 * can have it. While a question of the step is open, free benches of the step stay closed.
 */
export function useFocus(step: LessonStep, player: PlayerState) {
  const [chosen, setChosen] = useState<{ step: string; block: string } | null>(null);
  const blocks = step.blocks.filter(takesSheet);
  const open = blocks.find((b) => b.kind === 'question' && !answerNow(player, b.id));
  const wanted = blocks.find((b) => chosen?.step === step.id && b.id === chosen.block);
  const allowed = wanted && (wanted.kind === 'question' || !open) ? wanted : undefined;
  const focus: Focus | null = allowed ?? open ?? blocks.at(-1) ?? null;
  return {
    focus,
    benchesOpen: !open,
    choose: (block: Focus) => setChosen({ step: step.id, block: block.id }),
  };
}
