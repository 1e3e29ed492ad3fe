import { readFileSync } from 'node:fs';
import {
  AS_BUILT,
  atPedal,
  compareUpgrades,
  releaseCurve,
  type Clutch,
  type ClutchPack,
} from '../core/clutch';
import { clutchSection } from '../core/drawing';
import type { Unit } from '../core/geartrain';
import { engage, sweepEngagement, train } from '../core/shift';
import { START } from '../core/shift/tests/aStart';
import { odexSolver } from '../core/vehicle/tests/odex';
import { compare } from './compare';

const read = <T>(file: string) => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;

/** Engagements, sweeps, the drawing that follows the pedal, and packs; the kernel against an ODE library. */
export function benchClutch(): void {
  const clutch = read<Clutch>('clutches/bollard-nine');
  const unit = read<Unit>('units/quay-four');
  const apply = unit.ranges.find((r) => r.gear === '1')!.apply;
  const setup = { ...START, unit, apply, grade: 0.03, step: 0.0005 };
  const nothing = () => undefined;
  const ms = (work: () => void) => compare('', nothing, work).theirsNs / 1e6;
  console.log(
    `engagement, 3 s at 0.5 ms on ${unit.ranges.length} ranges of ${unit.name}: ${ms(() => void engage(setup)).toFixed(0)} ms`,
  );
  const sweep = {
    setup: { ...setup, step: 0.002 },
    swept: 'throttle' as const,
    from: 0.2,
    to: 1,
    runs: 8,
  };
  console.log(
    `one of a sweep's 200 starts, at 2 ms: ${(ms(() => void [...sweepEngagement(sweep)]) / 8).toFixed(1)} ms`,
  );
  const curve = releaseCurve(clutch, AS_BUILT);
  const drawn = ms(() => {
    const fresh = releaseCurve(clutch, AS_BUILT);
    clutchSection(clutch, AS_BUILT, fresh, atPedal(fresh, 0.05));
  });
  const dragged = ms(() => void clutchSection(clutch, AS_BUILT, curve, atPedal(curve, 0.05)));
  console.log(
    `pedal dragged, drawing: ${dragged.toFixed(3)} ms; with a new release curve (wear, adjustment): ${drawn.toFixed(2)} ms`,
  );
  const pack = read<ClutchPack>('clutch-packs/windlass-brake');
  const duty = { joules: 12_000, seconds: 0.6, times: 8, every: 5, oilC: 90 };
  console.log(
    `pack in eight engagements, four ways: ${ms(() => void compareUpgrades(pack, duty)).toFixed(0)} ms`,
  );
  benchKernel();
}

/** The same slipping start by the kernel and by an extrapolation solver of the same accuracy, no event. */
function benchKernel(): void {
  const [i1, i2, i3, k, d, c] = [0.3, 0.05, 2, 400, 1.5, 60];
  const machine = train(
    {
      members: [
        { id: 'e', inertia: i1 },
        { id: 'g', inertia: i2 },
        { id: 'v', inertia: i3 },
      ],
      gearsets: [],
      elements: [{ id: 'k', between: ['e', 'g'], kind: 'both-ways' }],
      springs: [{ id: 's', between: ['g', 'v'], stiffness: k, damping: d }],
    },
    5e-4,
  );
  const ours = () => {
    const state = machine.start(new Map([['e', 300]]));
    const [torques, capacities] = [Float64Array.of(20, 0, -5), Float64Array.of(c)];
    for (let n = 0; n < 1000; n++) machine.step(state, torques, capacities);
  };
  const theirs = () =>
    void odexSolver(4, 1e-6).solve(
      (_t, [, g, v, twist]) => {
        const shaft = k * twist! + d * (g! - v!);
        return [(20 - c) / i1, (c - shaft) / i2, (shaft - 5) / i3, g! - v!];
      },
      0,
      [300, 0, 0, 0],
      0.5,
    );
  const { ratio, oursNs } = compare('', ours, theirs);
  console.log(
    `stepping kernel against a general-purpose extrapolation solver, half a second of slip: ${ratio.toFixed(1)} times as fast (${(oursNs / 1e6).toFixed(2)} ms for 1000 steps; the solver does no event)`,
  );
}
