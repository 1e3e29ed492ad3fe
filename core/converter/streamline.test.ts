import fc from 'fast-check';
import {
  streamlineCharacteristic,
  wheelTorques,
  type ConverterPoint,
  type StreamlineModel,
  type Wheel,
} from './index';

/** Any converter that might be built: the flow goes out by the pump and comes back further in. */
const wheel = (radius: [number, number], exit: [number, number], inlet: [number, number]) =>
  fc.record({
    exitRadius: fc.double({ min: radius[0], max: radius[1], noNaN: true }),
    exitAngle: fc.double({ min: exit[0], max: exit[1], noNaN: true }),
    inletAngle: fc.double({ min: inlet[0], max: inlet[1], noNaN: true }),
  });
const anyModel: fc.Arbitrary<StreamlineModel> = fc.record({
  kind: fc.constant('streamline' as const),
  pump: wheel([0.09, 0.2], [-20, 40], [-50, 10]),
  turbine: wheel([0.05, 0.08], [-68, -30], [20, 65]),
  stator: wheel([0.045, 0.075], [20, 68], [-30, 30]),
  area: fc.double({ min: 0.003, max: 0.03, noNaN: true }),
  density: fc.double({ min: 780, max: 900, noNaN: true }),
  shock: fc.double({ min: 0.2, max: 2, noNaN: true }),
  friction: fc.double({ min: 0.05, max: 0.6, noNaN: true }),
});
/** The same cases every time; another seed is another choice of cases. */
const SEED = 20261125;

const anyRatio = fc.double({ min: 0, max: 1, noNaN: true });
const anyFault = fc.constantFrom(null, 'slips' as const, 'seized' as const);

const tan = (degrees: number) => Math.tan((degrees * Math.PI) / 180);

/**
 * The slow twin of the closed form: what is lost per mass flow, straight from the statement of the losses (Hrovat and
 * Tobler 1985; memory). Shock is half the square of what the fluid misses the blades by, friction half the square of the
 * velocity along the blades.
 */
function lost(model: StreamlineModel, point: ConverterPoint): number {
  const v = point.flow!;
  const wheels: readonly [Wheel, number][] = [
    [model.pump, 1],
    [model.turbine, point.speedRatio],
    [model.stator, point.statorSpeed!],
  ];
  let sum = 0;
  wheels.forEach(([own, omega], k) => {
    const [before, omegaBefore] = wheels[(k + 2) % 3]!;
    const r = before.exitRadius;
    const comes = r * omegaBefore + v * tan(before.exitAngle);
    const wanted = r * omega + v * tan(own.inletAngle);
    sum += (model.shock * (comes - wanted) ** 2) / 2;
    sum += (model.friction * v * v * (1 + tan(own.exitAngle) ** 2)) / 2;
  });
  return sum;
}

// First law: what the three wheels put in is what shock and friction take, for any blades at any speed ratio.
test('power put in is power lost, for any converter, sound or broken', () => {
  fc.assert(
    fc.property(anyModel, anyRatio, anyFault, (model, speedRatio, fault) => {
      const point = streamlineCharacteristic(model, fault).at(speedRatio);
      if (point.flow === 0) return;
      const { pump, turbine, stator } = wheelTorques(model, point);
      expect(Math.abs(pump + turbine + stator)).toBeLessThan(1e-9 * Math.abs(pump) + 1e-15);
      const given = pump + turbine * speedRatio + stator * point.statorSpeed!;
      const taken = lost(model, point) * model.density * model.area * point.flow!;
      expect(Math.abs(given - taken)).toBeLessThan(1e-7 * Math.max(1e-6, Math.abs(pump)));
    }),
    { numRuns: 400, seed: SEED },
  );
});

// Complementarity of a one-way clutch: it stands and takes torque, or turns and takes none; never both, never backward.
test('the stator holds with torque, or turns without', () => {
  fc.assert(
    fc.property(anyModel, anyRatio, (model, speedRatio) => {
      const point = streamlineCharacteristic(model).at(speedRatio);
      if (point.flow === 0) return;
      const { pump, stator } = wheelTorques(model, point);
      const scale = Math.abs(pump) + 1e-12;
      if (point.statorHolds) {
        expect(point.statorSpeed).toBe(0);
        expect(stator).toBeGreaterThan(-1e-9 * scale);
      } else {
        expect(Math.abs(stator)).toBeLessThan(1e-7 * scale);
        expect(point.statorSpeed!).toBeGreaterThan(-1e-7);
      }
    }),
    { numRuns: 400, seed: SEED },
  );
});

test('no converter gives more power out than goes in', () => {
  fc.assert(
    fc.property(anyModel, anyRatio, anyFault, (model, speedRatio, fault) => {
      const { efficiency, coefficient } = streamlineCharacteristic(model, fault).at(speedRatio);
      if (coefficient > 0) expect(efficiency).toBeLessThanOrEqual(1 + 1e-9);
    }),
    { numRuns: 400, seed: SEED },
  );
});

test('at even speeds nothing circulates, and density changes torque but not the ratio', () => {
  fc.assert(
    fc.property(anyModel, anyRatio, (model, speedRatio) => {
      expect(streamlineCharacteristic(model).at(1).coefficient).toBeCloseTo(0, 9);
      const [thin, thick] = [1, 2].map((times) =>
        streamlineCharacteristic({ ...model, density: times * 800 }).at(speedRatio),
      );
      expect(thick!.torqueRatio).toBe(thin!.torqueRatio);
      expect(thick!.coefficient).toBeCloseTo(2 * thin!.coefficient, 12);
    }),
    { numRuns: 120, seed: SEED },
  );
});

test('below the coupling point the stator holds, above it not', () => {
  fc.assert(
    fc.property(anyModel, (model) => {
      const characteristic = streamlineCharacteristic(model);
      const coupling = characteristic.couplesAt;
      if (!characteristic.at(0).statorHolds || coupling === 1) return;
      expect(characteristic.at(Math.max(0, coupling - 1e-4)).statorHolds).toBe(true);
      expect(characteristic.at(Math.min(1, coupling + 1e-4)).statorHolds).toBe(false);
    }),
    { numRuns: 120, seed: SEED },
  );
});

// Found by chance cases: blades past which nothing circulates while the stator stands, though it would if the stator
// turned backward, which its one-way clutch does not allow.
test('a stator never turns backward, even where nothing circulates past a standing one', () => {
  const model: StreamlineModel = {
    kind: 'streamline',
    pump: { exitRadius: 0.09, exitAngle: 0, inletAngle: -29.96360069429152 },
    turbine: { exitRadius: 0.05, exitAngle: -30, inletAngle: 20.240995766596903 },
    stator: { exitRadius: 0.0521647826505583, exitAngle: 20.014526580290674, inletAngle: 0 },
    area: 0.003,
    density: 780,
    shock: 1.9521143753516919,
    friction: 0.41172089369618314,
  };
  const point = streamlineCharacteristic(model).at(0);
  expect(point).toMatchObject({ statorHolds: true, statorSpeed: 0, flow: 0, coefficient: 0 });
});
