import type { Range, Unit } from '../../core/geartrain';
import { turns } from './turns';
import { unitAnswers, type UnitQuestion } from './unitAnswers';

const unit = (id: string) => ({ id, ranges: [] as readonly Range[] }) as unknown as Unit;
const ALL: readonly Range[] = [];
const stays = () => new AbortController().signal;

/** A question whose answers come when they are let through, and what it was asked. */
function slow() {
  const log: string[] = [];
  const doors: (() => void)[] = [];
  const question: UnitQuestion<string> = {
    answer: (of, _ranges, signal) =>
      new Promise((done, fail) => {
        log.push(`begins ${of.id}`);
        signal.addEventListener('abort', () => fail(new DOMException('cancelled', 'AbortError')));
        doors.push(() => done(`of ${of.id}`));
      }),
  };
  const pass = async () => {
    await settle();
    doors.shift()?.();
    await settle();
  };
  return { question, log, pass };
}
const settle = () => new Promise((done) => setTimeout(done, 0));

describe('answers about a large unit', () => {
  test('one is worked out at a time, in the order in which they were asked', async () => {
    const { question, log, pass } = slow();
    const answers = unitAnswers(turns(2));
    const both = ['a', 'b'].map((id) => answers.ask(question, unit(id), ALL, stays()));
    await settle();
    expect(log).toEqual(['begins a']);
    await pass();
    expect(log).toEqual(['begins a', 'begins b']);
    await pass();
    expect(await Promise.all(both)).toEqual(['of a', 'of b']);
  });

  test('what was answered is known, of this very unit and these ranges', async () => {
    const { question, log, pass } = slow();
    const answers = unitAnswers(turns(2));
    const a = unit('a');
    const first = answers.ask(question, a, ALL, stays());
    expect(answers.known(question, a, ALL)).toBeUndefined();
    await pass();
    await first;
    expect(answers.known(question, a, ALL)).toBe('of a');
    expect(await answers.ask(question, a, ALL, stays())).toBe('of a');
    expect(log).toEqual(['begins a']);
    expect(answers.known(question, { ...a }, ALL)).toBeUndefined();
    expect(answers.known(question, a, [])).toBeUndefined();
    expect(answers.known({ ...question }, a, ALL)).toBeUndefined();
  });

  test('two who ask for the same wait for one', async () => {
    const { question, log, pass } = slow();
    const answers = unitAnswers(turns(2));
    const a = unit('a');
    const both = [1, 2].map(() => answers.ask(question, a, ALL, stays()));
    await pass();
    expect(await Promise.all(both)).toEqual(['of a', 'of a']);
    expect(log).toHaveLength(1);
  });

  test('who leaves is not worked for: neither while it runs nor while it waits', async () => {
    const { question, log, pass } = slow();
    const answers = unitAnswers(turns(2));
    const [running, waiting] = [new AbortController(), new AbortController()];
    const first = answers.ask(question, unit('a'), ALL, running.signal);
    const second = answers.ask(question, unit('b'), ALL, waiting.signal);
    const third = answers.ask(question, unit('c'), ALL, stays());
    await settle();
    waiting.abort();
    running.abort();
    await expect(first).rejects.toThrow('cancelled');
    await expect(second).rejects.toThrow();
    await pass();
    // The door of the first was never opened: the next in the list is that of the third.
    await pass();
    expect(await third).toBe('of c');
    expect(log).toEqual(['begins a', 'begins c']);
  });

  test('a failure is not kept, and holds nobody up', async () => {
    const answers = unitAnswers(turns(2));
    const a = unit('a');
    let fails = true;
    const question: UnitQuestion<number> = {
      answer: () => (fails ? Promise.reject(new Error('no')) : Promise.resolve(7)),
    };
    await expect(answers.ask(question, a, ALL, stays())).rejects.toThrow('no');
    fails = false;
    expect(await answers.ask(question, a, ALL, stays())).toBe(7);
  });
});
