import { createSlice, current, type PayloadAction } from '@reduxjs/toolkit';
import {
  CARRIED_LISTS,
  carrying,
  type Block,
  type Carried,
  type Lesson,
  type LessonStep,
} from '../../../core/lesson';

/** The lesson being built. Undo and redo wrap this reducer (see `app/store.ts`). */
export type DraftState = Lesson | null;

interface InStep {
  stepId: string;
}

const stepOf = (draft: Lesson, id: string): LessonStep | undefined =>
  draft.steps.find((s) => s.id === id);

/** Puts models into the lesson, and lets go of those that no block is about any more. */
function carry(draft: Lesson, models: readonly Carried[]): void {
  const next = carrying(current(draft), models);
  for (const list of CARRIED_LISTS)
    if (next[list]) draft[list] = next[list] as never;
    else delete draft[list];
}

function move<T>(items: T[], from: number, to: number): void {
  const [item] = items.splice(from, 1);
  if (item !== undefined) items.splice(to, 0, item);
}

const slice = createSlice({
  name: 'draft',
  initialState: null as DraftState,
  reducers: {
    draftOpened: (_draft, action: PayloadAction<Lesson>) => action.payload,
    draftClosed: () => null,
    /** Another version in its place; it can be undone like any edit. */
    draftReplaced: (_draft, action: PayloadAction<Lesson>) => action.payload,
    titleChanged: (draft, action: PayloadAction<string>) => {
      if (draft) draft.title = action.payload;
    },
    summaryChanged: (draft, action: PayloadAction<string>) => {
      if (draft) draft.summary = action.payload;
    },
    tagsChanged: (draft, action: PayloadAction<string[]>) => {
      if (!draft) return;
      if (action.payload.length === 0) delete draft.tags;
      else draft.tags = action.payload;
    },
    authorChanged: (draft, action: PayloadAction<string>) => {
      if (!draft) return;
      if (action.payload === '') delete draft.author;
      else draft.author = action.payload;
    },
    stepAdded: (draft, action: PayloadAction<{ step: LessonStep; at: number }>) => {
      draft?.steps.splice(action.payload.at, 0, action.payload.step);
    },
    stepRemoved: (draft, action: PayloadAction<InStep>) => {
      if (!draft) return;
      draft.steps = draft.steps.filter((s) => s.id !== action.payload.stepId);
      carry(draft, []);
    },
    stepRenamed: (draft, action: PayloadAction<InStep & { title: string }>) => {
      const step = draft && stepOf(draft, action.payload.stepId);
      if (step) step.title = action.payload.title;
    },
    stepNoted: (draft, action: PayloadAction<InStep & { notes: string }>) => {
      const step = draft && stepOf(draft, action.payload.stepId);
      if (!step) return;
      if (action.payload.notes === '') delete step.notes;
      else step.notes = action.payload.notes;
    },
    stepMoved: (draft, action: PayloadAction<{ from: number; to: number }>) => {
      if (draft) move(draft.steps, action.payload.from, action.payload.to);
    },
    blockAdded: (
      draft,
      action: PayloadAction<InStep & { block: Block; at: number; models?: readonly Carried[] }>,
    ) => {
      const step = draft && stepOf(draft, action.payload.stepId);
      step?.blocks.splice(action.payload.at, 0, action.payload.block);
      if (draft && action.payload.models) carry(draft, action.payload.models);
    },
    blockRemoved: (draft, action: PayloadAction<InStep & { blockId: string }>) => {
      const step = draft && stepOf(draft, action.payload.stepId);
      if (!draft || !step) return;
      step.blocks = step.blocks.filter((b) => b.id !== action.payload.blockId);
      carry(draft, []);
    },
    blockChanged: (
      draft,
      action: PayloadAction<InStep & { block: Block; models?: readonly Carried[] }>,
    ) => {
      const step = draft && stepOf(draft, action.payload.stepId);
      const index = step?.blocks.findIndex((b) => b.id === action.payload.block.id) ?? -1;
      if (!draft || !step || index < 0) return;
      step.blocks[index] = action.payload.block;
      carry(draft, action.payload.models ?? []);
    },
    blockMoved: (draft, action: PayloadAction<InStep & { from: number; to: number }>) => {
      const step = draft && stepOf(draft, action.payload.stepId);
      if (step) move(step.blocks, action.payload.from, action.payload.to);
    },
  },
});

export const {
  draftOpened,
  draftClosed,
  draftReplaced,
  tagsChanged,
  titleChanged,
  summaryChanged,
  authorChanged,
  stepAdded,
  stepRemoved,
  stepNoted,
  stepRenamed,
  stepMoved,
  blockAdded,
  blockRemoved,
  blockChanged,
  blockMoved,
} = slice.actions;
export const draftReducer = slice.reducer;

/** Keystrokes in one field make one step of undo; anything else stands alone (`null`). */
export function undoGroup(action: { type: string; payload?: unknown }): string | null {
  const payload = action.payload as { stepId?: string; block?: Block } | undefined;
  if (blockChanged.match(action)) return `${action.type} ${payload?.block?.id}`;
  if (stepNoted.match(action) || stepRenamed.match(action))
    return `${action.type} ${payload?.stepId}`;
  const typed = [titleChanged.type, summaryChanged.type, authorChanged.type] as string[];
  return typed.includes(action.type) ? action.type : null;
}
