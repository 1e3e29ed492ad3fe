import { LuDecomposition, Matrix } from 'ml-matrix';
import { fraction, isZero, randomFromSeed, signOf, toNumber, toText } from '../numerics';
import {
  CASE,
  efficiency,
  elementTerms,
  gearSetTerms,
  powerFlow,
  solveUnit,
  unitPinionSpeeds,
  type GearSet,
  type Unit,
} from './index';
import { randomUnit } from './tests/randomUnit';
import { members, ravigneaux, simpson, UNNAMED } from './tests/textbookUnits';

const oneSet = (teeth: { sun: number; ring: number }, input: string, output: string): Unit => ({
  ...UNNAMED,
  id: 'one',
  members: members('s', 'c', 'r'),
  input,
  output,
  gearsets: [{ id: 'P', kind: 'single-pinion', sun: 's', carrier: 'c', ring: 'r', teeth }],
  elements: ['s', 'c', 'r'].map((m) => ({
    id: `B${m}`,
    name: '',
    kind: 'brake',
    between: [m, CASE],
  })),
});

/** The same for every mesh, as in the published formulas. */
const alike = (share: number) => ({ external: share, internal: share });

test('power into every member and every set comes out again', () => {
  let checked = 0;
  for (let k = 0; k < 300; k++) {
    const random = randomFromSeed(`power-${k}`);
    const unit = randomUnit(random);
    const applied = unit.elements.map((e) => e.id).filter(() => random.next() < 0.6);
    const solution = solveUnit(unit, applied);
    if (solution.outcome !== 'drives') continue;
    const { ports, clutches } = powerFlow(unit, solution);
    if (ports.some((p) => p.power === null) || [...clutches.values()].includes(null)) continue;
    const left = new Map(unit.members.map((m) => [m.id, 0]));
    const put = (member: string, power: number) =>
      left.set(member, (left.get(member) ?? 0) + power);
    put(unit.input, 1);
    put(unit.output, -1);
    for (const { member, power } of ports) put(member, -toNumber(power!));
    for (const e of unit.elements) {
      const power = toNumber(clutches.get(e.id)!);
      put(e.between[0], -power);
      if (e.between[1] !== CASE) put(e.between[1], power);
    }
    for (const value of left.values()) expect([k, value]).toEqual([k, expect.closeTo(0, 9)]);
    for (const set of unit.gearsets) {
      const own = ports.filter((p) => p.set === set.id);
      expect(own.reduce((sum, p) => sum + toNumber(p.power!), 0)).toBeCloseTo(0, 9);
    }
    checked++;
  }
  expect(checked).toBeGreaterThan(30);
});

// Published: a differential whose two inputs are geared together circulates power when one of them turns
// against the other (R. H. Macmillan, J. Mech. Eng. Sci. 3, 1961; memory for the page). Worked here by hand:
// sun 30 with the input, ring 70 geared 1 : −10 to it: ωr = −0.1, ωc = (30 − 7)/100 = 0.23, T = 1/0.23 out;
// λ share at the ring 0.7·T, so its power is −0.7·0.1/0.23 = −7/23.
test('circulating power is found, with its size', () => {
  const split = (first: number, internal: boolean): Unit => ({
    ...UNNAMED,
    id: 'split',
    members: members('in', 'out', 'r'),
    input: 'in',
    output: 'out',
    gearsets: [
      {
        id: 'P',
        kind: 'single-pinion',
        sun: 'in',
        carrier: 'out',
        ring: 'r',
        teeth: { sun: 30, ring: 70 },
      },
      { id: 'G', kind: 'mesh', first: 'in', second: 'r', teeth: { first, second: 20 }, internal },
    ],
    elements: [],
  });
  const backward = split(2, false);
  const flow = powerFlow(backward, solveUnit(backward, []));
  expect(toText(flow.circulating)).toBe('7/23');
  expect(new Set(flow.loop)).toEqual(new Set(['in', 'r']));
  const forward = split(2, true);
  expect(isZero(powerFlow(forward, solveUnit(forward, [])).circulating)).toBe(true);
});

