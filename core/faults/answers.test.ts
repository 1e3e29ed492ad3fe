import { slipTest, roadSlipTest } from '../shift';
import { engineModel } from '../converter';
import { clutchFaultOf, isClutchFault } from './fault';
import { examine, levelsOf, machineOf, openShop, readingOf, type Fault, type Rig } from './index';
import { tolerance } from './answer';
import { CHECK_SPECS } from './checks';
import { AUTOMATIC, COUPLING, DUAL, MANUAL } from './tests/rigs';

const opened = (rig: Rig) => ({ shop: openShop(rig) });
const auto = opened(AUTOMATIC);
const manual = opened(MANUAL);
const dual = opened(DUAL);
const coupling = opened(COUPLING);

/** What checks read with these faults. */
function reads({ shop }: typeof auto, faults: Fault[], ids: string[]): string[] {
  const checks = ids.map((id) => shop.checks.find((c) => c.id === id)!);
  const candidate = examine(shop, faults, checks);
  return checks.map((c) => readingOf(c, candidate).word);
}
const figure = ({ shop }: typeof auto, faults: Fault[], id: string): number => {
  const check = shop.checks.find((c) => c.id === id)!;
  return readingOf(check, examine(shop, faults, [check])).figure!;
};

// Common practice, no source: no range moves and the level is the same running and stopped: the pump does not turn.
test('pump not driven', () => {
  const faults: Fault[] = [{ target: 'oil-pump', kind: 'pump-not-driven' }];
  expect(reads(auto, faults, ['road D1', 'road R', 'level', 'delay D1'])).toEqual([
    'neutral',
    'neutral',
    'same-both-ways',
    'never',
  ]);
  expect(figure(auto, faults, 'pressure full')).toBe(0);
});

// Common practice, no source: stall test high, something slips; low, the stator slips or the engine is weak.
test('the stall test', () => {
  const sound = figure(auto, [], 'stall D1');
  expect(figure(auto, [{ target: 'C1', kind: 'burnt' }], 'stall D1')).toBeGreaterThan(1.03 * sound);
  expect(figure(auto, [{ target: 'C1', kind: 'burnt' }], 'stall R')).toBeCloseTo(sound, 3);
  expect(figure(auto, [{ target: 'converter', kind: 'stator-slips' }], 'stall D1')).toBeLessThan(
    0.85 * sound,
  );
  expect(figure(auto, [{ target: 'engine', kind: 'engine-weak' }], 'stall D1')).toBeLessThan(
    0.95 * sound,
  );
  const seized: Fault[] = [{ target: 'converter', kind: 'stator-seized' }];
  expect(figure(auto, seized, 'stall D1')).toBeCloseTo(sound, 3);
  expect(figure(auto, seized, 'hot-run')).toBeGreaterThan(figure(auto, [], 'hot-run') + 4);
  expect(reads(auto, seized, ['pull'])).toEqual(['strong']);
});

// A share of the figure, and never closer than the instrument reads.
test('how closely a figure is read', () => {
  const check = auto.shop.checks.find((c) => c.kind === 'pressure')!;
  const { share, least } = CHECK_SPECS.pressure.reads;
  expect(tolerance(check, 0)).toBe(least);
  const large = (10 * least) / share;
  expect(tolerance(check, large)).toBeCloseTo(10 * least, 9);
  expect(tolerance(check, -large)).toBeCloseTo(10 * least, 9);
});

// Common practice, no source: a clutch that is on for good does not let go of the air, either.
test('air at an element that never releases', () => {
  const stuck: Fault[] = [{ target: 'C1', kind: 'stuck-on' }];
  expect(reads(auto, stuck, ['air C1', 'air B1'])).toEqual(['does-not-release', 'works']);
});

