import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import { randomFromSeed } from '../numerics';
import { orificeFlow } from './laws';
import { balance, OPEN, type NetworkPart } from './network';

const opening = (from: number, to: number, k: number): NetworkPart => ({
  kind: 'opening',
  from,
  to,
  forth: k,
  back: k,
});
const solved = (parts: readonly NetworkPart[], n: number) => {
  const { pressures, balanced } = balance(parts, n, new Float64Array(n));
  expect(balanced).toBe(true);
  return [...pressures];
};

// Published: any text on fluid power, two orifices in a row, k₁·√(p − p_m) = k₂·√p_m.
test('two openings in a row share the pressure by the squares of their sizes', () => {
  const [k1, k2] = [2e-7, 3e-7];
  const flow = 1e-4;
  const [p, middle] = solved(
    [{ kind: 'source', to: 0, flow }, opening(0, 1, k1), opening(1, OPEN, k2)],
    2,
  );
  expect(p! / (flow ** 2 * (1 / k1 ** 2 + 1 / k2 ** 2))).toBeCloseTo(1, 3);
  expect(middle! / p!).toBeCloseTo(k1 ** 2 / (k1 ** 2 + k2 ** 2), 3);
});

test('openings beside each other let as much through as one with their sum', () => {
  const together = solved([{ kind: 'source', to: 0, flow: 2e-4 }, opening(0, OPEN, 5e-7)], 1);
  const beside = solved(
    [{ kind: 'source', to: 0, flow: 2e-4 }, opening(0, OPEN, 2e-7), opening(0, OPEN, 3e-7)],
    1,
  );
  expect(beside[0]! / together[0]!).toBeCloseTo(1, 6);
});

// Derived by hand: forces on the spool in balance, p·A = F, wherever the pump's flow is enough.
test('a regulator holds its pressure while there is flow to spare, and no longer', () => {
  const at = (flow: number) =>
    solved(
      [
        { kind: 'source', to: 0, flow },
        opening(0, OPEN, 1e-7),
        { kind: 'spill', from: 0, orifice: 3e-6, asked: { rest: 500e3, by: [] } },
      ],
      1,
    )[0]!;
  for (const flow of [1e-4, 2e-4, 5e-4]) expect(at(flow) / 500e3).toBeCloseTo(1, 1);
  // Too little: (Q/k)².
  expect(at(5e-5) / (5e-5 / 1e-7) ** 2).toBeCloseTo(1, 3);
});

test('a reducing valve gives what is asked, and no more than it is given', () => {
  const at = (asked: number) =>
    solved(
      [
        { kind: 'source', to: 0, flow: 3e-4 },
        { kind: 'spill', from: 0, orifice: 3e-6, asked: { rest: 400e3, by: [] } },
        { kind: 'reducer', from: 0, to: 1, orifice: 3e-6, asked: { rest: asked, by: [] } },
        opening(1, OPEN, 1e-8),
      ],
      2,
    );
  expect(at(200e3)[1]! / 200e3).toBeCloseTo(1, 1);
  const [line, full] = at(900e3);
  expect(full! / line!).toBeCloseTo(1, 3);
});

// A general-purpose library (Levenberg and Marquardt, differences for slopes) on the same flows, written anew.
test('random networks agree with a general-purpose root finder', () => {
  const drawn = randomFromSeed('network');
  const random = () => drawn.next();
  for (let round = 0; round < 25; round++) {
    const n = 3 + Math.floor(4 * random());
    const parts: NetworkPart[] = [{ kind: 'source', to: 0, flow: (1 + 3 * random()) * 1e-4 }];
    for (let k = 1; k < n; k++)
      parts.push(opening(Math.floor(k * random()), k, (1 + 4 * random()) * 1e-7));
    for (let k = 0; k < n; k++) parts.push(opening(k, OPEN, (0.3 + random()) * 1e-7));
    // A cross leak makes a ring of it.
    parts.push(opening(0, n - 1, 0.5e-7));
    const ours = solved(parts, n);
    const flows = (p: readonly number[]) => {
      const into = p.map(() => 0);
      for (const part of parts) {
        if (part.kind === 'source') into[part.to]! += part.flow;
        if (part.kind !== 'opening') continue;
        const [a, b] = [p[part.from]!, part.to === OPEN ? 0 : p[part.to]!];
        const q = part.forth * Math.sign(a - b) * Math.sqrt(Math.abs(a - b));
        into[part.from]! -= q;
        if (part.to !== OPEN) into[part.to]! += q;
      }
      return into;
    };
    const scale = 1e5;
    const fit = levenbergMarquardt(
      { x: ours.map((_p, k) => k), y: ours.map(() => 0) },
      (p: number[]) => (k: number) => flows(p.map((v) => v * scale))[k]! * 1e4,
      {
        initialValues: ours.map(() => 4),
        gradientDifference: 1e-6,
        maxIterations: 400,
        damping: 1e-2,
        errorTolerance: 1e-16,
      },
    );
    fit.parameterValues.forEach((p, k) => expect((p * scale) / ours[k]!).toBeCloseTo(1, 2));
  }
});

test('no flow is made or lost: what comes in goes out at every node', () => {
  const parts = [
    { kind: 'source', to: 0, flow: 2e-4 } as const,
    opening(0, 1, 2e-7),
    opening(1, 2, 1e-7),
    opening(2, OPEN, 4e-7),
    opening(0, OPEN, 1e-7),
  ];
  const [p0, p1, p2] = solved(parts, 3);
  const out = orificeFlow(4e-7, p2!) + orificeFlow(1e-7, p0!);
  // Every passage seeps a little besides.
  expect(out / 2e-4).toBeCloseTo(1, 3);
  expect(p0! > p1! && p1! > p2!).toBe(true);
});

test('a passage that nothing feeds is empty, and a network without a source stands still', () => {
  expect(Math.max(...solved([opening(0, 1, 1e-7)], 2))).toBeLessThan(1);
});
