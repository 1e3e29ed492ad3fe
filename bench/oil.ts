import { readFileSync } from 'node:fs';
import { levenbergMarquardt } from 'ml-levenberg-marquardt';
import type { Unit } from '../core/geartrain';
import {
  balance,
  bodyOf,
  circuitOf,
  gearsOf,
  MAP_THROTTLES,
  OPEN,
  planFor,
  shiftInTime,
  shiftMap,
  turned,
  workspace,
  type NetworkPart,
} from '../core/hydraulics';
import type { Vehicle } from '../core/vehicle';
import { compare } from './compare';

/** Oil plans: pressures at rest, a shift map, a shift over time, a plan made; a network against a general-purpose library. */
const ms = (work: () => void): number => compare('', work, () => void 0).oursNs / 1e6;
const read = <T>(file: string): T => JSON.parse(readFileSync(`demo/${file}.json`, 'utf8')) as T;

export function benchOil(): void {
  const vehicle = read<Vehicle>('vehicles/yard-tractor');
  for (const id of ['quay-four', 'capstan-five', 'lighter-six']) {
    const unit = read<Unit>(`units/${id}`);
    const plan = planFor(unit);
    const circuit = circuitOf(plan);
    const { forward, mainLever } = gearsOf(unit);
    const running = {
      lever: mainLever!,
      throttle: 0.4,
      outputRpm: 0,
      engineRpm: 1900,
      celsius: 80,
    };
    let rpm = 0;
    const still = ms(() => {
      rpm = (rpm + 37) % 3000;
      circuit.at({ ...running, outputRpm: rpm });
    });
    const ratios = forward.map((f) => f.ratio);
    const map = ms(() => void shiftMap(circuit, { celsius: 80, idleRpm: 700, ratios }));
    const [low, high] = [forward[1]!, forward[2]!];
    const shift = ms(
      () =>
        void shiftInTime({
          circuit,
          unit,
          vehicle,
          from: { range: low.range.id, gear: 2 },
          to: { range: high.range.id, gear: 3 },
          running: { ...running, outputRpm: 1900 / low.ratio },
          inputNm: 80,
          inputInertia: 0.2,
          inputRpm: 1900,
          seconds: 1.6,
        }),
    );
    const make = ms(() => void planFor(unit));
    console.log(
      `oil, ${id} (${plan.parts.length} parts): at rest ${still.toFixed(2)} ms (1 asked), map of ${ratios.length - 1} shifts × ` +
        `${MAP_THROTTLES.length} throttles ${map.toFixed(0)} ms (50 asked for five), shift over time ${shift.toFixed(0)} ms (30 asked), ` +
        `plan made and timed in ${make.toFixed(0)} ms`,
    );
  }
  bolts();
  network();
}

/** A valve body's ten bolts, in turns. */
function bolts(): void {
  const body = bodyOf(planFor(read<Unit>('units/quay-four')), {
    spring: 180,
    travel: 0.012,
    thin: 'M6',
  });
  const order = body.bolts.map((b) => b.id);
  const run = (job: 'off' | 'on') => ms(() => void turned(body, { job, order, inTurns: true }));
  console.log(
    `a valve body's ten bolts: off in ${run('off').toFixed(0)} ms, on in ${run('on').toFixed(0)} ms`,
  );
}

/** A line of openings behind each other, each leaking to the pan. */
function network(): void {
  const n = 6;
  const parts: NetworkPart[] = [{ kind: 'source', to: 0, flow: 2e-4 }];
  for (let k = 0; k < n; k++) {
    if (k > 0) parts.push({ kind: 'opening', from: k - 1, to: k, forth: 3e-7, back: 3e-7 });
    parts.push({ kind: 'opening', from: k, to: OPEN, forth: 1e-7, back: 1e-7 });
  }
  const start = new Float64Array(n);
  const room = workspace(n);
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
  const { ratio } = compare(
    'network',
    () => void balance(parts, n, start, room),
    () =>
      void levenbergMarquardt(
        { x: Array.from({ length: n }, (_v, k) => k), y: Array.from({ length: n }, () => 0) },
        (p: number[]) => (k: number) => flows(p.map((v) => v * 1e5))[k]! * 1e4,
        {
          initialValues: Array.from({ length: n }, () => 4),
          gradientDifference: 1e-6,
          maxIterations: 100,
          damping: 1e-2,
          errorTolerance: 1e-12,
        },
      ),
  );
  console.log(
    `network of ${n} nodes: ${ratio.toFixed(0)} times as fast as a general-purpose library`,
  );
}