// Common practice, no source: why an element does not apply is told by air, tap and pan, not by driving.
test('four ways not to apply read alike on the road and apart in the shop', () => {
  const ids = ['road D2', 'road D4', 'air B1', 'fluid', 'pan'];
  const of = (kind: Fault['kind'], severity?: number) =>
    reads(auto, [{ target: 'B1', kind, ...(severity ? { severity } : {}) }], ids);
  expect(of('will-not-apply')).toEqual(['wrong-ratio', 'neutral', 'works', 'red', 'clean']);
  expect(of('burnt')).toEqual(['wrong-ratio', 'neutral', 'works', 'brown-burnt', 'lining']);
  expect(of('ring-out')).toEqual(['wrong-ratio', 'neutral', 'does-not-clamp', 'red', 'metal']);
  expect(of('seal-leaks', 1.6)).toEqual(['wrong-ratio', 'neutral', 'hisses', 'red', 'clean']);
  expect(figure(auto, [{ target: 'B1', kind: 'will-not-apply' }], 'tap B1')).toBe(0);
  expect(figure(auto, [{ target: 'B1', kind: 'burnt' }], 'tap B1')).toBeCloseTo(450e3, 0);
});

// Common practice, no source: too low a cable setting slips under load and burns; too high a one shifts harshly.
test('the pressure cable', () => {
  const long: Fault[] = [{ target: 'pressure-cable', kind: 'cable-long', severity: 10 }];
  expect(reads(auto, long, ['road D2', 'fluid', 'pull'])).toEqual([
    'flares',
    'brown-burnt',
    'weak',
  ]);
  const short: Fault[] = [{ target: 'pressure-cable', kind: 'cable-short', severity: 10 }];
  expect(reads(auto, short, ['road D2', 'shift D1>D2', 'fluid'])).toEqual([
    'right',
    'harsh',
    'red',
  ]);
});

test.each([
  ['D1>D2', { target: 'B1', kind: 'accumulator-stuck' }, 'harsh'],
  ['D1>D2', { target: 'B1', kind: 'burnt' }, 'no-shift'],
  ['D2>D3', { target: 'C3', kind: 'burnt' }, 'flares'],
  ['D2>D3', { target: 'C3', kind: 'seal-leaks', severity: 0.6 }, 'late'],
  ['D2>D3', { target: 'C3', kind: 'seal-leaks', severity: 1 }, 'flares'],
  ['D1>D2', { target: 'B1', kind: 'seal-leaks', severity: 0.6 }, 'late'],
] as const)('shift %s with %o: %s', (pair, fault, word) => {
  expect(reads(auto, [], [`shift ${pair}`])).toEqual(['smooth']);
  expect(reads(auto, [fault], [`shift ${pair}`])).toEqual([word]);
});

test('lock-up and what it does at a stop', () => {
  const of = (kind: Fault['kind']) =>
    reads(auto, [{ target: 'lock-up', kind }], ['cruise', 'stop']);
  expect(reads(auto, [], ['cruise', 'stop'])).toEqual(['drops', 'idles']);
  expect(of('lock-up-off')).toEqual(['does-not-drop', 'idles']);
  expect(of('lock-up-on')).toEqual(['does-not-drop', 'stalls']);
});

// A fact of the trade: teeth whine only where they roll under load; in direct drive a planetary set turns as one.
test('a rough gear set is quiet in direct drive, a rough bearing wherever its shaft turns', () => {
  const teeth: Fault[] = [{ target: 'P1', kind: 'rough-teeth' }];
  expect(reads(auto, teeth, ['listen D1', 'listen D3', 'listen R'])).toEqual([
    'whine',
    'quiet',
    'quiet',
  ]);
  const pair: Fault[] = [{ target: 'M3', kind: 'rough-teeth' }];
  expect(reads(manual, pair, ['listen G3', 'listen G4', 'listen G2'])).toEqual([
    'whine',
    'quiet',
    'quiet',
  ]);
  const bearing: Fault[] = [{ target: 'cs', kind: 'rough-bearing' }];
  expect(reads(manual, bearing, ['listen N', 'listen G4', 'listen R'])).toEqual([
    'growl',
    'growl',
    'growl',
  ]);
});

