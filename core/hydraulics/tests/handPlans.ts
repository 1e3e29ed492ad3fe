import type { HydraulicPart, HydraulicPlan, ShiftValve } from '../plan';

/** Plans small enough to be worked out by hand. */

export const planWith = (lines: readonly string[], parts: HydraulicPart[]): HydraulicPlan => ({
  format: 'fair-sprocket/hydraulics',
  version: 1,
  id: 'by-hand',
  name: 'By hand',
  unit: 'none',
  lines: lines.map((id) => ({ id, name: id })),
  parts,
});

/** The plan with one part made otherwise. */
export const changedPart = (plan: HydraulicPlan, id: string, change: object): HydraulicPlan => ({
  ...plan,
  parts: plan.parts.map((p) => (p.id === id ? { ...p, ...change } : p)),
});

/** A pump and a regulator that holds 500 kPa, boosted by all of the throttle's pressure. */
export const SUPPLY: HydraulicPart[] = [
  {
    id: 'pump',
    name: '',
    kind: 'pump',
    to: 'line',
    volume: 20e-6,
    slip: 0,
    leak: 1e-8,
    suction: 1,
  },
  {
    id: 'regulator',
    name: '',
    kind: 'regulator',
    line: 'line',
    area: 2e-4,
    spring: 100,
    boosts: [{ line: 'throttle', area: 2e-4 }],
    orifice: 5e-6,
  },
  {
    id: 'throttle-valve',
    name: '',
    kind: 'throttle-valve',
    from: 'line',
    to: 'throttle',
    by: { kind: 'cable', rest: 0, rise: 400e3, slack: 0 },
  },
];

export const VALVE: ShiftValve = {
  id: 'shift-1',
  name: '',
  kind: 'shift-valve',
  gear: 1,
  governor: { line: 'governor', area: 1e-4 },
  throttle: { line: 'throttle', area: 3e-5 },
  difference: { line: 'line', area: 4e-6 },
  spring: 4,
  springRise: 0,
  up: [{ from: 'line', to: 'second' }],
  down: [],
};

/** One shift valve, and a governor of one weight: p = 0.05·0.02·ω²/1e-4. */
export const ONE_VALVE = planWith(
  ['line', 'throttle', 'governor', 'second'],
  [
    ...SUPPLY,
    {
      id: 'governor',
      name: '',
      kind: 'governor',
      from: 'line',
      to: 'governor',
      area: 1e-4,
      heavy: { mass: 0, radius: 0.02 },
      light: { mass: 0.05, radius: 0.02 },
      spring: 1,
    },
    VALVE,
  ],
);

export const WARM = { lever: 'D', celsius: 80, engineRpm: 2000, outputRpm: 0, throttle: 0 };
