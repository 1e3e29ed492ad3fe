import { planFor } from '../../core/hydraulics';
import { demoUnit, demoUnits } from '../../core/tests/demoFile';
import { belongsTo, cableText, lineName, partName } from './oilWords';
import { testWords } from '../tests/words';

const t = await testWords();

test.each([
  [0, 'as made'],
  [0.004, 'as made'],
  [0.25, 'let out, 25 % of the travel'],
  [-0.4, 'taken up, 40 % of the travel'],
])('a cable’s adjuster at %d is %s', (slack, text) => {
  expect(cableText(t, slack).replaceAll(/\s/g, ' ')).toBe(text);
});

test.each(
  demoUnits().flatMap((u) => (['valves', 'solenoids'] as const).map((s) => [u.id, s, u] as const)),
)('%s by %s: every part has a name of its own, and none is a key', (_id, shifting, unit) => {
  const plan = planFor(unit, { shifting });
  const names = plan.parts.map((part) => partName(t, part, plan));
  for (const name of names) expect(name).not.toMatch(/^oil\.|^$/);
  const kinds = new Set(['shuttle', 'restriction']);
  const told = names.filter((_n, k) => !kinds.has(plan.parts[k]!.kind));
  expect(new Set(told).size).toBe(told.length);
  for (const { id } of plan.lines) expect(lineName(t, plan, id)).not.toMatch(/^oil\./);
});

test('what lies before an element is called after it, what serves all after nobody', () => {
  const plan = planFor(demoUnit('quay-four'));
  const of = (id: string) =>
    belongsTo(
      plan.parts.find((p) => p.id === id)!,
      plan,
    );
  expect(of('feed-B1')).toBe('B1');
  expect(of('acc-B1')).toBe('B1');
  expect(of('shift-2')).toBe('2–3');
  for (const id of ['pump', 'regulator', 'manual', 'governor']) {
    const part = plan.parts.find((p) => p.id === id || p.id === `${id}-valve`);
    if (part) expect(belongsTo(part, plan)).toBe('');
  }
});