// Common practice, no source: rounded sleeve tips grind and will not engage that gear although its neighbours are fine.
test('one sleeve is bad, its neighbours are not', () => {
  const rounded: Fault[] = [{ target: 'S3', kind: 'rounded', severity: 0.9 }];
  expect(reads(manual, rounded, ['road G3', 'gear-in G3', 'gear-in G2', 'standing G3'])).toEqual([
    'neutral',
    'refuses',
    'clean',
    'goes-in',
  ]);
  const worn: Fault[] = [{ target: 'S3', kind: 'synchro-worn' }];
  expect(reads(manual, worn, ['gear-in G3', 'matched G3', 'road G3'])).toEqual([
    'grinds',
    'clean',
    'right',
  ]);
  const jumps: Fault[] = [{ target: 'S5', kind: 'jumps-out', severity: 1 }];
  expect(reads(manual, jumps, ['road G5', 'road G4', 'coast G5'])).toEqual([
    'jumps-out',
    'right',
    'right',
  ]);
  // The other flanks carry on the overrun: it pulls as ever, and comes out as the foot is lifted.
  const overrun: Fault[] = [{ target: 'S2', kind: 'jumps-out-coast', severity: 2 }];
  expect(reads(manual, overrun, ['road G2', 'coast G2', 'coast G1'])).toEqual([
    'right',
    'jumps-out',
    'right',
  ]);
});

// Common practice, no source: the clutch tests of the trade.
test('the dry clutch', () => {
  const of = (kind: Fault['kind'], ids: string[]) =>
    reads(manual, [{ target: 'clutch', kind }], ids);
  expect(of('clutch-worn', ['road-slip', 'drag-test'])).toEqual(['slips', 'quiet']);
  expect(of('clutch-air', ['pedal', 'drag-test', 'gear-in G1'])).toEqual([
    'spongy',
    'grinds',
    'grinds',
  ]);
  expect(of('clutch-bent-fingers', ['pedal', 'drag-test'])).toEqual(['firm', 'grinds']);
  const noises = ['noise up-neutral', 'noise touch-neutral', 'noise down-in-gear'];
  expect(of('clutch-rough-release-bearing', noises)).toEqual(['quiet', 'noise', 'noise']);
  expect(of('clutch-rough-pilot-bearing', noises)).toEqual(['quiet', 'quiet', 'noise']);
  expect(of('clutch-warped-disc', ['start'])).toEqual(['judders']);
});

// Slow twin: slip tests through time against the static ones, for every fault of the clutch at every level.
test('static slip tests agree with those run through time', () => {
  const engine = engineModel(MANUAL.engine!);
  const setup = {
    engine,
    clutch: MANUAL.clutch!,
    unit: MANUAL.unit!,
    vehicle: MANUAL.vehicle!,
    grade: 0,
    seconds: 3,
    step: 2e-3,
  };
  const faults = manual.shop.faults.filter(
    ({ kind }) => isClutchFault(kind) && !clutchFaultOf(kind).startsWith('rough'),
  );
  for (const fault of faults.flatMap(levelsOf)) {
    const state = machineOf(MANUAL, [fault]).clutch;
    const [slip, road] = reads(manual, [fault], ['slip-test', 'road-slip']);
    const timed = slipTest({ ...setup, state, apply: ['S1'] });
    expect([fault.kind, fault.severity, timed.verdict]).toEqual([fault.kind, fault.severity, slip]);
    const high = manual.shop.driving!.cell(machineOf(MANUAL, []), 'G5').ratio!;
    const onRoad = roadSlipTest({ ...setup, state, apply: ['S5'] }, high * 4.1);
    expect([fault.kind, fault.severity, onRoad.verdict]).toEqual([
      fault.kind,
      fault.severity,
      road,
    ]);
  }
});

test('a dual clutch: pre-selection binds when a selector sticks', () => {
  expect(reads(dual, [{ target: 'K1', kind: 'burnt' }], ['road D1', 'road D2', 'road D3'])).toEqual(
    ['neutral', 'right', 'neutral'],
  );
  // Stuck in fourth: with second on the same shaft both can't be in.
  expect(reads(dual, [{ target: 'S4', kind: 'stuck-on' }], ['road D2', 'road D4'])).toEqual([
    'binds',
    'right',
  ]);
});

