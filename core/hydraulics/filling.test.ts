import { circuitOf } from './circuit';
import { OIL_SOUND, type OilCondition } from './condition';
import { fill, FILL_STEP } from './filling';
import type { HydraulicPlan } from './plan';
import { PORT } from './ports';
import { changedPart } from './tests/handPlans';
import { FEED, onePiston, PISTON } from './tests/onePiston';

const RUNNING = { throttle: 0, outputRpm: 0, engineRpm: 3000, celsius: 80 };

/** The lever from one place to the other, and what becomes of C1. */
function moved(
  plan: HydraulicPlan,
  from: 'N' | 'D',
  to: 'N' | 'D',
  more: { waits?: ReadonlyMap<string, number>; seconds?: number; rpm?: number } = {},
  condition: OilCondition = OIL_SOUND,
) {
  const { seconds = 2, rpm = RUNNING.engineRpm, waits } = more;
  const circuit = circuitOf(plan, condition);
  const at = (lever: string) => ({ ...RUNNING, engineRpm: rpm, lever });
  const run = fill({
    circuit,
    running: at(to),
    before: circuit.at(at(from)),
    after: circuit.at(at(to)),
    elements: ['C1'],
    seconds,
    ...(waits ? { waits } : {}),
  });
  return { line: run.line, ...run.elements.get('C1')! };
}

const AREA = PISTON.area;
const FILL = AREA * PISTON.travel;
const [FIRST, TOUCH] = [0.5, 1].map((share) => (share * PISTON.returnForce) / AREA) as [
  number,
  number,
];
/** Feed and port in a row. */
const through = (k: number) => 1 / Math.sqrt(1 / k ** 2 + 1 / PORT ** 2);

// Derived by hand: p = p₁ + (p₂ − p₁)·V/V_f while the piston travels, so t = 2·V_f·(√(p_l − p₁) − √(p_l − p₂))/(k·(p₂ − p₁)).
test('a piston touches after the time that its closed form gives', () => {
  const { line, touches } = moved(onePiston(), 'N', 'D');
  const press = line[0]!;
  const takes =
    (2 * FILL * (Math.sqrt(press - FIRST) - Math.sqrt(press - TOUCH))) /
    (through(FEED.in) * (TOUCH - FIRST));
  expect(Math.abs(touches! / takes - 1)).toBeLessThan(0.03);
});

// By hand: half the opening takes twice the time, near enough, since the port behind it is much larger.
test('a feed half as large fills in twice the time', () => {
  const half = changedPart(onePiston(), 'feed', { in: FEED.in / 2 });
  const slow = moved(half, 'N', 'D').touches! / moved(onePiston(), 'N', 'D').touches!;
  expect(slow).toBeGreaterThan(1.95);
  expect(slow).toBeLessThan(2.05);
});

// Published: any text on hydraulics, a fixed-displacement pump gives n·V; what it gives and nobody spills fills the room.
test('where the feed is large, the pump decides: the line falls until the room is full', () => {
  const wide = changedPart(onePiston(), 'feed', { in: 2e-6 });
  const rpm = 900;
  const { line, touches } = moved(wide, 'N', 'D', { rpm });
  const given = (rpm / 60) * 20e-6;
  const leaks = (p: number) => 1e-8 * Math.sqrt(p);
  const quickest = FILL / given;
  expect(touches!).toBeGreaterThanOrEqual(quickest - FILL_STEP);
  expect(touches!).toBeLessThan(FILL / (given - leaks(500e3)) + 0.01);
  expect(line[Math.round(touches! / 2 / FILL_STEP)]!).toBeLessThan(0.5 * line.at(-1)!);
});

test('it comes to rest at the pressure of its passage, and stays', () => {
  const { pressures, line } = moved(onePiston(), 'N', 'D');
  expect(pressures.at(-1)! / line.at(-1)!).toBeCloseTo(1, 2);
  const falls = [...pressures].filter((p, k) => k > 0 && p < pressures[k - 1]! - 1e-6);
  expect(falls).toEqual([]);
});

test('let go, it empties; through the larger way out sooner than it filled', () => {
  const { holds, touches } = moved(onePiston(), 'D', 'N');
  expect(touches).toBeNull();
  expect(holds[0]!).toBeGreaterThan(0);
  expect(holds.at(-1)!).toBe(0);
  const gone = (out: number) =>
    moved(changedPart(onePiston(), 'feed', { out }), 'D', 'N').holds.findIndex((h) => h === 0);
  expect(gone(FEED.out)).toBeLessThan(gone(FEED.out / 4));
});

test('an element that waits stands as it was until its valve moves, then goes the same way', () => {
  const waits = new Map([['C1', 0.3]]);
  const late = moved(onePiston(), 'N', 'D', { waits });
  const sound = moved(onePiston(), 'N', 'D');
  expect(late.pressures[Math.round(0.29 / FILL_STEP)]!).toBeCloseTo(late.pressures[0]!, 6);
  expect(late.touches! - sound.touches!).toBeCloseTo(0.3, 2);
});

// By hand: at rest as much goes in as out, so k_in²·(p_l − p) = k_leak²·p.
test('a leaking seal fills late and never presses fully; a large leak never touches', () => {
  const leak = 1e-7;
  const leaking = moved(changedPart(onePiston(), 'piston', { leak }), 'N', 'D');
  expect(leaking.touches!).toBeGreaterThan(moved(onePiston(), 'N', 'D').touches!);
  const share = through(FEED.in) ** 2 / (through(FEED.in) ** 2 + leak ** 2);
  expect(leaking.pressures.at(-1)! / leaking.line.at(-1)!).toBeCloseTo(share, 2);
  const gone = moved(changedPart(onePiston(), 'piston', { leak: 2e-6 }), 'N', 'D');
  expect(gone.touches).toBeNull();
  expect(Math.max(...gone.holds)).toBe(0);
});

test('a way to the pan that should not be there is a leak like a seal’s', () => {
  const k = 1e-7;
  const crossed = { ...OIL_SOUND, crossings: [{ from: 'C1', to: 'pan', k }] };
  const a = moved(onePiston(), 'N', 'D', {}, crossed).pressures.at(-1)!;
  const b = moved(changedPart(onePiston(), 'piston', { leak: k }), 'N', 'D').pressures.at(-1)!;
  expect(a / b).toBeCloseTo(1, 2);
});
