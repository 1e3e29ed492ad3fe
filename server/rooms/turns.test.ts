import { Turns } from './turns';

test('in one room after the other, whatever fails; another room does not wait; the last is waited for', async () => {
  const turns = new Turns();
  const said: string[] = [];
  let go: () => void = () => undefined;
  const first = turns.take('A', async () => {
    await new Promise<void>((done) => (go = done));
    said.push('first');
    throw new Error('no disk');
  });
  const second = turns.take('A', () => said.push('second'));
  await turns.take('B', () => said.push('elsewhere'));
  expect(said).toEqual(['elsewhere']);
  const all = turns.done().then(() => said.push('all'));
  go();
  await expect(first).rejects.toThrow('no disk');
  await second;
  await all;
  expect(said).toEqual(['elsewhere', 'first', 'second', 'all']);
});
