import fc from 'fast-check';
import {
  applyTravel,
  bestSelective,
  compareUpgrades,
  dutyHeat,
  endPlateNeeded,
  grooveLoad,
  judgePack,
  packClearance,
  packFindings,
  packHeat,
  packTorque,
  pistonForce,
  rubbingFaces,
  selectiveChoices,
  selectiveNow,
  stackHeight,
  steadyEngagement,
  upgraded,
  withPackFault,
  withSelective,
  type ClutchPack,
  type Plate,
} from './index';
import { FENDER, SEED, WINDLASS } from './tests/demo';

// Common practice, no source: three frictions to four is a third more, 150 → 200 N·m; ten per cent more pressure is
// about ten per cent more torque (the return spring takes a share of the force, so a little more).
test('torque goes with plates and with pressure', () => {
  expect(packTorque(FENDER, FENDER.pressure)).toBeCloseTo(150, -1);
  const four = upgraded(FENDER, 'one-plate-more');
  expect(packTorque(four, four.pressure)).toBeCloseTo(200, -1);
  expect(packTorque(four, four.pressure) / packTorque(FENDER, FENDER.pressure)).toBeCloseTo(
    4 / 3,
    9,
  );
  const pressed = packTorque(WINDLASS, 1.1 * WINDLASS.pressure);
  expect(pressed / packTorque(WINDLASS, WINDLASS.pressure)).toBeCloseTo(1.1, 1);
});

// By hand: π·(0.072² − 0.045²) m² · 390 kPa − 900 N = 2970 N.
test('force of the piston', () => {
  expect(pistonForce(FENDER, 390_000)).toBeCloseTo(2970.5, 0);
  expect(pistonForce(FENDER, 10_000)).toBe(0);
});

const plate = (kind: Plate['kind'], k: number, thickness = 0.002): Plate => ({
  id: `${kind}-${k}`,
  kind,
  thickness,
});

// Slow twin: faces counted one side of one friction at a time.
test('every side of a friction that lies on metal rubs', () => {
  const kinds = fc.constantFrom<Plate['kind']>('steel', 'friction', 'cushion', 'end-plate');
  fc.assert(
    fc.property(fc.array(kinds, { minLength: 1, maxLength: 14 }), (list) => {
      const stack = list.map((kind, k) => plate(kind, k));
      let faces = 0;
      stack.forEach((p, k) => {
        if (p.kind !== 'friction') return;
        for (const beside of [stack[k - 1], stack[k + 1]])
          if (beside && beside.kind !== 'friction') faces++;
      });
      expect(rubbingFaces({ stack })).toBe(faces);
    }),
    { seed: SEED },
  );
});

// By hand: 19.7 − 1.6 − (1.6 + 1.6 + 3.2 + 1.6 + 3.2 + 1.6 + 4.2) = 1.1 mm.
test('clearance is what ring and plates leave of the depth', () => {
  expect(1000 * stackHeight(FENDER)).toBeCloseTo(17, 9);
  expect(1000 * packClearance(FENDER)).toBeCloseTo(1.1, 9);
});

// Common practice, no source: a waved plate at the piston makes the apply gentle. By hand: 1.1 mm in all, 0.6 mm of wave.
test('the piston touches before it clamps, by the wave of the cushion', () => {
  const travel = applyTravel(FENDER);
  expect(1000 * travel.clamped).toBeCloseTo(1.1, 9);
  expect(1000 * travel.touches).toBeCloseTo(0.5, 9);
  const flat = FENDER.stack.map((p) => ({ ...p, wave: 0 }));
  expect(applyTravel({ ...FENDER, stack: flat }).touches).toBeCloseTo(0.0011, 9);
  expect(applyTravel({ ...FENDER, depth: 0.01 })).toEqual({ touches: 0, clamped: 0 });
});

