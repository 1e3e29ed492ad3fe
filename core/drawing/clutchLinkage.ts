import type { Clutch, ReleaseCurve, ReleasePoint } from '../clutch';
import type { Place } from './clutchShapes';

/** The way from the fork to the foot on the sheet: where fork, pedal, cylinders and line or cable are drawn (derived here). */

/** y of the centreline. */
export const BASE = 196;
/** Width of the release bearing. */
export const BEARING = 17;

/** The pedal beside the clutch on a wide sheet, below it on a tall one. */
export type ClutchLayout = 'wide' | 'tall';

export interface LayoutPlaces {
  readonly width: number;
  readonly height: number;
  readonly pivot: Place;
  readonly masterX: number;
  /** x of the line's way round the clutch; `null`: straight across. */
  readonly around: number | null;
}

export const LAYOUTS: Readonly<Record<ClutchLayout, LayoutPlaces>> = {
  wide: { width: 492, height: 206, pivot: { x: 424, y: 44 }, masterX: 332, around: null },
  tall: { width: 366, height: 394, pivot: { x: 240, y: 246 }, masterX: 130, around: 363 },
};

/** The fork stands upright at rest and turns about its ball, so that its ends travel in the ratio of its arms. */
export function forkPlaces(ratio: number, bearingX: number, restX: number) {
  const innerY = BASE - 40;
  const endY = 16;
  const pivotY = innerY - (innerY - endY) / (1 + ratio);
  const back = 34;
  const moved = bearingX - restX;
  const pivot = { x: restX + back, y: pivotY };
  return {
    pivot,
    inner: { x: pivot.x + moved - back + BEARING + 3, y: innerY },
    end: { x: pivot.x - moved * ratio, y: endY },
    restEnd: { x: pivot.x, y: endY },
  };
}

const PEDAL = { arm: 126, top: 24, rod: 40 } as const;

export function pedalShape(
  { linkage }: Clutch,
  { floor }: ReleaseCurve,
  { pedal }: ReleasePoint,
  { pivot }: LayoutPlaces,
) {
  const at = (travel: number, arm: number): Place => {
    const angle = REST_ANGLE - travel / linkage.pedalArm;
    return { x: pivot.x + arm * Math.sin(angle), y: pivot.y + arm * Math.cos(angle) };
  };
  return {
    pivot,
    pad: at(pedal, PEDAL.arm),
    rest: at(0, PEDAL.arm),
    floor: at(floor, PEDAL.arm),
    top: at(pedal, -PEDAL.top),
    rod: at(pedal, PEDAL.rod),
  };
}
/** Radians from straight down at which the pedal rests. */
const REST_ANGLE = 0.26;

/** Cylinders and line, or the cable, between the fork's end and the pedal. */
export function chainShape(
  { linkage }: Clutch,
  end: Place,
  restEnd: Place,
  pedal: ReturnType<typeof pedalShape>,
  { pivot, masterX, around }: LayoutPlaces,
) {
  if (linkage.drive.kind === 'cable')
    return {
      cylinders: [],
      line:
        around === null
          ? [end, { x: pivot.x - 60, y: pedal.top.y }, pedal.top]
          : [end, { x: around, y: end.y }, { x: around, y: pedal.top.y }, pedal.top],
    };
  const slaveX = restEnd.x - 74;
  const within = (length: number, piston: number) => Math.min(length - 4, Math.max(5, piston));
  return {
    cylinders: [
      {
        x: slaveX,
        y: end.y,
        length: 40,
        piston: within(40, 10 + end.x - restEnd.x),
        rod: end.x,
      },
      {
        x: masterX,
        y: pedal.rod.y,
        length: 44,
        piston: within(44, 40 + (pedal.rod.x - pivot.x) * 2 - PEDAL.rod * REST_ANGLE * 2),
        rod: pedal.rod.x,
      },
    ],
    line: [
      { x: masterX, y: pedal.rod.y },
      { x: masterX - 14, y: pedal.rod.y },
      ...(around === null
        ? [{ x: masterX - 14, y: 2 }]
        : [
            { x: masterX - 14, y: BASE + 20 },
            { x: around, y: BASE + 20 },
            { x: around, y: 2 },
          ]),
      { x: slaveX - 12, y: 2 },
      { x: slaveX - 12, y: end.y },
      { x: slaveX, y: end.y },
    ],
  };
}