// Published: Müller's table of efficiencies of a simple planetary set with basic efficiency η0 and i0 = −e
// (memory for the page): sun → carrier (e·η0 + 1)/(e + 1), carrier → sun (e + 1)/(e/η0 + 1),
// ring → carrier (η0/e + 1)/(1/e + 1), sun → ring η0.
test('a simple set loses what the textbook says, whichever way the power goes', () => {
  const [sun, ring, mesh] = [30, 72, 0.98];
  const e = ring / sun;
  const eta = mesh ** 2;
  const of = (input: string, output: string, held: string) => {
    const result = efficiency(oneSet({ sun, ring }, input, output), [held], 'drive', alike(mesh));
    return result.kind === 'turns' ? result.efficiency : result.kind;
  };
  expect(of('s', 'c', 'Br')).toBeCloseTo((e * eta + 1) / (e + 1), 12);
  expect(of('c', 's', 'Br')).toBeCloseTo((e + 1) / (e / eta + 1), 12);
  expect(of('r', 'c', 'Bs')).toBeCloseTo((eta / e + 1) / (1 / e + 1), 12);
  expect(of('s', 'r', 'Bc')).toBeCloseTo(eta, 12);
});

test('on coast the same set loses what it loses with the ends exchanged', () => {
  const teeth = { sun: 30, ring: 72 };
  const coast = efficiency(oneSet(teeth, 's', 'c'), ['Br'], 'coast', alike(0.98));
  const back = efficiency(oneSet(teeth, 'c', 's'), ['Br'], 'drive', alike(0.98));
  if (coast.kind !== 'turns' || back.kind !== 'turns') throw new Error('expected both to turn');
  expect(coast.efficiency).toBeCloseTo(back.efficiency, 12);
});

/** Two sets that share sun and carrier, one ring held and the other driven: a very high ratio. */
const high = (input: string, output: string): Unit => ({
  ...UNNAMED,
  id: 'high',
  members: members('s', 'c', 'r1', 'r2'),
  input,
  output,
  gearsets: [
    ['P1', 'r1', 78],
    ['P2', 'r2', 81],
  ].map(([id, r, n]) => ({
    id: String(id),
    kind: 'single-pinion' as const,
    sun: 's',
    carrier: 'c',
    ring: String(r),
    teeth: { sun: 24, ring: Number(n) },
  })),
  elements: [{ id: 'B', name: '', kind: 'brake', between: ['r1', CASE] }],
});

// Published: with x the stationary ratio of ring to ring, a train driven at the carrier has efficiency
// (1 − x)/(1 − x·η0), and can't be driven back once x/η0 > 1 (Müller on self-locking; memory for the page).
test('a train of very high ratio turns forward at a poor efficiency and locks itself backward', () => {
  const x = 78 / 81;
  const forward = efficiency(high('c', 'r2'), ['B'], 'drive', alike(0.985));
  if (forward.kind !== 'turns') throw new Error(`expected it to turn, got ${forward.kind}`);
  const eta = 0.985 ** 4;
  expect(forward.efficiency).toBeCloseTo((1 - x) / (1 - x * eta), 12);
  expect(forward.efficiency).toBeLessThan(0.5);
  expect(efficiency(high('r2', 'c'), ['B'], 'drive', alike(0.985))).toEqual({
    kind: 'self-locking',
  });
  expect(efficiency(high('r2', 'c'), ['B'], 'drive', alike(1)).kind).toBe('turns');
});

test('without loss nothing is lost; what is locked as one loses nothing; open stays open', () => {
  const unit = ravigneaux(30, 36, 78);
  for (const apply of [
    ['Ca', 'Bc'],
    ['Ca', 'Bb'],
    ['Cc', 'Bb'],
    ['Cb', 'Bc'],
  ]) {
    const result = efficiency(unit, apply, 'drive', alike(1));
    if (result.kind !== 'turns') throw new Error('expected it to turn');
    expect(result.efficiency).toBe(1);
    expect(result.torqueRatio).toBeCloseTo(Math.abs(toNumber(solveUnit(unit, apply).ratio!)), 12);
  }
  const direct = efficiency(unit, ['Ca', 'Cc']);
  expect(direct).toEqual({ kind: 'turns', efficiency: 1, torqueRatio: 1 });
  expect(efficiency(unit, ['Ca'])).toEqual({ kind: 'open' });
  expect(() => efficiency(unit, ['Ca'], 'drive', alike(0))).toThrow(/0.5 to 1, got 0/);
});