// Slow twin: fit each part and measure.
test.each([FENDER, WINDLASS])('a selective part gives what fitting it gives: $name', (pack) => {
  for (const choice of selectiveChoices(pack)) {
    const fitted = withSelective(pack, choice.thickness);
    expect(packClearance(fitted)).toBeCloseTo(choice.clearance, 12);
    expect(selectiveNow(fitted)).toBe(choice.thickness);
    const [least, most] = pack.clearance;
    const inside = packClearance(fitted) >= least - 1e-8 && packClearance(fitted) <= most + 1e-8;
    expect(choice.inside).toBe(inside);
  }
  const best = bestSelective(pack)!;
  const middle = (pack.clearance[0] + pack.clearance[1]) / 2;
  for (const c of selectiveChoices(pack))
    expect(Math.abs(best.clearance - middle)).toBeLessThanOrEqual(Math.abs(c.clearance - middle));
  expect(bestSelective({ ...pack, selective: { ...pack.selective, thicknesses: [] } })).toBeNull();
});

test('findings of a stack', () => {
  const codes = (pack: ClutchPack) => packFindings(pack).map((f) => f.code);
  expect(codes(FENDER)).toEqual([]);
  expect(codes(WINDLASS)).toEqual([]);
  const stacked = (stack: Plate[]) => codes({ ...FENDER, stack });
  const [wave, f1, s1, f2, s2, f3, end] = FENDER.stack as [
    Plate,
    Plate,
    Plate,
    Plate,
    Plate,
    Plate,
    Plate,
  ];
  expect(stacked([wave, f1, f2, s1, s2, f3, end])).toContain('same-beside-same');
  expect(stacked([f1, wave, s1, f2, s2, f3, end])).toEqual(
    expect.arrayContaining(['friction-at-piston', 'cushion-not-first']),
  );
  expect(stacked([wave, f1, s1, f2, s2, f3])).toContain('friction-at-ring');
  expect(stacked([wave, s1, end])).toContain('no-frictions');
  expect(stacked([wave, f1, s1, f2, s2, f3, plate('steel', 9), end])).toContain('does-not-fit');
  expect(stacked([wave, f1, s1, f2, end])).toContain('clearance-large');
  expect(codes({ ...FENDER, depth: 0.0189 })).toContain('clearance-small');
  expect(codes(withSelective(FENDER, endPlateNeeded(FENDER) / 2))).toContain('end-plate-thin');
  expect(codes({ ...FENDER, pressure: 1000 })).toContain('does-not-apply');
  expect(codes({ ...FENDER, lining: 0.002 })).toContain('lining-over-plate');
  expect(codes({ ...WINDLASS, pressure: 4e6 })).toContain('groove-overloaded');
  const thick = WINDLASS.stack.map((p) => (p.id === 's1' ? { ...p, thickness: 0.003 } : p));
  expect(codes({ ...WINDLASS, stack: thick })).toContain('thick-not-middle');
});

// Common practice, no source: a plate more needs room, pressure loads the ring, thin steels take up less heat.
test('what limits each upgrade', () => {
  const duty = { joules: 45_000, seconds: 0.6, times: 1, every: 5, oilC: 90 };
  const of = (pack: ClutchPack) =>
    Object.fromEntries(compareUpgrades(pack, duty).map((u) => [u.upgrade, u.limits]));
  expect(of(FENDER)['as-it-is']).toEqual(['none']);
  expect(of(FENDER)['one-plate-more']).toContain('room');
  expect(of(FENDER)['thinner-steels']).toEqual(['heat']);
  expect(of(WINDLASS)['more-pressure']).toContain('groove');
  expect(judgePack(upgraded(FENDER, 'thinner-steels'), duty).peakC).toBeGreaterThan(
    judgePack(FENDER, duty).peakC,
  );
  expect(pistonForce(WINDLASS, 1.25 * WINDLASS.pressure)).toBeGreaterThan(grooveLoad(WINDLASS));
});

const heated = (step: number, joules = 20_000) =>
  packHeat(FENDER, { watts: steadyEngagement(joules, 0.6), seconds: 0.6, step, startC: 90 });

