import { RPM_TO_RAD } from '../quantities';
import type { Vehicle } from '../vehicle';
import type { Circuit } from './circuit';
import { flipsAt, governorPressure, governorSpeed, type OilRunning } from './laws';
import { partsOf, type Control, type Governor, type HydraulicPlan, type Spool } from './plan';

/** Output speeds in rev/min at which a gear gives way to the next, and comes back; `null`: at no speed. */
export interface ShiftPoint {
  readonly throttle: number;
  readonly up: number | null;
  readonly down: number | null;
}

/** One line up and one line down of a shift map. */
export interface ShiftLine {
  /** Gears, 1 for the first. */
  readonly from: number;
  readonly to: number;
  readonly points: readonly ShiftPoint[];
}

/** How the engine turns while a speed is looked for. */
export interface MapSetting {
  /** Left out, the place in which most gears can come. */
  readonly lever?: string;
  readonly celsius: number;
  /** Ratios of the forward gears; without them the pump turns steadily. */
  readonly ratios?: readonly number[];
  readonly idleRpm: number;
  readonly throttles?: readonly number[];
}

export const MAP_THROTTLES: readonly number[] = Array.from({ length: 11 }, (_v, k) => k / 10);
const STEADY_RPM = 2000;
/** rev/min: what has come this near has been found. */
const FOUND = 0.05;
const MOST_ROUNDS = 12;
/** Past this nothing turns. */
const MOST_RPM = 20_000;
/** Under kick-down a lower gear comes up to this share of its highest speed, where a control unit decides. */
const KICK_SHARE = 0.88;

/** The lever place that feeds most of what shift valves pass on. */
export function drivingLever(plan: HydraulicPlan): string {
  const switched = new Set(partsOf(plan, 'shift-valve').flatMap((v) => v.up.map((w) => w.from)));
  const places = partsOf(plan, 'manual-valve').flatMap((v) => v.places);
  const feeds = (opens: readonly string[]) => opens.filter((l) => switched.has(l)).length;
  const best = places.reduce<(typeof places)[number] | undefined>(
    (most, p) => (most && feeds(most.opens) >= feeds(p.opens) ? most : p),
    undefined,
  );
  return best?.lever ?? '';
}

export function shiftMap(circuit: Circuit, setting: MapSetting): ShiftLine[] {
  const { plan } = circuit;
  const control = partsOf(plan, 'control')[0];
  const throttles = setting.throttles ?? MAP_THROTTLES;
  if (control) return controlLines(control, throttles);
  const governor = partsOf(plan, 'governor')[0];
  const asked = { ...setting, lever: setting.lever ?? drivingLever(plan) };
  return partsOf(plan, 'shift-valve').map((valve) => ({
    from: valve.gear,
    to: valve.gear + 1,
    points: throttles.map((throttle) => ({
      throttle,
      up: governor ? flipSpeed(circuit, valve, governor, asked, throttle, 0, valve.gear) : null,
      down: governor
        ? flipSpeed(circuit, valve, governor, asked, throttle, 1, valve.gear + 1)
        : null,
    })),
  }));
}

/**
 * The output speed at which a spool leaves its place: the governor pressure that its forces ask for, as the network makes it. Where
 * the governor's own law does not hold (a screen, a leak), the next guess is corrected by what it did make.
 */