// Virtual work: the torque that an element holds is what the output's torque would do if the element slipped.
// The slip's effect on the output is a central difference of speeds from a general-purpose library.
test('statics agree with numerical differentiation of the kinematics', () => {
  const cases: [Unit, string[]][] = [
    [simpson(33, 72), ['C1', 'B1']],
    [simpson(33, 72), ['C2', 'B2']],
    [ravigneaux(30, 36, 78), ['Ca', 'Bb']],
    [ravigneaux(30, 36, 78), ['Cc', 'Bb']],
  ];
  for (const [unit, applied] of cases) {
    const solution = solveUnit(unit, applied);
    for (const id of applied) {
      const step = 1e-3;
      const slope =
        (outputSpeed(unit, applied, id, step) - outputSpeed(unit, applied, id, -step)) / (2 * step);
      // T_out·δω_out + λ·δ(ωa − ωb) = 0 with the input's speed kept; T_out acts on the train from outside.
      const expected = toNumber(solution.outputTorque!) * slope;
      expect(toNumber(solution.elements.get(id)!.torque!)).toBeCloseTo(expected, 6);
    }
  }
});

/** ω_out with ω_in = 1 and one element slipping by `slip`. */
function outputSpeed(unit: Unit, applied: string[], slipping: string, slip: number): number {
  const ids = unit.members.map((m) => m.id);
  const elements = unit.elements.filter((e) => applied.includes(e.id));
  const terms = [
    ...unit.gearsets.map((g: GearSet) => gearSetTerms(g)),
    ...elements.map(elementTerms),
  ];
  const rows = terms.map((row) =>
    ids.map((id) => row.reduce((sum, t) => sum + (t.member === id ? t.coefficient : 0), 0)),
  );
  const right = [
    ...unit.gearsets.map(() => 0),
    ...elements.map((e) => (e.id === slipping ? slip : 0)),
    1,
  ];
  rows.push(ids.map((id) => (id === unit.input ? 1 : 0)));
  const solved = new LuDecomposition(new Matrix(rows)).solve(Matrix.columnVector(right));
  return solved.get(ids.indexOf(unit.output), 0);
}

test('torque is a multiple of the input’s: reverse gives a negative output torque', () => {
  const solution = solveUnit(simpson(33, 72), ['C2', 'B2']);
  expect(signOf(solution.outputTorque!)).toBe(-1);
  expect(solution.outputTorque).toEqual(fraction(-72, 33));
});

// By hand: with the carrier held a set passes on η_external·η_internal, one outside mesh and one inside the ring.
test('each kind of mesh has its own loss', () => {
  const result = efficiency(oneSet({ sun: 30, ring: 70 }, 's', 'r'), ['Bc'], 'drive', {
    external: 0.97,
    internal: 0.99,
  });
  expect(result).toMatchObject({ kind: 'turns' });
  if (result.kind === 'turns') expect(result.efficiency).toBeCloseTo(0.97 * 0.99, 9);
});

// Published: sun 20, pinion 30, ring 80 held, sun at 100 rev/min: arm 20, pinion 33⅓ the other way (Shigley; memory for
// the page); on its pin that is 53⅓. The ring's side gives the same: (Nr/Np)·(ω_r − ω_c).
test('pinions on their pins', () => {
  const unit = oneSet({ sun: 20, ring: 80 }, 's', 'c');
  const [pinion] = unitPinionSpeeds(unit, solveUnit(unit, ['Br']));
  expect(100 * toNumber(pinion!.speed!)).toBeCloseTo(-160 / 3, 9);
  expect(toNumber(pinion!.speed!)).toBeCloseTo((80 / 30) * (0 - 0.2), 9);
  expect(unitPinionSpeeds(unit, solveUnit(unit, []))).toEqual([]);
});

// Published (statics): two clutches side by side leave open who passes what; both together pass all of it.
test('of clutches side by side only what they pass on together is known', () => {
  const twice: Unit = {
    ...UNNAMED,
    id: 'twice',
    members: members('in', 'out'),
    input: 'in',
    output: 'out',
    gearsets: [],
    elements: ['K1', 'K2'].map((id) => ({ id, name: '', kind: 'clutch', between: ['in', 'out'] })),
  };
  const flow = powerFlow(twice, solveUnit(twice, ['K1', 'K2']));
  expect([...flow.clutches.values()]).toEqual([null, null]);
  expect(flow.together.map((g) => [g.elements, g.between, toText(g.power)])).toEqual([
    [['K1', 'K2'], ['in', 'out'], '1'],
  ]);
  expect(powerFlow(twice, solveUnit(twice, ['K1'])).together).toEqual([]);
});

