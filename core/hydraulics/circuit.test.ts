import { circuitOf } from './circuit';
import { OIL_SOUND } from './condition';
import { shiftMap } from './shiftMap';
import { ONE_VALVE, planWith, SUPPLY, VALVE, WARM } from './tests/handPlans';

const setting = { lever: 'D', celsius: 80, idleRpm: 700 };
const rpmFor = (pressure: number) => Math.sqrt((pressure * 1e-4) / (0.05 * 0.02)) * (30 / Math.PI);

// By hand: up at p_gov = (4 + 3e-5·p_thr)/1e-4, down at that less p_line·4e-6/1e-4, line = 500 kPa + p_thr.
test('shift points of a plan with one valve are those worked out by hand, up and down', () => {
  const [line] = shiftMap(circuitOf(ONE_VALVE), setting);
  expect(line).toMatchObject({ from: 1, to: 2 });
  for (const { throttle, up, down } of line!.points) {
    const thr = 400e3 * throttle;
    const [wantsUp, wantsDown] = [
      (4 + 3e-5 * thr) / 1e-4,
      (4 + 3e-5 * thr) / 1e-4 - 0.04 * (500e3 + thr),
    ];
    // The line stands up to three hundredths above what the regulator asks for.
    expect(up! / rpmFor(wantsUp)).toBeCloseTo(1, 2);
    expect(Math.abs(down! / rpmFor(wantsDown) - 1)).toBeLessThan(0.03);
    expect(down!).toBeLessThan(up!);
  }
});

test('a valve remembers: between both speeds it stays where it stood', () => {
  const circuit = circuitOf(ONE_VALVE);
  const [line] = shiftMap(circuit, setting);
  const { up, down } = line!.points[3]!;
  const between = { ...WARM, throttle: 0.3, outputRpm: (up! + down!) / 2 };
  const stood = (place: number) =>
    circuit.at(between, new Map([['shift-1', place]])).spools.get('shift-1');
  expect([stood(0), stood(1)]).toEqual([0, 1]);
  const at = (rpm: number, place: number) =>
    circuit.at({ ...between, outputRpm: rpm }, new Map([['shift-1', place]])).spools.get('shift-1');
  expect([at(up! * 1.02, 0), at(down! * 0.98, 1)]).toEqual([1, 0]);
});

test('without a difference area a stiff spring stands in balance, and passes on a part', () => {
  const plan = {
    ...ONE_VALVE,
    parts: ONE_VALVE.parts.map((p) =>
      p.id === 'shift-1' ? { ...VALVE, difference: { line: 'line', area: 0 }, springRise: 3 } : p,
    ),
  };
  // Half-way between 4 N and 7 N.
  const state = circuitOf(plan).at({ ...WARM, outputRpm: rpmFor(5.5 / 1e-4) });
  expect(state.spools.get('shift-1')).toBeCloseTo(0.5, 1);
  const [line, second] = ['line', 'second'].map((l) => state.pressures.get(l)!) as [number, number];
  expect(second).toBeGreaterThan(0.2 * line);
  expect(second).toBeLessThan(0.8 * line);
});

test('line pressure follows the throttle, fades with a slow pump, and is gone without one', () => {
  const circuit = circuitOf(ONE_VALVE);
  const line = (running: object) => circuit.at({ ...WARM, ...running }).pressures.get('line')!;
  expect(Math.abs(line({}) / 500e3 - 1)).toBeLessThan(0.031);
  expect(Math.abs(line({ throttle: 1 }) / 900e3 - 1)).toBeLessThan(0.031);
  expect(line({ engineRpm: 15 })).toBeLessThan(350e3);
  // Common practice, no source: oil that is hot is thin, and leaks more.
  expect(line({ engineRpm: 15, celsius: 120 })).toBeLessThan(line({ engineRpm: 15 }));
  const still = circuitOf(ONE_VALVE, { ...OIL_SOUND, pumpDriven: false });
  expect(still.at(WARM).pressures.get('line')).toBeLessThan(1);
});

test('a shuttle passes the higher pressure and shuts the other passage; without its ball both are one', () => {
  const plan = planWith(
    ['line', 'throttle', 'empty', 'element'],
    [
      ...SUPPLY,
      { id: 'hole', name: '', kind: 'restriction', from: 'empty', to: 'pan', orifice: 2e-6 },
      { id: 'ball', name: '', kind: 'shuttle', first: 'line', second: 'empty', to: 'element' },
    ],
  );
  const at = (ballsOut: string[]) =>
    circuitOf(plan, { ...OIL_SOUND, ballsOut: new Set(ballsOut) }).at(WARM).pressures;
  const [sound, gone] = [at([]), at(['ball'])];
  expect(sound.get('element')! / sound.get('line')!).toBeCloseTo(1, 2);
  expect(gone.get('element')!).toBeLessThan(0.9 * sound.get('element')!);
  expect(gone.get('empty')!).toBeGreaterThan(10 * sound.get('empty')!);
});

test('a plan that swings is told, and does not hang', () => {
  // The valve's own passage drains what holds it up: open, it loses its governor pressure.
  const plan = {
    ...ONE_VALVE,
    parts: [
      ...ONE_VALVE.parts.filter((p) => p.id !== 'shift-1'),
      { ...VALVE, difference: { line: 'line', area: 0 }, up: [{ from: 'governor', to: 'second' }] },
      {
        id: 'drain',
        name: '',
        kind: 'restriction',
        from: 'second',
        to: 'pan',
        orifice: 1e-5,
      } as const,
    ],
  };
  const state = circuitOf(plan).at({ ...WARM, outputRpm: rpmFor(60e3) });
  expect(state.settled).toBe(false);
});
