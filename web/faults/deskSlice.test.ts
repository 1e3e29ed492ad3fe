import { atlasChanged, atlasReducer } from './atlasSlice';
import { caseLaid, deskChanged, deskReducer, selectDesk, workChanged } from './deskSlice';
import { readingsOf } from './deskWork';
import { NEW_WORK } from './work';

const begin = () => deskReducer(undefined, { type: 'start' });
const DRAW = { seed: 's', difficulty: 'hard' } as const;

test('work at the desk is kept piece by piece', () => {
  let state = begin();
  state = deskReducer(state, workChanged({ check: 'fluid' }));
  state = deskReducer(state, workChanged({ crossed: ['C1=burnt'] }));
  expect(state.work).toEqual({ ...NEW_WORK, check: 'fluid', crossed: ['C1=burnt'] });
  state = deskReducer(state, deskChanged({ difficulty: 'hard' }));
  expect(state.work.check).toBe('fluid');
  expect(selectDesk({ desk: state }).difficulty).toBe('hard');
});

test('a new case begins with nothing done; whether the desk helps stays', () => {
  let state = deskReducer(begin(), workChanged({ helps: true, named: ['C1=burnt'], given: true }));
  state = deskReducer(state, caseLaid({ caseId: 'a', drawn: DRAW }));
  expect(state.work).toEqual({ ...NEW_WORK, helps: true });
  expect([state.caseId, state.drawn]).toEqual(['a', DRAW]);
  state = deskReducer(state, caseLaid({ caseId: 'b', drawn: null }));
  expect(state.drawn).toBeNull();
});

test('the log gives readings of checks that the machine has', () => {
  const check = {
    id: 'fluid',
    kind: 'fluid' as const,
    target: '',
    minutes: 3,
    lift: false,
    removal: false,
    machine: 'automatic' as const,
    needs: {},
  };
  const entry = (id: string) => ({
    check: id,
    expected: 'red',
    safe: true,
    answer: { word: 'red' },
  });
  expect(readingsOf([check], [entry('fluid'), entry('gone')])).toEqual([
    { check, answer: { word: 'red' } },
  ]);
});

test('the atlas keeps what was seen and how often faults are met', () => {
  let state = atlasReducer(undefined, { type: 'start' });
  state = atlasReducer(state, atlasChanged({ seen: { D1: 'neutral' } }));
  state = atlasReducer(state, atlasChanged({ priors: { burnt: 9 } }));
  expect(state).toMatchObject({ seen: { D1: 'neutral' }, priors: { burnt: 9 }, chosen: null });
});
