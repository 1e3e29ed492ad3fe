import { partsOf } from '../plan';
import type { HydraulicPlan } from '../plan';
import type { Push } from './bolted';
import { THREADS, type BodyBolt, type Thread, type ValveBody } from './turning';

/** What of a valve body somebody may choose; the rest follows from its plan. */
export interface BodySetting {
  /** N of each accumulator's spring on the body while it is on, and m over which it lets go. */
  readonly spring: number;
  readonly travel: number;
  /** Thread of the short bolts along its edge. */
  readonly thin: 'M5' | 'M6';
}

/** Sizes of a usual body (memory): m, kg, Pa/m. */
const WIDTH = 0.15;
const [END, BORE] = [0.1, 0.024];
/** As stiff as what is left between its bores. */
const THICKNESS = 0.016;
const ALUMINIUM = { modulus: 70e9, poisson: 0.33 };
const DENSITY = 1700;
const GASKET = 6e10;
const GRAVITY = 9.81;
/** Shank and thread of each size, and its torque (small bolts of a case: about 10 N·m, common practice). */
const THIN = { thick: false, length: 0.035, engaged: 0.009 };
const THICK = { thick: true, length: 0.06, engaged: 0.018, thread: 'M8', torque: 20 } as const;
const THIN_TORQUE: Readonly<Record<Thread, number>> = { M5: 6, M6: 10, M8: 20 };

/** A place by its share of half the length and of half the width. */
type Place = readonly [id: string, x: number, y: number];
const EDGE: readonly Place[] = [
  ['A', -0.92, -0.86],
  ['B', 0, -0.86],
  ['C', 0.92, -0.86],
  ['D', -0.92, 0.86],
  ['E', 0, 0.86],
  ['F', 0.92, 0.86],
];
const INNER: readonly Place[] = [
  ['G', -0.5, -0.5],
  ['H', 0.5, -0.5],
  ['J', -0.5, 0.5],
  ['K', 0.5, 0.5],
];
/** Accumulators stand in one row beside the valves. */
const ROW = 0.2;

/** Spring under a body, by the element whose accumulator it is. */
export interface BodySpring extends Push {
  readonly element: string;
}

export interface LaidBody extends ValveBody {
  readonly pushes: readonly BodySpring[];
  /** Names of the valves, one bore each. */
  readonly bores: readonly string[];
}

const VALVES = [
  'regulator',
  'manual-valve',
  'throttle-valve',
  'shift-valve',
  'lock-up-valve',
  'kick-down-valve',
];

/** The body that holds a plan's valves, with an accumulator's spring between it and the case for each of the plan's. */
export function bodyOf(plan: HydraulicPlan, { spring, travel, thin }: BodySetting): LaidBody {
  const bores = plan.parts.filter((p) => VALVES.includes(p.kind)).map((p) => p.id);
  const accumulators = partsOf(plan, 'accumulator');
  const length = END + BORE * Math.max(bores.length, accumulators.length);
  const at = (x: number, y: number) => ({ x: (x * length) / 2, y: (y * WIDTH) / 2 });
  const bolt =
    (thread: Thread, sizes: Omit<BodyBolt, 'id' | 'x' | 'y' | 'area' | 'head' | 'thread'>) =>
    ([id, x, y]: Place): BodyBolt => {
      const { area, head } = THREADS[thread];
      return { id, ...at(x, y), thread, area, head, ...sizes };
    };
  return {
    plate: { length, width: WIDTH, thickness: THICKNESS, ...ALUMINIUM },
    weight: length * WIDTH * 0.05 * DENSITY * GRAVITY,
    gasket: GASKET,
    bolts: [
      ...EDGE.map(bolt(thin, { ...THIN, torque: THIN_TORQUE[thin] })),
      ...INNER.map(bolt(THICK.thread, THICK)),
    ],
    pushes: accumulators.map(({ line, id }, k) => ({
      element: partsOf(plan, 'piston').find((p) => p.line === line)?.element ?? id,
      ...at(-0.75 + (1.5 * (k + 0.5)) / accumulators.length, ROW),
      force: spring,
      rate: spring / travel,
    })),
    bores,
  };
}