export function flipSpeed(
  circuit: Circuit,
  valve: Spool & { readonly id: string },
  governor: Governor,
  setting: MapSetting & { readonly lever: string },
  throttle: number,
  place: 0 | 1,
  gear: number,
): number | null {
  // What is stuck never leaves.
  if (circuit.condition.stuck.has(valve.id)) return null;
  const ratio = setting.ratios?.[gear - 1];
  let rpm = governorSpeed(governor, 0.3 * governorPressure(governor, MOST_RPM / 4));
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const running: OilRunning = {
      lever: setting.lever,
      throttle,
      outputRpm: rpm,
      engineRpm: ratio === undefined ? STEADY_RPM : Math.max(setting.idleRpm, rpm * ratio),
      celsius: setting.celsius,
    };
    const at = circuit.pressuresIn(running, gear);
    const wanted = flipsAt(
      valve,
      {
        throttle: at(valve.throttle.line),
        kick: valve.kick ? at(valve.kick.line) : 0,
        passed: at(valve.difference.line),
      },
      place,
    );
    const [makes, ideal] = [at(valve.governor.line), governorPressure(governor, rpm)];
    // A passage that is empty or full whatever the speed moves no spool.
    if (ideal > 0 && (makes <= 0 || makes / ideal > 1.5)) return null;
    const next = governorSpeed(governor, ideal > 0 ? (wanted * ideal) / makes : wanted);
    if (!(next <= MOST_RPM)) return null;
    if (Math.abs(next - rpm) <= FOUND)
      return wanted > at(governor.from) ? null : place === 1 && wanted <= 0 ? null : next;
    rpm = Math.max(1, next);
  }
  return null;
}

function controlLines(control: Control, throttles: readonly number[]): ShiftLine[] {
  return control.shifts.map(({ gear, up, down }) => ({
    from: gear,
    to: gear + 1,
    points: throttles.map((throttle) => {
      const kicked = throttle >= control.kickDown;
      const share = kicked ? 1 : throttle;
      const between = ([closed, open]: readonly [number, number]) =>
        closed + (open - closed) * share;
      const rises = between(up);
      return {
        throttle,
        up: rises,
        down: kicked ? Math.max(between(down), KICK_SHARE * rises) : between(down),
      };
    }),
  }));
}

/** The gear that a shift map asks for, from the one that is in; at most one step. */
export function gearByMap(
  lines: readonly ShiftLine[],
  gear: number,
  throttle: number,
  outputRpm: number,
): number {
  const at = (from: number) => lines.find((l) => l.from === from);
  const [up, down] = [at(gear), at(gear - 1)];
  const rises = up && pointAt(up, throttle).up;
  if (rises !== undefined && rises !== null && outputRpm > rises) return gear + 1;
  const falls = down && pointAt(down, throttle).down;
  if (falls !== undefined && falls !== null && outputRpm < falls) return gear - 1;
  return gear;
}

/** Output speed of a road speed, rev/min. @param speed m/s */
export const outputAt = (
  vehicle: Pick<Vehicle, 'tyreRadiusM' | 'finalDrive'>,
  speed: number,
): number => (speed * vehicle.finalDrive) / vehicle.tyreRadiusM / RPM_TO_RAD;

/** What a launch asks of valves: the gear, 0 for the first, at a road speed in m/s. @param most gears that there are */
export const gearByValves =
  (
    lines: readonly ShiftLine[],
    vehicle: Pick<Vehicle, 'tyreRadiusM' | 'finalDrive'>,
    most: number,
  ) =>
  (gear: number, throttle: number, speed: number): number =>
    Math.max(
      0,
      Math.min(most - 1, gearByMap(lines, gear + 1, throttle, outputAt(vehicle, speed)) - 1),
    );

/** Between two of a line's points. */
export function pointAt({ points }: Pick<ShiftLine, 'points'>, throttle: number): ShiftPoint {
  const k = points.findIndex((p) => p.throttle >= throttle);
  const high = points[k < 0 ? points.length - 1 : k]!;
  const low = points[Math.max(0, (k < 0 ? points.length : k) - 1)]!;
  if (high === low || k === 0) return { ...high, throttle };
  const share = (throttle - low.throttle) / (high.throttle - low.throttle);
  const mix = (a: number | null, b: number | null) =>
    a === null || b === null ? (share < 0.5 ? a : b) : a + (b - a) * share;
  return { throttle, up: mix(low.up, high.up), down: mix(low.down, high.down) };
}
