import fc from 'fast-check';
import {
  applyTravel,
  bestSelective,
  compareUpgrades,
  dutyHeat,
  endPlateNeeded,
  equallyGood,
  gaugeReading,
  grooveLoad,
  judgePack,
  MEASURED,
  measuringDecides,
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

/** Three frictions on a flat steel, with numbers of this test. */
const THREE: ClutchPack = {
  ...FENDER,
  piston: { outerRadius: 0.07, innerRadius: 0.04, returnForce: 600 },
  pressure: 347_000,
  faces: { ...FENDER.faces, outerRadius: 0.072, innerRadius: 0.056 },
  stack: ['f', 's', 'f', 's', 'f', 'e'].map((k, n) => ({
    id: `${k}${n}`,
    kind: k === 'f' ? 'friction' : k === 's' ? 'steel' : 'end-plate',
    thickness: 0.002,
  })),
};

// Common practice, no source: three frictions to four is a third more, 150 → 200 N·m; ten per cent more pressure is
// about ten per cent more torque (the return spring takes a share of the force, so a little more).
test('torque goes with plates and with pressure', () => {
  const metal = { id: 's', kind: 'steel' as const, thickness: 0.002 };
  const three = { ...THREE, stack: [metal, ...THREE.stack] };
  expect(packTorque(three, three.pressure)).toBeCloseTo(150, -1);
  const four = upgraded(three, 'one-plate-more');
  expect(packTorque(four, four.pressure)).toBeCloseTo(200, -1);
  expect(packTorque(four, four.pressure) / packTorque(three, three.pressure)).toBeCloseTo(4 / 3, 9);
  const pressed = packTorque(WINDLASS, 1.1 * WINDLASS.pressure);
  expect(pressed / packTorque(WINDLASS, WINDLASS.pressure)).toBeCloseTo(1.1, 1);
});

// By hand: π·(0.070² − 0.040²) m² · 340 kPa − 600 N = 2925 N.
test('force of the piston', () => {
  expect(pistonForce(THREE, 340_000)).toBeCloseTo(2924.8, 0);
  expect(pistonForce(THREE, 10_000)).toBe(0);
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

// By hand: 25.25 − 1.6 − (1.5 + 2.0 + 4 × 1.7 + 3 × 2.6 + 4.5) = 1.05 mm.
test('clearance is what ring and plates leave of the depth', () => {
  expect(1000 * stackHeight(FENDER)).toBeCloseTo(22.6, 9);
  expect(1000 * packClearance(FENDER)).toBeCloseTo(1.05, 9);
});

// Common practice, no source: a waved plate at the piston makes the apply gentle. By hand: 1.05 mm in all, 0.4 mm of wave.
test('the piston touches before it clamps, by the wave of the cushion', () => {
  const travel = applyTravel(FENDER);
  expect(1000 * travel.clamped).toBeCloseTo(1.05, 9);
  expect(1000 * travel.touches).toBeCloseTo(0.65, 9);
  const flat = FENDER.stack.map((p) => ({ ...p, wave: 0 }));
  expect(applyTravel({ ...FENDER, stack: flat }).touches).toBeCloseTo(0.00105, 9);
  expect(applyTravel({ ...FENDER, depth: 0.01 })).toEqual({ touches: 0, clamped: 0 });
});

// By hand: flat 1.05 mm, free 1.05 − 0.4, cushion plate out 1.05 + 1.5; wanted 0.8 to 1.3.
test('the way of measuring tells another reading, and here another verdict', () => {
  const reads = MEASURED.map((way) => 1000 * gaugeReading(FENDER, way));
  [1.05, 0.65, 2.55].forEach((mm, k) => expect(reads[k]).toBeCloseTo(mm, 9));
  expect(measuringDecides(FENDER)).toBe(true);
  expect(packFindings({ ...FENDER, measured: 'free' }).map((f) => f.code)).toEqual([
    'clearance-small',
  ]);
  const flat = FENDER.stack.map(({ wave, ...p }) => p).slice(1);
  expect(measuringDecides({ ...FENDER, stack: flat, depth: FENDER.depth - 0.0015 })).toBe(false);
});

// By hand: of end plates 4.4 and 4.6 mm one gives 0.1 mm too much, the other 0.1 mm too little.
test('of two parts equally far from the middle the tighter is taken, and the other is told', () => {
  const two = { ...FENDER, selective: { ...FENDER.selective, thicknesses: [0.0044, 0.0046] } };
  expect(bestSelective(two)!.thickness).toBe(0.0046);
  expect(equallyGood(two)!.thickness).toBe(0.0044);
  expect(equallyGood(FENDER)).toBeNull();
});

// Facts of the trade: the groove of a drum with lugs bears where there is a wall.
test('a groove with gaps bears its share', () => {
  const whole = { ...WINDLASS, ring: { ...WINDLASS.ring, bears: 1 } };
  expect(grooveLoad(WINDLASS) / grooveLoad(whole)).toBeCloseTo(0.55, 12);
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
  const [wave, s0, f1, s1, f2, s2, f3, s3, f4, end] = FENDER.stack as Plate[] & { length: 10 };
  const rest = [s2!, f3!, s3!, f4!];
  expect(stacked([wave!, s0!, f1!, f2!, s1!, ...rest, end!])).toContain('same-beside-same');
  expect(stacked([f1!, wave!, s0!, f2!, ...rest, end!])).toEqual(
    expect.arrayContaining(['friction-at-piston', 'cushion-not-first', 'friction-on-wave']),
  );
  expect(stacked([wave!, f1!, s1!, f2!, ...rest, end!])).toContain('friction-on-wave');
  expect(stacked([wave!, s0!, f1!, s1!, f2!, ...rest])).toContain('friction-at-ring');
  expect(stacked([wave!, s0!, end!])).toContain('no-frictions');
  expect(stacked([...FENDER.stack.slice(0, -1), plate('steel', 9), end!])).toContain(
    'does-not-fit',
  );
  expect(stacked([wave!, s0!, f1!, s1!, f2!, end!])).toContain('clearance-large');
  expect(codes({ ...FENDER, depth: 0.0249 })).toContain('clearance-small');
  expect(codes(withSelective(FENDER, endPlateNeeded(FENDER) / 2))).toContain('end-plate-thin');
  expect(codes({ ...FENDER, pressure: 1000 })).toContain('does-not-apply');
  expect(codes({ ...FENDER, lining: 0.002 })).toContain('lining-over-plate');
  expect(codes({ ...WINDLASS, pressure: 4e6 })).toContain('groove-overloaded');
  const thick = WINDLASS.stack.map((p) => (p.id === 's1' ? { ...p, thickness: 0.003 } : p));
  expect(codes({ ...WINDLASS, stack: thick })).toContain('thick-not-middle');
});

// Common practice, no source: a plate more needs room, pressure loads the ring, thin steels take up less heat.
test('what limits each upgrade', () => {
  const duty = { joules: 50_000, seconds: 0.6, times: 1, every: 5, oilC: 90 };
  const of = (pack: ClutchPack) =>
    Object.fromEntries(compareUpgrades(pack, duty).map((u) => [u.upgrade, u.limits]));
  expect(of(FENDER)['as-it-is']).toEqual(['none']);
  expect(of(FENDER)['one-plate-more']).toContain('room');
  expect(of(FENDER)['thinner-steels']).toEqual(['heat']);
  const loose = { ...FENDER, depth: FENDER.depth + 0.001 };
  expect(of(loose)['as-it-is']).toEqual(['slack']);
  expect(of(WINDLASS)['more-pressure']).toContain('groove');
  expect(judgePack(upgraded(FENDER, 'thinner-steels'), duty).peakC).toBeGreaterThan(
    judgePack(FENDER, duty).peakC,
  );
  expect(pistonForce(WINDLASS, 1.25 * WINDLASS.pressure)).toBeGreaterThan(grooveLoad(WINDLASS));
});

const heated = (step: number, joules = 20_000) =>
  packHeat(FENDER, { heatUntil: steadyEngagement(joules, 0.6), seconds: 0.6, step, startC: 90 });

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
  const area = Math.PI * (FENDER.faces.outerRadius ** 2 - FENDER.faces.innerRadius ** 2);
  const heat = packHeat(pack, {
    heatUntil: (time) => watts * time,
    seconds,
    step: 0.0005,
    startC: 0,
  });
  const flux = watts / area / 2;
  const closed = 2 * flux * Math.sqrt(seconds / (Math.PI * 46 * 7850 * 480));
  expect(heat.plates[0]!.peakC / closed).toBeGreaterThan(0.85);
  expect(heat.plates[0]!.peakC / closed).toBeLessThan(1.0);
  expect(heat.plates[0]!.peakC).toBeCloseTo(heat.plates[2]!.peakC, 6);
  // Each layer where it lies: evenly through the first steel, the middle of the stack in the middle, the same from both ends.
  const { profile } = heat;
  const whole = 0.0816;
  expect(profile.map((p, k) => p.x + profile.at(-1 - k)!.x)).toEqual(
    profile.map(() => expect.closeTo(whole, 9) as number),
  );
  expect(profile.every((p, k) => p.x > (profile[k - 1]?.x ?? 0))).toBe(true);
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
  expect(() =>
    packHeat(FENDER, { heatUntil: (time) => time, seconds: 0, step: 1, startC: 0 }),
  ).toThrow();
});

// Facts of the trade: worn linings open the clearance and keep the torque, glazing takes torque and keeps the clearance, a
// leaking seal takes pressure, a friction plate left out takes two faces and opens the clearance by its thickness.
test('a broken pack', () => {
  const sound = FENDER;
  const torque = (p: ClutchPack) => packTorque(p, p.pressure);
  const worn = withPackFault(sound, 'worn-linings');
  expect(packClearance(worn)).toBeGreaterThan(packClearance(sound) + 2 * sound.lining);
  // By arithmetic: 0.7 of each lining is gone (from memory), two linings a friction plate.
  const frictions = sound.stack.filter((p) => p.kind === 'friction').length;
  const gone = 2 * frictions * 0.7 * sound.lining;
  expect(packClearance(worn)).toBeCloseTo(packClearance(sound) + gone, 12);
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

// By arithmetic: six times 8000 J is 48 000 J, whatever the period and the step.
test('what is asked for goes in, though a period is no whole number of steps', () => {
  const { energy } = dutyHeat(FENDER, {
    joules: 8000,
    seconds: 0.7,
    times: 6,
    every: 10,
    oilC: 90,
  });
  expect(energy.heat).toBeCloseTo(48_000, 6);
});
