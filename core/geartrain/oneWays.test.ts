import { randomFromSeed, toNumber } from '../numerics';
import {
  CASE,
  oneWaysOf,
  maskOf,
  outcomeTable,
  solveUnit,
  type ShiftElement,
  type Unit,
} from './index';
import { randomUnit } from './tests/randomUnit';
import { steppedTrain, type SteppedTrain } from './tests/steppedTrain';
import { members, UNNAMED } from './tests/textbookUnits';
import { demoUnit } from '../tests/demoFile';

const element = (id: string, kind: ShiftElement['kind'], a: string, b: string): ShiftElement => ({
  id,
  name: '',
  kind,
  between: [a, b],
});

const pair: Unit = {
  ...UNNAMED,
  id: 'pair',
  members: members('in', 'out', 'x'),
  input: 'in',
  output: 'out',
  gearsets: [
    {
      id: 'G',
      kind: 'mesh',
      first: 'in',
      second: 'out',
      teeth: { first: 20, second: 40 },
      internal: false,
    },
  ],
  elements: [],
};

/** Two equal sets with one sun and crossed carriers and rings, as in a three-speed. */
const twoSets: Unit = {
  ...UNNAMED,
  id: 'two-sets',
  members: members('in', 'out', 's', 'r', 'c'),
  input: 'in',
  output: 'out',
  gearsets: [
    {
      id: 'P1',
      kind: 'single-pinion',
      sun: 's',
      carrier: 'out',
      ring: 'r',
      teeth: { sun: 33, ring: 69 },
    },
    {
      id: 'P2',
      kind: 'single-pinion',
      sun: 's',
      carrier: 'c',
      ring: 'out',
      teeth: { sun: 33, ring: 69 },
    },
  ],
  elements: [
    element('C', 'clutch', 'in', 'r'),
    element('F1', 'one-way', 'c', CASE),
    element('F2', 'one-way', 'c', CASE),
  ],
};

// Derived by hand: in ≤ x ≤ 0, so the input can't turn forward; each alone would let it.
test('two one-way clutches, each of which could float, block the input together', () => {
  const unit = {
    ...pair,
    elements: [element('F1', 'one-way', 'x', 'in'), element('F2', 'one-way', CASE, 'x')],
  };
  const solution = solveUnit(unit, []);
  expect(solution.outcome).toBe('tied-up');
  expect(['F1', 'F2'].map((id) => solution.elements.get(id)!.state)).toEqual([
    'holding',
    'holding',
  ]);
  const table = outcomeTable(unit);
  expect(table.settle(0, 'drive', oneWaysOf(unit)).motion.outcome).toBe('tied-up');
});

// Common practice, no source: two one-way clutches side by side share on drive and both run over on coast.
test('one-way clutches in parallel share, and both let go', () => {
  const drive = solveUnit(twoSets, ['C']);
  expect(drive.outcome).toBe('drives');
  expect(['F1', 'F2'].map((id) => drive.elements.get(id))).toEqual([
    { state: 'shared', torque: null },
    { state: 'shared', torque: null },
  ]);
  const coast = solveUnit(twoSets, ['C'], 'coast');
  expect(coast.outcome).toBe('neutral');
  expect(coast.elements.get('F1')!.state).toBe('overrunning');
});

test('a brake beside a one-way clutch shares what that may push against, and takes the coast alone', () => {
  const unit = {
    ...twoSets,
    elements: [...twoSets.elements.slice(0, 2), element('B', 'brake', 'c', CASE)],
  };
  const states = (load: 'drive' | 'coast') => {
    const { elements } = solveUnit(unit, ['C', 'B'], load);
    return [elements.get('F1')!.state, elements.get('B')!.state];
  };
  expect(states('drive')).toEqual(['shared', 'shared']);
  expect(states('coast')).toEqual(['open', 'applied']);
  expect(solveUnit(unit, ['C', 'B'], 'coast').elements.get('B')!.torque).not.toBeNull();
});

// Derived by hand: 50⁶ to 1 through six pairs of 8 and 400 teeth.
test('a row of very large ratios stays what it is in floating point', () => {
  const names = ['in', 'a', 'b', 'c', 'd', 'e', 'out'];
  const unit: Unit = {
    ...UNNAMED,
    id: 'row',
    members: members(...names),
    input: 'in',
    output: 'out',
    gearsets: names.slice(1).map((second, k) => ({
      id: `G${k}`,
      kind: 'mesh' as const,
      first: names[k]!,
      second,
      teeth: { first: 8, second: 400 },
      internal: false,
    })),
    elements: [element('F', 'one-way', 'out', CASE)],
  };
  const { motion } = outcomeTable(unit).settle(0, 'drive', oneWaysOf(unit));
  expect(motion.outcome).toBe('drives');
  expect(motion.ratio / 50 ** 6).toBeCloseTo(1, 12);
  expect(toNumber(solveUnit(unit, []).ratio!)).toBe(50 ** 6);
});

