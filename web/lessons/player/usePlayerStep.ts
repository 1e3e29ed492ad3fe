import { useState } from 'react';
import type {
  BenchBlock,
  ClutchBenchBlock,
  ConverterBenchBlock,
  FaultTableBlock,
  LessonStep,
  PackBenchBlock,
  QuestionBlock,
  ShiftBenchBlock,
  UnitBenchBlock,
} from '../../../core/lesson';
import { answerNow, type PlayerState } from './playerSlice';

/** The block of a step that has the drawing sheet: a question or a free bench. */
export type Focus =
  | QuestionBlock
  | BenchBlock
  | UnitBenchBlock
  | ConverterBenchBlock
  | ShiftBenchBlock
  | ClutchBenchBlock
  | PackBenchBlock
  | FaultTableBlock;

export const takesSheet = (block: LessonStep['blocks'][number]): block is Focus =>
  block.kind === 'question' ||
  block.kind === 'bench' ||
  block.kind === 'unit-bench' ||
  block.kind === 'converter-bench' ||
  block.kind === 'shift-bench' ||
  block.kind === 'clutch-bench' ||
  block.kind === 'pack-bench' ||
  block.kind === 'fault-table';

/** What a student put on the sheet, and on which step. */
export interface Chosen {
  readonly step: string;
  readonly block: string;
}

/**
 * Which block has the sheet: what the student chose, else the first open question, else the last block that
 * can have it. While a question of the step is open, free benches of the step stay closed.
 * @param answered whether this question has an answer now
 */
export function focusOf(
  step: LessonStep,
  chosen: Chosen | null,
  answered: (question: string) => boolean,
): { readonly focus: Focus | null; readonly open: Focus | null } {
  const blocks = step.blocks.filter(takesSheet);
  const open = blocks.find((b) => b.kind === 'question' && !answered(b.id)) ?? null;
  const wanted = blocks.find((b) => chosen?.step === step.id && b.id === chosen.block);
  const allowed = wanted && (wanted.kind === 'question' || !open) ? wanted : null;
  return { focus: allowed ?? open ?? blocks.at(-1) ?? null, open };
}

/** The block on the sheet. It keeps it until another is chosen, so that an answer stays to be read. */
export function useFocus(step: LessonStep, player: PlayerState) {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const { focus, open } = focusOf(step, chosen, (id) => answerNow(player, id) !== undefined);
  if (focus && (chosen?.step !== step.id || chosen.block !== focus.id))
    setChosen({ step: step.id, block: focus.id });
  return {
    focus,
    /** The question of this step that is still to be answered. */
    open: open?.kind === 'question' && open.id !== focus?.id ? open : null,
    benchesOpen: !open,
    choose: (block: Focus) => setChosen({ step: step.id, block: block.id }),
  };
}
