import {
  drawnAt,
  exchanged,
  partsOf,
  shiftDrawn,
  type HydraulicPlan,
  type OilShiftResult,
} from '../../../hydraulics';
import { onceFor } from '../../../numerics';
import { DRAWN_AT, DRAWN_EVERY, type DrawnPressures, type OilRig, type ShiftLimits } from './kinds';
import {
  circuitFor,
  figuresOf,
  gearsFor,
  keepsWithin,
  upshift,
  type ShiftedAs,
  type Upshift,
} from './runs';

/** Shifts whose pistons press as somebody drew it. */

/** Elements that the oil brings in, and lets go. */
export function exchangeIn({ unit, plan }: OilRig, { gear }: Upshift) {
  const { forward } = gearsFor({ unit, plan, vehicle: null });
  const applied = (k: number) => forward[k]?.range.apply ?? [];
  return exchanged(plan, applied(gear - 1), applied(gear));
}

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
  const goes = exchangeIn(rig, shift).going.length > 0;
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

/** One drawing that keeps within limits; without limits the first with which the gear takes hold and nothing flares. */
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

/** N·m that an element carries when a shift has come or before it goes, and the Pa that hold just that. */
export interface Carried {
  readonly element: string;
  readonly torque: number;
  readonly pressure: number;
}

const carrying = onceFor<
  HydraulicPlan,
  { readonly on: Carried | null; readonly off: Carried | null }
>();

/** What either side of a shift has to hold, from a shift that goes well; `null` where there is none or nothing is let go. */
export const carriedIn = (rig: OilRig, shift: Upshift) =>
  carrying(rig.plan, nameOf(rig, shift, 'carried'), () => {
    const drawn = goodDrawing(rig, shift, null);
    if (!drawn) return { on: null, off: null };
    const { run, coming, going } = shiftAsDrawn(rig, shift, drawn);
    const of = (
      element: string | undefined,
      torques: Readonly<Record<string, number>> | undefined,
    ) => {
      const piston = partsOf(rig.plan, 'piston').find((p) => p.element === element);
      const torque = Math.abs((element !== undefined && torques?.[element]) || 0);
      return element !== undefined && piston && torque > 0
        ? {
            element,
            torque,
            pressure: (torque / piston.torquePerForce + piston.returnForce) / piston.area,
          }
        : null;
    };
    return {
      on: of(coming[0], run.samples.at(-1)?.torques),
      off: of(going[0], run.samples.find((s) => s.time > 0)?.torques),
    };
  });

const FINE = 0.005;
const TIMES = Array.from({ length: Math.round(DRAWN_AT.at(-1)! / FINE) }, (_v, k) => k * FINE);

/** Whether what comes, and what goes, hold all that they carry, along a drawing; `null` where nothing hands over. */
function holding(rig: OilRig, shift: Upshift, drawn: DrawnPressures) {
  const { on, off } = carriedIn(rig, shift);
  const holds = (row: readonly number[], carried: Carried, time: number) =>
    drawnAt(row, time / DRAWN_EVERY) >= carried.pressure;
  return TIMES.map((time) => ({
    time,
    comes: on ? holds(drawn.coming, on, time) : null,
    stays: off ? holds(drawn.going, off, time) : null,
  }));
}

/** s of a drawing in which what comes and what goes hold all that they carry, both of them or neither. */
export function heldFor(rig: OilRig, shift: Upshift, drawn: DrawnPressures) {
  const along = holding(rig, shift, drawn).filter((h) => h.comes !== null && h.stays !== null);
  return {
    both: FINE * along.filter((h) => h.comes && h.stays).length,
    neither: FINE * along.filter((h) => !h.comes && !h.stays).length,
  };
}

/** s at which what comes takes and what goes lets go, as drawn; `null` where it never does. */
export function handsAt(rig: OilRig, shift: Upshift, drawn: DrawnPressures) {
  const along = holding(rig, shift, drawn);
  return {
    takes: along.find((h) => h.comes === true)?.time ?? null,
    letsGo: along.find((h) => h.stays === false)?.time ?? null,
  };
}