// First law: what is put in is in the plates or in the oil.
test('heat in = kept + given to the oil', () => {
  for (const pack of [FENDER, WINDLASS]) {
    const { energy } = dutyHeat(pack, {
      joules: 15_000,
      seconds: 0.5,
      times: 6,
      every: 4,
      oilC: 80,
    });
    expect(energy.heat).toBeCloseTo(90_000, -3);
    expect(Math.abs(energy.heat - energy.kept - energy.toOil) / energy.heat).toBeLessThan(1e-9);
  }
  expect(heated(0.005).energy.heat).toBeCloseTo(20_000, -1);
});

// Order of the scheme: implicit Euler, so that halving the step halves the error.
test('halving the step halves the error', () => {
  const [a, b, c] = [0.02, 0.01, 0.005].map((h) => heated(h).plates[2]!.meanC) as [
    number,
    number,
    number,
  ];
  const ratio = (a - b) / (b - c);
  expect(ratio).toBeGreaterThan(1.6);
  expect(ratio).toBeLessThan(2.4);
});

// Closed form (Carslaw and Jaeger, Conduction of Heat in Solids: half space with steady flux): the face warms by
// 2q·√(t/(π·k·ρc)). A steel so thick that the warmth does not reach its middle; all the heat of one face goes into it
// but for what the lining takes.
test('a thick steel warms as a half space does', () => {
  const stack: Plate[] = [
    { id: 'a', kind: 'steel', thickness: 0.04 },
    { id: 'f', kind: 'friction', thickness: 0.0016 },
    { id: 'b', kind: 'steel', thickness: 0.04 },
  ];
  const pack = { ...FENDER, stack };
  const seconds = 0.2;
  const watts = 20_000;
  const area = Math.PI * (0.074 ** 2 - 0.058 ** 2);
  const heat = packHeat(pack, { watts: () => watts, seconds, step: 0.0005, startC: 0 });
  const flux = watts / area / 2;
  const closed = 2 * flux * Math.sqrt(seconds / (Math.PI * 46 * 7850 * 480));
  expect(heat.plates[0]!.peakC / closed).toBeGreaterThan(0.85);
  expect(heat.plates[0]!.peakC / closed).toBeLessThan(1.0);
  expect(heat.plates[0]!.peakC).toBeCloseTo(heat.plates[2]!.peakC, 6);
});

// Common practice, no source: the middle of the pack gets hottest, so the thickest steels go there.
test('in repeated engagements the middle steels are the hottest', () => {
  const { plates } = dutyHeat(WINDLASS, {
    joules: 12_000,
    seconds: 0.6,
    times: 8,
    every: 5,
    oilC: 90,
  });
  const of = (id: string) => plates.find((p) => p.id === id)!.peakC;
  expect(of('s2')).toBeGreaterThan(of('s1'));
  expect(of('s3')).toBeGreaterThan(of('s4'));
  expect(of('s1')).toBeGreaterThan(of('end'));
});

test('a heat model needs a step and a duration', () => {
  expect(() => heated(0)).toThrow('step');
  expect(() => packHeat(FENDER, { watts: () => 1, seconds: 0, step: 1, startC: 0 })).toThrow();
});

// Facts of the trade: worn linings open the clearance and keep the torque, glazing takes torque and keeps the clearance, a
// leaking seal takes pressure, a friction plate left out takes two faces and opens the clearance by its thickness.
test('a broken pack', () => {
  const sound = FENDER;
  const torque = (p: ClutchPack) => packTorque(p, p.pressure);
  const worn = withPackFault(sound, 'worn-linings');
  expect(packClearance(worn)).toBeGreaterThan(packClearance(sound) + 2 * sound.lining);
  expect(torque(worn)).toBeCloseTo(torque(sound), 9);
  const glazed = withPackFault(sound, 'glazed');
  expect(torque(glazed)).toBeCloseTo(torque(sound) / 2, 9);
  expect(packClearance(glazed)).toBe(packClearance(sound));
  expect(torque(withPackFault(sound, 'seal-leaks'))).toBeLessThan(torque(sound) / 2);
  const short = withPackFault(sound, 'plate-left-out');
  expect(rubbingFaces(short)).toBe(rubbingFaces(sound) - 2);
  const left = sound.stack.find((p) => p.kind === 'friction')!;
  expect(packClearance(short)).toBeCloseTo(packClearance(sound) + left.thickness, 12);
});