/** One fault of a one-way clutch, drawn; the unit itself when it has none. */
function withFault(unit: Unit, pick: number, kind: 'none' | 'reversed' | 'seized' | 'gone'): Unit {
  const ways = unit.elements.filter((e) => e.kind === 'one-way');
  const chosen = ways[pick % Math.max(1, ways.length)];
  if (!chosen || kind === 'none') return unit;
  const [a, b] = chosen.between;
  const elements = unit.elements.flatMap((e) => {
    if (e !== chosen) return [e];
    if (kind === 'gone') return [];
    return kind === 'reversed'
      ? [element(e.id, 'one-way', b, a)]
      : [element(e.id, b === CASE || a === CASE ? 'brake' : 'clutch', a, b)];
  });
  return { ...unit, elements };
}

const SOME = 1e-6;
const moves = (speed: number): boolean => Math.abs(speed) > SOME;

/** What the stepped train says about the engine pushing. */
function steppedDrive(train: SteppedTrain): { outcome: string; ratio: number | null } {
  const { input, output } = train.run({ input: 1, output: 0 }, { input: 0.3, output: 0.3 });
  if (moves(input) && moves(output)) return { outcome: 'drives', ratio: input / output };
  const pushed = [1, -1].map((way) =>
    train.run({ input: moves(input) ? 0 : 1, output: way * 1e-2 }, { input: 0.3, output: 0.3 }),
  );
  const outputMoves = pushed.some((p) => moves(p.output));
  if (moves(input)) return { outcome: outputMoves ? 'neutral' : 'output-held', ratio: null };
  return { outcome: outputMoves ? 'input-held' : 'tied-up', ratio: null };
}

/** The engine's speed for one of the output's when the road turns that; it is hardly dragged. */
function steppedCoast(train: SteppedTrain, way: number): number {
  const { input, output } = train.run({ input: 0, output: way }, { input: 0.3, output: 1e-3 });
  return moves(output) ? input / output : 0;
}

test('random trains do what the same trains do when they are stepped through time', () => {
  const seen = new Map<string, number>();
  const note = (what: string) => seen.set(what, (seen.get(what) ?? 0) + 1);
  for (let k = 0; k < 160; k++) {
    const random = randomFromSeed(`stepped-${k}`);
    const drawn = randomUnit(random, true, 5);
    const kind = random.pick(['none', 'reversed', 'seized', 'gone'] as const);
    const unit = withFault(drawn, random.whole(0, 4), kind);
    const applied = unit.elements
      .filter((e) => e.kind !== 'one-way' && random.next() < 0.5)
      .map((e) => e.id);
    const masses = unit.members.map(() => 0.5 + random.next());
    const train = steppedTrain(unit, applied, (m) => masses[m]!);
    const stepped = steppedDrive(train);
    const exact = solveUnit(unit, applied);
    expect([k, kind, exact.outcome]).toEqual([k, kind, stepped.outcome]);
    note(exact.outcome);
    if (stepped.ratio !== null) expect(toNumber(exact.ratio!) / stepped.ratio).toBeCloseTo(1, 4);
    for (const { state, torque } of exact.elements.values()) {
      expect(state === 'holding' && torque === null).toBe(false);
      if (state === 'holding') note('holding');
    }
    const fast = outcomeTable(unit).settle(maskOf(unit, applied), 'drive', oneWaysOf(unit)).motion;
    expect([k, fast.outcome]).toEqual([k, exact.outcome]);
    if (exact.outcome !== 'drives') continue;
    const turned = steppedCoast(train, stepped.ratio! > 0 ? 1 : -1);
    const coast = solveUnit(unit, applied, 'coast');
    expect([k, coast.outcome]).toEqual([k, moves(turned) ? 'drives' : 'neutral']);
    note(`coast ${coast.outcome}`);
    if (coast.outcome === 'drives') expect(toNumber(coast.ratio!) / turned).toBeCloseTo(1, 2);
  }
  for (const what of [
    'drives',
    'neutral',
    'tied-up',
    'input-held',
    'output-held',
    'coast neutral',
    'coast drives',
  ])
    expect([what, (seen.get(what) ?? 0) > 4]).toEqual([what, true]);
  expect(seen.get('holding')).toBeGreaterThan(25);
});

// Derived by hand from the torque balance of both sets: F1 and F2 hold 2.0736 and 1.0736 times the input torque.
test('a one-way clutch fitted the wrong way round ties a second gear up, and says with how much', () => {
  const unit = demoUnit('harbour-trainer');
  const wrong = {
    ...unit,
    elements: unit.elements.map((e) =>
      e.id === 'F1' ? { ...e, between: [e.between[1], e.between[0]] as [string, string] } : e,
    ),
  };
  const { outcome, elements } = solveUnit(wrong, unit.ranges.find((r) => r.id === 'D2')!.apply);
  expect(outcome).toBe('tied-up');
  expect(['F1', 'F2'].map((id) => toNumber(elements.get(id)!.torque!))).toEqual([2.0736, 1.0736]);
});
