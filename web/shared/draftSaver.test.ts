import { jest } from '@jest/globals';
import { draftSaver, saverState, waitFor } from './draftSaver';

/** A draft that is typed letter by letter into a store that can be told to refuse, to ask, or to take its time. */
function typed() {
  const store = { text: '', base: '', writes: 0, answer: true, fails: false, slow: 0 };
  const saver = draftSaver('');
  const save = async (draft: string, base: string) => {
    if (store.slow > 0) await new Promise((done) => setTimeout(done, store.slow));
    if (store.fails) throw new DOMException('no room', 'QuotaExceededError');
    if (!store.answer) return false;
    store.text = draft;
    store.base = base;
    store.writes += 1;
    return true;
  };
  const type = (draft: string, sound = true) => saver.changed({ draft, sound, save });
  return { store, saver, type };
}

const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

describe('a draft is kept', () => {
  beforeEach(() => void jest.useFakeTimers());
  afterEach(() => void jest.useRealTimers());

  test('a pause in the typing saves, once', async () => {
    const { store, saver, type } = typed();
    type('a');
    await pass(600);
    type('ab');
    await pass(600);
    expect(store.text).toBe('');
    await pass(150);
    expect(store).toMatchObject({ text: 'ab', writes: 1 });
    expect(saver.clean()).toBe(true);
    await pass(5000);
    expect(store.writes).toBe(1);
  });

  test('each save says what it was made on, and the next change has its own pause', async () => {
    const { store, type } = typed();
    type('a');
    await pass(3000);
    type('ab');
    await pass(600);
    expect(store).toMatchObject({ text: 'a', base: '' });
    await pass(200);
    expect(store).toMatchObject({ text: 'ab', base: 'a' });
  });

  test('who never pauses loses two seconds at most', async () => {
    const { store, type } = typed();
    let unsaved = 0;
    for (let k = 1; k <= 450; k++) {
      type('x'.repeat(k));
      await pass(100);
      unsaved = Math.max(unsaved, k - store.text.length);
    }
    expect(unsaved).toBeLessThanOrEqual(20);
    expect(waitFor(5000, 3200)).toBe(200);
    expect(waitFor(5000, 1000)).toBe(0);
  });

  test('the same draft drawn again does not put the save off', async () => {
    const { store, type } = typed();
    type('a');
    for (let k = 0; k < 8; k++) {
      await pass(100);
      type('a');
    }
    expect(store.text).toBe('a');
  });

  test('what is typed while a save runs is saved after it, without another pause', async () => {
    const { store, saver, type } = typed();
    store.slow = 400;
    type('a');
    const all = saver.saveNow();
    await pass(200);
    type('ab');
    await pass(700);
    expect(await all).toBe(true);
    expect(store).toMatchObject({ text: 'ab', writes: 2 });
  });

  test('two who ask at once wait for one save', async () => {
    const { store, saver, type } = typed();
    store.slow = 50;
    type('a');
    const both = Promise.all([saver.saveNow(), saver.saveNow()]);
    await pass(100);
    expect(await both).toEqual([true, true]);
    expect(store.writes).toBe(1);
  });

  test('what could not be kept is said, and tried again when it changes', async () => {
    const { store, saver, type } = typed();
    store.fails = true;
    type('a');
    await pass(5000);
    expect(saver.now()).toEqual({
      state: 'failed',
      kept: '',
      reason: 'QuotaExceededError: no room',
    });
    store.fails = false;
    await pass(5000);
    expect(store.writes).toBe(0);
    type('ab');
    await pass(800);
    expect(store.text).toBe('ab');
    expect(saver.now().state).toBe('idle');
  });

  test('where something must be decided first, nothing is saved until it is', async () => {
    const { store, saver, type } = typed();
    store.answer = false;
    type('mine');
    await pass(800);
    expect(saver.now().state).toBe('stopped');
    store.answer = true;
    type('mine, longer');
    await pass(5000);
    expect(store.writes).toBe(0);
    saver.rebase('theirs');
    await pass(800);
    expect(store.text).toBe('mine, longer');
  });

  test('what was refused is kept as soon as something else is known to be stored', async () => {
    const { store, saver, type } = typed();
    store.fails = true;
    type('mine');
    await pass(800);
    store.fails = false;
    saver.rebase('theirs');
    await pass(800);
    expect(store).toMatchObject({ text: 'mine', base: 'theirs' });
    expect(saver.now().reason).toBe('');
  });

  test('a draft that can not be opened again is not kept until it can', async () => {
    const { store, saver, type } = typed();
    type('{', false);
    await pass(5000);
    expect(store.writes).toBe(0);
    expect(await saver.saveNow()).toBe(false);
    type('{}');
    await pass(800);
    expect(store.text).toBe('{}');
  });

  test('taking a change back leaves nothing to save', async () => {
    const { store, saver, type } = typed();
    type('a');
    type('');
    await pass(5000);
    expect(store.writes).toBe(0);
    expect(saver.clean()).toBe(true);
  });

  test('a change that is taken back while it is being saved is not saved yet, and then is', async () => {
    const { store, saver, type } = typed();
    store.slow = 400;
    type('a');
    await pass(800);
    type('');
    expect(saverState(saver.now(), '')).toBe('saving');
    expect(saver.clean()).toBe(false);
    await pass(400);
    expect(store.text).toBe('a');
    expect(saverState(saver.now(), '')).toBe('saving');
    await pass(400);
    expect(store).toMatchObject({ text: '', base: 'a', writes: 2 });
    expect(saver.clean()).toBe(true);
  });

  test('listeners hear of each state, until they leave', async () => {
    const { saver, type } = typed();
    const heard: string[] = [];
    const leave = saver.subscribe(() => heard.push(saver.now().state));
    type('a');
    await pass(800);
    leave();
    type('ab');
    await pass(800);
    expect(heard).toEqual(['saving', 'saving', 'idle']);
  });
});
