import { PAN, type HydraulicPlan } from '../hydraulics';
import { demoFile } from '../tests/demoFile';
import { openValue } from './index';

const plan = demoFile<HydraulicPlan>('hydraulics/quay-valves');

const problemsOf = (value: unknown): string[] => {
  const opened = openValue(value, 'fair-sprocket/hydraulics');
  if (opened.ok) return [];
  if (opened.failure.cause !== 'invalid') return [opened.failure.cause];
  return opened.failure.problems.map((p) => `${p.path}: ${p.code}`);
};

test('the pan is there by itself, and nobody else’s name', () => {
  expect(problemsOf(plan)).toEqual([]);
  const lines = [...plan.lines, { id: PAN, name: 'Sump' }];
  expect(problemsOf({ ...plan, lines })).toEqual([
    `lines[${plan.lines.length}].id: pan-is-predefined`,
  ]);
});

test('whatever a part touches is a passage of the plan, what a spool only feels as well', () => {
  const at = plan.parts.findIndex((p) => p.kind === 'shift-valve');
  for (const felt of ['governor', 'throttle', 'difference']) {
    const parts = plan.parts.map((p, k) =>
      k === at
        ? { ...p, [felt]: { ...(p as unknown as Record<string, object>)[felt], line: 'nowhere' } }
        : p,
    );
    expect(problemsOf({ ...plan, parts })).toEqual([`parts[${at}]: unknown-line`]);
  }
});
