import { isDue } from './everything';

const DAY = 24 * 3600 * 1000;
const NOW = Date.parse('2030-06-01T08:00:00Z');
const made = (days: number, own = true) => ({ own, at: NOW - days * DAY });
const taken = (days: number) => new Date(NOW - days * DAY).toISOString();

test.each([
  ['nothing of one’s own', [made(400, false)], null, false],
  ['a week of work', [made(7)], null, false],
  ['a month of work, never taken', [made(31), made(2)], null, true],
  ['taken after it', [made(31)], taken(10), false],
  ['new work since, not yet a month old', [made(90), made(20)], taken(40), false],
  ['a month of work since it was taken', [made(90), made(35)], taken(40), true],
] as const)('%s', (_name, work, last, due) => {
  expect(isDue(work, last, NOW)).toBe(due);
});
