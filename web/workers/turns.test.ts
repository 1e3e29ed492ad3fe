import { besideThePage, turns } from './turns';

const stays = new AbortController().signal;
const settle = () => new Promise((done) => setTimeout(done, 0));

/** Pieces of work that end when they are told to, and which of them began. */
function works() {
  const began: string[] = [];
  const ends = new Map<string, (fail?: Error) => void>();
  const work = (name: string) => () =>
    new Promise<string>((done, fail) => {
      began.push(name);
      ends.set(name, (error) => (error ? fail(error) : done(name)));
    });
  return { began, work, end: (name: string, error?: Error) => ends.get(name)!(error) };
}

test('no more than so many at a time, in the order in which they came; one that fails makes room too', async () => {
  const { began, work, end } = works();
  const inTurn = turns(2);
  const all = ['a', 'b', 'c', 'd'].map((name) => inTurn(work(name), stays));
  await settle();
  expect(began).toEqual(['a', 'b']);
  end('b', new Error('broken'));
  await expect(all[1]).rejects.toThrow('broken');
  await settle();
  expect(began).toEqual(['a', 'b', 'c']);
  for (const name of ['a', 'c']) end(name);
  await settle();
  end('d');
  expect(await Promise.all([all[0], all[2], all[3]])).toEqual(['a', 'c', 'd']);
});

test('what is no longer wanted when its turn comes is not begun, and lets the next in', async () => {
  const { began, work, end } = works();
  const inTurn = turns(1);
  const gone = new AbortController();
  const first = inTurn(work('a'), stays);
  const second = inTurn(work('b'), gone.signal);
  const third = inTurn(work('c'), stays);
  gone.abort();
  end('a');
  await first;
  await expect(second).rejects.toThrow();
  await settle();
  end('c');
  expect(await third).toBe('c');
  expect(began).toEqual(['a', 'c']);
});

test('who comes just as a place is handed on waits like everyone else', async () => {
  const { began, work, end } = works();
  const inTurn = turns(1);
  void inTurn(work('a'), stays);
  void inTurn(work('b'), stays);
  await settle();
  end('a');
  // Between the end of the one and the beginning of the other.
  void Promise.resolve().then(() => inTurn(work('c'), stays));
  await settle();
  expect(began).toEqual(['a', 'b']);
  end('b');
  await settle();
  expect(began).toEqual(['a', 'b', 'c']);
});

test('a core is left to the page, and where there is one only, something is done at all', async () => {
  for (const [cores, at] of [
    [1, 1],
    [2, 1],
    [4, 3],
  ] as const) {
    const { began, work } = works();
    const inTurn = besideThePage(cores);
    for (const name of ['a', 'b', 'c', 'd', 'e']) void inTurn(work(name), stays);
    await settle();
    expect(began).toHaveLength(at);
  }
});
