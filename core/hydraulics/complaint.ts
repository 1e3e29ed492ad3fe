import type { ShiftQuality } from '../shift';
import type { Circuit, OilState } from './circuit';
import { commandedRange, type Gears } from './gears';
import { lockedHolds, lockUpLine } from './lockUp';
import { oiled } from './paths';
import { partsOf } from './plan';
import { shiftInTime } from './shiftInTime';
import { shiftMap } from './shiftMap';
import { upshiftOf, type UpshiftAsked } from './upshift';

/** What a driver can tell of a plan as it is now, beside the same plan as it was made: only what differs. */
export interface Complaint {
  /** Lever places in which something else takes hold at a standstill. */
  readonly places: readonly PlaceTold[];
  readonly shifts: readonly ShiftTold[];
  /** When the lock-up comes now; `null`: as before, or there is none. */
  readonly lockUp: Exclude<ShiftMoment, 'same'> | 'always' | null;
  /** The exhaust smokes, and the dipstick falls without a drop on the floor. */
  readonly smokes: boolean;
}

export interface PlaceTold {
  readonly lever: string;
  /** Elements that are on, and the range of this unit that this is, by its id. */
  readonly on: readonly string[];
  readonly range: string | null;
}

export interface ShiftTold {
  /** Gears, 1 for the first. */
  readonly from: number;
  readonly to: number;
  readonly moment: ShiftMoment;
  /** `null` where it feels as before, or never comes. */
  readonly felt: ShiftQuality | null;
}

/** When an upshift comes now, against before. */
export const SHIFT_MOMENTS = ['same', 'early', 'late', 'never'] as const;
export type ShiftMoment = (typeof SHIFT_MOMENTS)[number];

/** Share of its speed by which an upshift has to move to count as early or late. */
const MOVED = 0.06;

/** @param was output speed at which it came before @param now and now; `null`: at none */
export function momentOf(was: number | null, now: number | null): ShiftMoment {
  if (now === null) return was === null ? 'same' : 'never';
  if (was === null || Math.abs(now / was - 1) <= MOVED) return 'same';
  return now < was ? 'early' : 'late';
}

/** rev/min of the engine while the lever is tried at a standstill. */
const TRIED_RPM = 1200;

type Asked = Omit<UpshiftAsked, 'gear'> & { readonly idleRpm: number };

/** @param made the plan as it was made @param now as it is, with what is wrong in it */
export function complaintOf(made: Circuit, now: Circuit, asked: Asked): Complaint {
  const { gears, celsius, idleRpm, throttle } = asked;
  const forward = gears.forward.map((f) => f.range.id);
  const setting = {
    celsius,
    idleRpm,
    ratios: gears.forward.map((f) => f.ratio),
    throttles: [throttle],
    ...(gears.mainLever === null ? {} : { lever: gears.mainLever }),
  };
  const [lines, linesNow] = [made, now].map((c) => shiftMap(c, setting));
  const shifts = lines!.map((line, k): ShiftTold => {
    const { from, to } = line;
    const up = linesNow![k]!.points[0]!.up;
    const moment = changesNothing(now, gears, from) ? 'never' : momentOf(line.points[0]!.up, up);
    const felt = moment === 'never' ? null : feltNow(made, now, { ...asked, gear: from });
    return { from, to, moment, felt };
  });
  const places = placesThatDiffer(made, now, asked);
  // What drives nowhere changes no gear either.
  const drives = places.every((p) => p.lever !== gears.mainLever || p.range !== null);
  return {
    places,
    shifts: drives ? shifts.filter((s) => s.moment !== 'same' || s.felt !== null) : [],
    smokes: now.condition.burnsFluid && !made.condition.burnsFluid,
    lockUp: lockUpNow(made, now, asked, () =>
      [made, now].map((c) => lockUpLine(c, setting, forward)?.points[0]?.up ?? null),
    ),
  };
}

/** Whether a control unit commands the same range in both gears, since it reads another lever place. */
export function changesNothing({ plan, condition }: Circuit, gears: Gears, gear: number): boolean {
  if (partsOf(plan, 'control').length === 0 || gears.mainLever === null) return false;
  const [low, high] = [gear, gear + 1].map((g) =>
    commandedRange(gears, gears.mainLever!, g, condition),
  );
  return low === high;
}

function feltNow(made: Circuit, now: Circuit, asked: UpshiftAsked): ShiftQuality | null {
  const setup = upshiftOf(asked);
  if (!setup) return null;
  const [was, is] = [made, now].map((circuit) => shiftInTime({ ...setup, circuit }).quality);
  return was === is ? null : is!;
}

/** What is on in a lever place at a standstill, from first gear. */
function standing(circuit: Circuit, { gears, celsius, throttle }: Asked, lever: string): OilState {
  const range = commandedRange(gears, lever, 1, circuit.condition)?.id;
  const running = { lever, throttle, outputRpm: 0, engineRpm: TRIED_RPM, celsius };
  return circuit.at(running, undefined, range);
}

function placesThatDiffer(made: Circuit, now: Circuit, asked: Asked): PlaceTold[] {
  const oil = new Set(oiled(asked.unit));
  return asked.gears.levers.flatMap((lever) => {
    const [was, is] = [made, now].map((c) => standing(c, asked, lever).applied.toSorted());
    if (was!.join() === is!.join()) return [];
    const range = asked.unit.ranges.find((r) => {
      const applied = r.apply.filter((id) => oil.has(id)).toSorted();
      return applied.length > 0 && applied.join() === is!.join();
    });
    return [{ lever, on: is!, range: range?.id ?? null }];
  });
}

function lockUpNow(
  made: Circuit,
  now: Circuit,
  asked: Asked,
  speeds: () => (number | null)[],
): Complaint['lockUp'] {
  const lever = asked.gears.mainLever;
  if (lever === null || lockedHolds(made.plan, standing(made, asked, lever)) === null) return null;
  if ((lockedHolds(now.plan, standing(now, asked, lever)) ?? 0) > 0) return 'always';
  const [was, is] = speeds();
  const moment = momentOf(was!, is!);
  return moment === 'same' ? null : moment;
}
