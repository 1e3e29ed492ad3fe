import type { RigKind } from './rig';

/**
 * The state of a machine in the shop, what a check needs of it, and what it costs to get there (minutes are those of a usual
 * shop; common practice, no source). What a state forbids can't be reached from it: no road test with the unit out, no
 * feeler gauge at a clutch that turns. Going somewhere is paid once, so two looks inside an opened unit cost one removal.
 */
export interface MachineState {
  readonly place: 'floor' | 'road' | 'stands';
  readonly engine: 'off' | 'runs';
  readonly fluid: 'warm' | 'cold';
  readonly pan: 'on' | 'off';
  readonly unit: 'in' | 'out' | 'open';
}

/** What a check asks of the state; what is left out may be as it is. Without `unit`, the unit is in. */
export interface Needs {
  readonly place?: MachineState['place'];
  readonly engine?: MachineState['engine'];
  readonly fluid?: 'warm';
  readonly pan?: 'off';
  readonly unit?: 'out' | 'open';
}

/** It has been driven in: standing on its wheels, warm, closed. */
export const ARRIVES: MachineState = {
  place: 'floor',
  engine: 'off',
  fluid: 'warm',
  pan: 'on',
  unit: 'in',
};

export type Move =
  | 'to-road'
  | 'off-road'
  | 'to-stands'
  | 'off-stands'
  | 'pan-off'
  | 'pan-on'
  | 'warm-up'
  | 'unit-out'
  | 'unit-open';

export interface Step {
  readonly move: Move;
  readonly minutes: number;
}

export interface Reached {
  readonly state: MachineState;
  readonly steps: readonly Step[];
  readonly minutes: number;
}

type Minutes = Readonly<Record<Move, number>>;

const USUAL: Minutes = {
  'to-road': 3,
  'off-road': 2,
  'to-stands': 8,
  'off-stands': 5,
  'pan-off': 25,
  'pan-on': 20,
  'warm-up': 10,
  'unit-out': 200,
  'unit-open': 50,
};

/** What is taken out is the unit, or the coupling, which is smaller. */
const MINUTES: Readonly<Record<RigKind, Minutes>> = {
  automatic: USUAL,
  'dual-clutch': USUAL,
  unit: USUAL,
  manual: { ...USUAL, 'unit-out': 180, 'unit-open': 60 },
  clutch: { ...USUAL, 'unit-out': 180, 'unit-open': 60 },
  coupling: { ...USUAL, 'unit-out': 110, 'unit-open': 45 },
};

/** @returns `null` where the state forbids it */
export function reach(kind: RigKind, from: MachineState, needs: Needs): Reached | null {
  if (needs.unit === undefined && from.unit !== 'in') return null;
  const steps: Step[] = [];
  let now = from;
  const go = (move: Move, change: Partial<MachineState>) => {
    steps.push({ move, minutes: MINUTES[kind][move] });
    now = { ...now, ...change };
  };
  const engine = needs.engine ?? (needs.place === 'road' ? 'runs' : undefined);
  const runs = engine === 'runs' || needs.fluid === 'warm';
  const place = needs.pan === 'off' || needs.unit ? 'stands' : (needs.place ?? now.place);
  if (runs && now.pan === 'off') go('pan-on', { pan: 'on', fluid: 'cold' });
  if (now.place === 'road' && place !== 'road') go('off-road', { place: 'floor' });
  if (now.place === 'stands' && place !== 'stands') go('off-stands', { place: 'floor' });
  if (needs.fluid === 'warm' && now.fluid === 'cold') go('warm-up', { fluid: 'warm' });
  if (place === 'road' && now.place !== 'road') go('to-road', { place });
  if (place === 'stands' && now.place !== 'stands') go('to-stands', { place });
  if (needs.pan === 'off' && now.pan === 'on') go('pan-off', { pan: 'off', fluid: 'cold' });
  if (needs.unit && now.unit === 'in') go('unit-out', { unit: 'out', fluid: 'cold' });
  if (needs.unit === 'open' && now.unit === 'out') go('unit-open', { unit: 'open' });
  if (engine) now = { ...now, engine };
  else if (place === 'stands' && needs.engine === undefined) now = { ...now, engine: 'off' };
  return { state: now, steps, minutes: steps.reduce((sum, s) => sum + s.minutes, 0) };
}

/** What has its place, its needs and a price of its own: a check. */
export interface Priced {
  readonly machine: RigKind;
  readonly minutes: number;
  readonly needs: Needs;
}

/** Minutes of a check from a state, with the way there; `null` where the state forbids it. */
export function priceFrom(state: MachineState, check: Priced): number | null {
  const way = reach(check.machine, state, check.needs);
  return way && way.minutes + check.minutes;
}

/** From where a machine arrives. */
export const priceAlone = (check: Priced): number => priceFrom(ARRIVES, check) ?? Infinity;

/** The state after some checks, and all the minutes; one that was forbidden costs as if it stood alone. */
export function afterChecks(checks: readonly Priced[]): { state: MachineState; minutes: number } {
  return checks.reduce(
    ({ state, minutes }, check) => {
      const way = reach(check.machine, state, check.needs);
      return way
        ? { state: way.state, minutes: minutes + way.minutes + check.minutes }
        : { state, minutes: minutes + priceAlone(check) };
    },
    { state: ARRIVES, minutes: 0 },
  );
}

/** Minutes of a set of checks made in the best order: the road first, then standing, on stands, the pan, and last inside. */
export function setMinutes(checks: readonly Priced[]): number {
  const late = ({ needs }: Priced) =>
    needs.unit ? 4 : needs.pan ? 3 : needs.place === 'stands' ? 2 : needs.place === 'road' ? 0 : 1;
  return afterChecks([...checks].sort((a, b) => late(a) - late(b))).minutes;
}
