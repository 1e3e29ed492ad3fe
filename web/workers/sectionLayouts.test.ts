import { sectionDrawing } from '../../core/drawing';
import type { Unit } from '../../core/geartrain';
import { sectionLayouts } from './sectionLayouts';
import { turns } from './turns';
import { demoFile } from '../../core/tests/demoFile';

const unit = demoFile<Unit>('units/skerry-three');
const signal = new AbortController().signal;
const ignore = () => undefined;

test('a unit is laid out once, whatever its names and ranges become', async () => {
  let calls = 0;
  const layouts = sectionLayouts((u, keep) => {
    calls++;
    return Promise.resolve(sectionDrawing(u, keep));
  }, turns(1));
  expect(layouts.known(unit)).toBeUndefined();
  const first = await layouts.layOut(unit, [], signal, ignore);
  const renamed = { ...unit, name: 'Other', ranges: [] };
  expect(await layouts.layOut(renamed, [], signal, ignore)).toBe(first);
  expect(layouts.known(renamed)).toBe(first);
  expect(calls).toBe(1);
  await layouts.layOut({ ...unit, output: 'sun' }, [], signal, ignore);
  expect(calls).toBe(2);
});

test('the oldest go, and a failure is not kept', async () => {
  let fail = true;
  const layouts = sectionLayouts(
    (u) => (fail ? Promise.reject(new Error('no')) : Promise.resolve(sectionDrawing(u))),
    turns(1),
  );
  await expect(layouts.layOut(unit, [], signal, ignore)).rejects.toThrow('no');
  fail = false;
  await layouts.layOut(unit, [], signal, ignore);
  for (let k = 0; k < 40; k++) await layouts.layOut({ ...unit, id: `u${k}` }, [], signal, ignore);
  expect(layouts.known(unit)).toBeUndefined();
  expect(layouts.known({ ...unit, id: 'u39' })).toBeDefined();
});