// Published: Naunheimer and others, Automotive Transmissions, a countershaft: every pair in the flow takes its loss, a direct
// gear none. Two outside pairs, or one that runs inside its ring.
test('gear pairs: as many losses as meshes, and none where the shafts are joined', () => {
  const pairs = (internal: boolean): Unit => ({
    ...UNNAMED,
    id: 'pairs',
    members: members('in', 'lay', 'out'),
    input: 'in',
    output: 'out',
    gearsets: [
      { id: 'M1', kind: 'mesh', first: 'in', second: 'lay', teeth: { first: 20, second: 40 } },
      {
        id: 'M2',
        kind: 'mesh',
        first: 'lay',
        second: 'out',
        teeth: { first: 25, second: 50 },
        ...(internal ? { internal } : {}),
      },
    ],
    elements: [{ id: 'C', name: '', kind: 'clutch', between: ['in', 'out'] }],
  });
  const mesh = { external: 0.98, internal: 0.99 };
  const turns = (unit: Unit, load: 'drive' | 'coast') => {
    const result = efficiency(unit, [], load, mesh);
    if (result.kind !== 'turns') throw new Error(`expected it to turn: ${result.kind}`);
    return result;
  };
  for (const [internal, share] of [
    [false, 0.98 ** 2],
    [true, 0.98 * 0.99],
  ] as const) {
    const drive = turns(pairs(internal), 'drive');
    expect(drive.efficiency).toBeCloseTo(share, 12);
    expect(drive.torqueRatio).toBeCloseTo(4 * share, 12);
    expect(turns(pairs(internal), 'coast').efficiency).toBeCloseTo(share, 12);
  }
  const direct: Unit = { ...pairs(false), gearsets: [] };
  const joined = efficiency(direct, ['C'], 'drive', mesh);
  expect(joined).toMatchObject({ kind: 'turns', efficiency: 1, torqueRatio: 1 });
});

// One train in some thousands: the losses turn directions round, those turn the losses, and round again. What is right leads
// to itself; no iteration comes there, so every direction has to be tried. Found by trying; with 40 % lost in each mesh.
test('where the directions of power chase each other, the ones that stand are found', () => {
  const set = (
    id: string,
    kind: 'single-pinion' | 'double-pinion',
    [sun, carrier, ring]: readonly [string, string, string],
    [s, r]: readonly [number, number],
  ): GearSet => ({ id, kind, sun, carrier, ring, teeth: { sun: s, ring: r } });
  const unit: Unit = {
    ...UNNAMED,
    id: 'chasing',
    members: members('m0', 'm1', 'm2', 'm3', 'm4', 'm5', 'm6', 'm7'),
    input: 'm0',
    output: 'm1',
    gearsets: [
      set('P0', 'double-pinion', ['m6', 'm4', 'm5'], [43, 64]),
      set('P1', 'double-pinion', ['m6', 'm3', 'm2'], [21, 91]),
      set('P2', 'double-pinion', ['m0', 'm6', 'm3'], [21, 55]),
      set('P3', 'single-pinion', ['m3', 'm2', 'm1'], [34, 58]),
      set('P4', 'double-pinion', ['m7', 'm0', 'm2'], [40, 74]),
      set('P5', 'single-pinion', ['m2', 'm4', 'm7'], [19, 66]),
    ],
    elements: [{ id: 'E0', name: '', kind: 'brake', between: ['m5', CASE] }],
  };
  const found = efficiency(unit, ['E0'], 'drive', { external: 0.6, internal: 0.7 });
  if (found.kind !== 'turns') throw new Error(found.kind);
  expect(found.efficiency).toBeCloseTo(0.252004, 6);
  // What comes out is that share of what a train without loss would give.
  const ratio = Math.abs(toNumber(solveUnit(unit, ['E0']).ratio!));
  expect(found.torqueRatio).toBeCloseTo(0.252004 * ratio, 5);
});