test('a coupling with a jammed ramp', () => {
  const jammed: Fault[] = [{ target: 'coupling', kind: 'ramp-jammed' }];
  expect(reads(coupling, jammed, ['circle', 'loose-start'])).toEqual(['hops', 'pulls']);
  expect(figure(coupling, jammed, 'flange')).toBeGreaterThan(60);
});

test('what drains from a coupling: dark from worn plates, of the wrong kind, or clear', () => {
  const drained = (...faults: Fault[]) => reads(coupling, faults, ['drain'])[0];
  expect(drained({ target: 'coupling', kind: 'pack-worn', severity: 2.5 })).toBe('dark');
  expect(drained({ target: 'coupling', kind: 'wrong-oil' })).toBe('wrong-kind');
  expect(drained({ target: 'coupling', kind: 'coil-open' })).toBe('clear');
  expect(drained()).toBe('clear');
});

// Every fault of every rig can be told from a sound machine by some check; none carries its symptom.
test.each([
  ['automatic', auto],
  ['manual', manual],
  ['dual clutch', dual],
  ['coupling', coupling],
])('no fault of the %s is invisible at its heaviest', (_name, { shop }) => {
  const sound = shop.machine([]);
  for (const fault of shop.faults) {
    const heavy = shop.machine([levelsOf(fault).at(-1)!]);
    // Looks inside come last in the list and say most: asked first, they end the search soonest.
    const shows = [...shop.checks]
      .reverse()
      .some((c) => JSON.stringify(shop.answer(heavy, c)) !== JSON.stringify(shop.answer(sound, c)));
    expect([fault, shows]).toEqual([fault, true]);
  }
});

// Common practice, no source: the clutch that is to take over slips, and the engine runs up; out of a gear that does not drive
// nothing can be tried.
test('a dual clutch shifts smoothly, and flares into the clutch that slips', () => {
  const shifts = dual.shop.checks.filter((c) => c.kind === 'shift').map((c) => c.id);
  expect(shifts).toEqual(['D1>D2', 'D2>D3', 'D3>D4', 'D4>D5', 'D5>D6'].map((p) => `shift ${p}`));
  expect(reads(dual, [], shifts)).toEqual(shifts.map(() => 'smooth'));
  for (const kind of ['burnt', 'seal-leaks'] as const) {
    const into = (clutch: string) =>
      reads(dual, [{ target: clutch, kind }], ['shift D2>D3', 'shift D3>D4']);
    expect(into('K1')).toEqual(['flares', 'can-not-be-driven']);
    expect(into('K2')).toEqual(['can-not-be-driven', 'flares']);
  }
  const runsUp = (faults: Fault[]) =>
    dual.shop.shift(dual.shop.machine(faults), 'D2>D3')!.summary.flareRpm;
  expect(runsUp([])).toBeLessThan(50);
  // With nothing of its lining left it holds nothing at all, with a leak a part.
  expect(runsUp([{ target: 'K1', kind: 'burnt' }])).toBeGreaterThan(
    2 * runsUp([{ target: 'K1', kind: 'seal-leaks' }]),
  );
  expect(dual.shop.shift(dual.shop.machine([]), 'N>D2')).toBeNull();
});

// Trade fact, from memory: what hangs on carries the old gear; with nothing to take over there is neither flare nor bind.
test.each([
  [auto, 'D3>D4', 'C1', 'B1'],
  [auto, 'D2>D3', 'B1', 'C3'],
  [dual, 'D1>D2', 'K1', 'K2'],
  [dual, 'D4>D5', 'K2', 'K1'],
])(
  'an element that hangs on, where the next one stays off: the gear stays',
  (rig, pair, hangs, off) => {
    const faults: Fault[] = [
      { target: hangs, kind: 'stuck-on' },
      { target: off, kind: 'will-not-apply' },
    ];
    expect(reads(rig, faults, [`shift ${pair}`])).toEqual(['no-shift']);
    const { flareRpm, dip } = rig.shop.shift(rig.shop.machine(faults), pair)!.summary;
    expect(flareRpm).toBeLessThan(1);
    expect(dip).toBeGreaterThan(0.95);
  },
);
