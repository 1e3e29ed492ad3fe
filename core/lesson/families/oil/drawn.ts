import { binds } from '../../../geartrain';
import {
  drawnAt,
  partsOf,
  shiftDrawn,
  type HydraulicPlan,
  type OilShiftResult,
} from '../../../hydraulics';
import { onceFor } from '../../../numerics';
import { DRAWN_AT, DRAWN_EVERY, type DrawnPressures, type OilRig, type ShiftLimits } from './kinds';
import {
  circuitFor,
  exchangeIn,
  figuresOf,
  gearsFor,
  keepsWithin,
  upshift,
  type ShiftedAs,
  type Upshift,
} from './runs';

/** Shifts whose pistons press as somebody drew it. */

/** Pa of the line at that pedal: nothing presses harder. */
export function lineIn(rig: OilRig, shift: Upshift): number {
  const pump = partsOf(rig.plan, 'pump')[0];
  const { circuit, running, to } = upshift(rig, shift, circuitFor(rig));
  return (pump && circuit.inGear(running, to.gear, to.range).pressures.get(pump.to)) ?? 0;
}

/** @throws Error without a vehicle, or a next gear */
export const shiftAsDrawn = (rig: OilRig, shift: Upshift, drawn: DrawnPressures): OilShiftResult =>
  shiftDrawn(upshift(rig, shift, circuitFor(rig)), { every: DRAWN_EVERY, ...drawn });

/** What a drawing comes to, and whether the next gear takes hold at all. */
export interface DrawnAs extends ShiftedAs {
  readonly taken: boolean;
}

const runs = onceFor<HydraulicPlan, DrawnAs>();
const nameOf = ({ vehicle, unit }: OilRig, { gear, throttle }: Upshift, more: unknown) =>
  JSON.stringify([unit.id, vehicle, gear, throttle, more]);

export const drawnTo = (rig: OilRig, shift: Upshift, drawn: DrawnPressures): DrawnAs =>
  runs(rig.plan, nameOf(rig, shift, [drawn.coming, drawn.going]), () => {
    const result = shiftAsDrawn(rig, shift, drawn);
    return { ...figuresOf(result), taken: result.run.summary.arrives !== null };
  });

export const meetsDrawn = (limits: ShiftLimits, comes: DrawnAs): boolean =>
  comes.taken && keepsWithin(limits, comes);

/** Shares of the line's pressure, drawn. */
export function sharesOf(
  rig: OilRig,
  shift: Upshift,
  coming: readonly number[],
  going: readonly number[],
): DrawnPressures {
  const line = lineIn(rig, shift);
  const goes = exchangeIn(rig, shift.gear).going.length > 0;
  const drawn = (shares: readonly number[]) =>
    DRAWN_AT.map((_t, k) => line * (shares[k] ?? shares.at(-1) ?? 0));
  return { coming: drawn(coming), going: goes ? drawn(going) : [] };
}

/** What comes is filled and pressed as hard as it has to hold; then the other is let go, and it goes on up to the line. */
const SHAPES = [2, 1, 3].flatMap((from) =>
  [0.3, 0.4, 0.2, 0.5, 0.6].flatMap((share) =>
    [6, 4, 2].map((over) => ({
      coming: DRAWN_AT.map((_t, k) => {
        if (k === 0) return 0;
        return k <= from
          ? (share * (k + 1)) / (from + 2)
          : Math.min(1, share + ((1 - share) * (k - from)) / over);
      }),
      going: DRAWN_AT.map((_t, k) => (k <= from ? 1 : 0)),
    })),
  ),
);

const good = onceFor<HydraulicPlan, { readonly drawn: DrawnPressures | null }>();

