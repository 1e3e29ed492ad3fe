import {
  ADDENDUM,
  externalTooth,
  gearOutline,
  internalTooth,
  layOutSet,
  pitchRadius,
  type PinionName,
  type PlanetarySet,
  type Point,
  type SetLayout,
} from '../geartrain';

/**
 * The end view of one set as plain geometry: every shape in its own frame, to be turned by a pose
 * (`poseSet`). Lengths in modules; y points up, so a screen turns it over.
 */
export interface EndView {
  readonly layout: SetLayout;
  /** Radius that holds everything drawn. */
  readonly extent: number;
  readonly sun: WheelShape;
  /** Pinions with the station and seat they belong to. */
  readonly pinions: readonly (WheelShape & {
    readonly name: PinionName;
    readonly station: number;
    readonly seat: number;
    readonly pin: number;
  })[];
  readonly ring: { readonly hole: readonly Point[]; readonly rim: number; readonly root: number };
  /** The carrier's plate: a band behind the pinions that joins all the pins. */
  readonly carrier: { readonly inner: number; readonly outer: number };
}

export interface WheelShape {
  readonly teeth: number;
  readonly outline: readonly Point[];
  readonly bore: number;
  readonly root: number;
}

export function endView(set: PlanetarySet): EndView {
  const layout = layOutSet(set);
  const seats = layout.stations[0] ?? [];
  const outlines = new Map(seats.map((seat) => [seat.teeth, wheel(seat.teeth, 0.52)]));
  const last = seats.at(-1);
  const ringTooth = internalTooth(layout.ringTeeth, last?.teeth ?? layout.ringTeeth / 3);
  const rim = ringTooth.rootRadius + Math.max(2.2, pitchRadius(layout.ringTeeth) * 0.1);
  const pinions = layout.stations.flatMap((station, s) =>
    station.map((seat, k) => {
      const shape = outlines.get(seat.teeth)!;
      return { ...shape, name: seat.name, station: s, seat: k, pin: shape.bore * 0.62 };
    }),
  );
  const farthest = Math.max(0, ...seats.map((s) => s.radius + s.teeth / 2 + ADDENDUM));
  return {
    layout,
    extent: Math.max(rim, farthest),
    sun: wheel(layout.sunTeeth, 0.42),
    pinions,
    ring: {
      hole: gearOutline(layout.ringTeeth, ringTooth),
      rim,
      root: ringTooth.rootRadius,
    },
    carrier: carrierBand(layout),
  };
}

function wheel(teeth: number, boreShare: number): WheelShape {
  const form = externalTooth(teeth);
  return {
    teeth,
    outline: gearOutline(teeth, form),
    bore: form.rootRadius * boreShare,
    root: form.rootRadius,
  };
}

/** Wide enough to hold every pin, and clear of the sun's teeth. */
function carrierBand({ stations, sunTeeth }: SetLayout): EndView['carrier'] {
  const seats = stations[0] ?? [];
  const width = (k: number) => seats[k]!.teeth * 0.17;
  const inner = Math.min(...seats.map((s, k) => s.radius - width(k)));
  const outer = Math.max(...seats.map((s, k) => s.radius + width(k)));
  return { inner: Math.max(inner, sunTeeth / 2 + ADDENDUM + 0.3), outer };
}

/** An SVG path through points; `d` attribute text with three decimals. */
export function closedPath(points: readonly Point[]): string {
  return `M${points.map((p) => `${round(p.x)} ${round(p.y)}`).join('L')}Z`;
}

/** A full circle as a path that can be joined to others under the even-odd rule. */
export function circlePath(radius: number): string {
  const r = round(radius);
  return `M${r} 0A${r} ${r} 0 1 1 ${-r} 0A${r} ${r} 0 1 1 ${r} 0Z`;
}

const round = (value: number): number => Math.round(value * 1000) / 1000;
