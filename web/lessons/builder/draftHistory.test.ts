import { ActionCreators } from 'redux-undo';
import type { Unit } from '../../../core/geartrain';
import { newBlock, newLesson, newStep, newUnitQuestion } from '../../../core/lesson';
import { newUnit } from '../../models/units/editor/unitEdits';
import { draftHistoryReducer, type DraftHistory } from './draftHistory';
import {
  blockAdded,
  blockChanged,
  blockMoved,
  draftOpened,
  stepAdded,
  stepMoved,
  stepRemoved,
  stepRenamed,
  titleChanged,
} from './draftSlice';

const lesson = newLesson('l', 'Title', newStep('s1', 'One'));
type Action = Parameters<typeof draftHistoryReducer>[1];
const run = (...actions: Action[]) =>
  actions.reduce<DraftHistory>(
    (state, action) => draftHistoryReducer(state, action),
    draftHistoryReducer(undefined, draftOpened(lesson)),
  );
const undo = ActionCreators.undo() as unknown as Action;
const redo = ActionCreators.redo() as unknown as Action;

test('a freshly opened lesson has nothing to undo, whatever was open before', () => {
  const state = draftHistoryReducer(
    run(titleChanged('x')),
    draftOpened({ ...lesson, id: 'other' }),
  );
  expect(state.past).toHaveLength(0);
  const changed = draftHistoryReducer(state, titleChanged('y'));
  expect(draftHistoryReducer(changed, undo).present?.id).toBe('other');
});

test('keystrokes in one field are one step of undo, other changes each their own', () => {
  const state = run(
    titleChanged('A'),
    titleChanged('AB'),
    stepAdded({ step: newStep('s2', 'Two'), at: 1 }),
  );
  expect(state.past).toHaveLength(2);
  const back = draftHistoryReducer(state, undo);
  expect([back.present?.title, back.present?.steps.length]).toEqual(['AB', 1]);
  expect(draftHistoryReducer(back, undo).present?.title).toBe('Title');
  expect(draftHistoryReducer(back, redo).present?.steps).toHaveLength(2);
});

test('steps and blocks are added, moved, changed and taken out', () => {
  const block = (id: string) => newBlock('text', id);
  const state = run(
    stepAdded({ step: newStep('s2', 'Two'), at: 1 }),
    stepMoved({ from: 1, to: 0 }),
    blockAdded({ stepId: 's1', block: block('a'), at: 0 }),
    blockAdded({ stepId: 's1', block: block('b'), at: 0 }),
    blockMoved({ stepId: 's1', from: 1, to: 0 }),
    blockChanged({ stepId: 's1', block: { id: 'b', kind: 'text', markdown: 'hello' } }),
    stepRenamed({ stepId: 's2', title: 'Second' }),
  );
  expect(state.present?.steps.map((s) => s.title)).toEqual(['Second', 'One']);
  expect(state.present?.steps[1]?.blocks).toEqual([
    block('a'),
    { id: 'b', kind: 'text', markdown: 'hello' },
  ]);
  const removed = draftHistoryReducer(state, stepRemoved({ stepId: 's1' }));
  expect(removed.present?.steps).toHaveLength(1);
  expect(draftHistoryReducer(removed, undo).present?.steps).toHaveLength(2);
});

test('a lesson carries the units its blocks are about, and lets go of the others', () => {
  const unit = (id: string) => newUnit(id, (key) => key);
  const bench = (id: string, about: Unit) => newBlock('unit-bench', id, undefined, { unit: about });
  const add = (id: string, about: Unit) =>
    blockAdded({ stepId: 's1', block: bench(id, about), at: 0, models: [about] });
  const [a, b] = [unit('a'), unit('b')];
  const state = run(add('x', a), add('y', b));
  expect(state.present?.units?.map((u) => u.id)).toEqual(['a', 'b']);
  const newer = { ...a, name: 'Newer' };
  const changed = draftHistoryReducer(
    state,
    blockChanged({ stepId: 's1', block: bench('x', newer), models: [newer] }),
  );
  expect(changed.present?.units?.find((u) => u.id === 'a')?.name).toBe('Newer');
  const question = newUnitQuestion('trace-path', b);
  const asked = draftHistoryReducer(
    changed,
    blockChanged({ stepId: 's1', block: { id: 'x', kind: 'question', question } }),
  );
  expect(asked.present?.units?.map((u) => u.id)).toEqual(['b']);
  const emptied = draftHistoryReducer(asked, stepRemoved({ stepId: 's1' }));
  expect(emptied.present?.units).toBeUndefined();
  expect(draftHistoryReducer(emptied, undo).present?.units).toHaveLength(1);
});