/** One drawing that keeps within limits; without limits the first with which the gear takes hold and nothing flares or ties up. */
export function goodDrawing(
  rig: OilRig,
  shift: Upshift,
  limits: ShiftLimits | null,
): DrawnPressures | null {
  return good(rig.plan, nameOf(rig, shift, limits && { ...limits }), () => {
    for (const { coming, going } of SHAPES) {
      const drawn = sharesOf(rig, shift, coming, going);
      const comes = drawnTo(rig, shift, drawn);
      if (limits ? meetsDrawn(limits, comes) : comes.taken && comes.flare < 1 && comes.dip > 0)
        return { drawn };
    }
    return { drawn: null };
  }).drawn;
}

/** N·m that an element carries before it goes or when it has come, and the Pa that hold just that. */
export interface Carried {
  readonly element: string;
  readonly torque: number;
  readonly pressure: number;
}

/** What either side of a shift has to hold: the element of it that asks for most pressure. */
export interface HandOver {
  readonly coming: Carried | null;
  readonly going: Carried | null;
}

const handed = onceFor<HydraulicPlan, HandOver>();

/** From a shift that goes well; `null` where nothing comes or goes, or what does carries nothing. */
export const handOverIn = (rig: OilRig, shift: Upshift): HandOver =>
  handed(rig.plan, nameOf(rig, shift, 'handed'), () => {
    const drawn = goodDrawing(rig, shift, null);
    if (!drawn) return { coming: null, going: null };
    const { run, coming, going } = shiftAsDrawn(rig, shift, drawn);
    return {
      coming: most(rig, coming, run.samples.at(-1)?.torques),
      going: most(rig, going, run.samples.find((s) => s.time > 0)?.torques),
    };
  });

function most(
  { plan }: OilRig,
  elements: readonly string[],
  torques: Readonly<Record<string, number>> = {},
): Carried | null {
  const carried = elements.flatMap((element): Carried[] => {
    const piston = partsOf(plan, 'piston').find((p) => p.element === element);
    const torque = Math.abs(torques[element] ?? 0);
    if (!piston || torque === 0) return [];
    const force = torque / piston.torquePerForce + piston.returnForce;
    return [{ element, torque, pressure: force / piston.area }];
  });
  return carried.sort((a, b) => b.pressure - a.pressure)[0] ?? null;
}

/** s. */
const FINE = 0.005;
const TIMES = Array.from({ length: Math.round(DRAWN_AT.at(-1)! / FINE) }, (_v, k) => k * FINE);

const holdsAt = (row: readonly number[], { pressure }: Carried, time: number): boolean =>
  drawnAt(row, time / DRAWN_EVERY) >= pressure;

/** s of a drawing in which what comes and what goes hold all that they carry, both of them or neither. */
export function heldFor(rig: OilRig, shift: Upshift, drawn: DrawnPressures) {
  const { coming, going } = handOverIn(rig, shift);
  const held = { both: 0, neither: 0 };
  if (!coming || !going) return held;
  for (const time of TIMES) {
    const comes = holdsAt(drawn.coming, coming, time);
    if (comes !== holdsAt(drawn.going, going, time)) continue;
    held[comes ? 'both' : 'neither'] += FINE;
  }
  return held;
}

/** Whether the unit is tied up, or one of its ends held, while what goes and what comes are both on. */
export function tiesUp(rig: OilRig, { gear }: Upshift): boolean {
  const { forward } = gearsFor(rig);
  const on = [gear - 1, gear].flatMap((k) => forward[k]?.range.apply ?? []);
  return binds(rig.unit, [...new Set(on)]);
}

/** s at which each side that carries something takes it, or lets go of it, as drawn; `null` where it never does. */
export function handsAt(rig: OilRig, shift: Upshift, drawn: DrawnPressures) {
  const sides = handOverIn(rig, shift);
  return (['coming', 'going'] as const).flatMap((side) => {
    const carried = sides[side];
    if (!carried) return [];
    const time = TIMES.find((t) => holdsAt(drawn[side], carried, t) === (side === 'coming'));
    return [{ side, element: carried.element, time: time ?? null }];
  });
}
