import {
  bearingShapes,
  coverShapes,
  discShapes,
  fingerShapes,
  flywheelShapes,
  forkShape,
  pedalArm,
  plateShapes,
  shaftShapes,
  strapShape,
  type ClutchShape,
  type Place,
} from './clutchShapes';
import {
  BASE,
  BEARING,
  chainShape,
  forkPlaces,
  LAYOUTS,
  pedalShape,
  type ClutchLayout,
} from './clutchLinkage';
import {
  forkPlayNow,
  leverRatio,
  type Clutch,
  type ClutchState,
  type ReleaseCurve,
  type ReleasePoint,
} from '../clutch';

/**
 * A dry clutch cut along its shaft, upper half, with the linkage to the pedal (derived here). Radii are to scale, mm;
 * what moves along the shaft is drawn `STRETCH` times as far as it goes, so that a gap of a millimetre is seen. The
 * fork and the pedal turn by what the bearing and the pad really travel on that scale.
 *
 * x from the flywheel to the gearbox, y down; the centreline at `base`.
 */
export interface ClutchArrow {
  readonly at: Place;
  /** From `at` this far along x. */
  readonly by: number;
}

export interface ClutchSection {
  readonly width: number;
  readonly height: number;
  readonly base: number;
  readonly shapes: readonly ClutchShape[];
  /** Open space between disc and flywheel, and disc and plate; width 0 where they touch. */
  readonly gaps: readonly {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  }[];
  /** Rivet heads: where, and how deep below the facing's face, mm; below zero they stand out. */
  readonly rivets: readonly (Place & { readonly below: number })[];
  /** Damper springs, coil springs: from and to. */
  readonly coils: readonly { readonly from: Place; readonly to: Place; readonly width: number }[];
  /** Where the spring or a lever stands: on the plate, on its fulcrum, at the bearing. */
  readonly fingers: { readonly seat: Place; readonly pivot: Place; readonly tip: Place };
  readonly clampArrow: ClutchArrow;
  readonly bearingArrow: ClutchArrow;
  /** Cylinders with the place of their piston, and the line or cable between fork and pedal. */
  readonly cylinders: readonly {
    readonly x: number;
    readonly y: number;
    readonly length: number;
    readonly piston: number;
    /** x of the far end of its rod. */
    readonly rod: number;
  }[];
  readonly line: readonly Place[];
  readonly pads: {
    readonly pivot: Place;
    readonly pad: Place;
    readonly rest: Place;
    readonly floor: Place;
  };
  readonly pivots: readonly Place[];
  /** Where labels point to. */
  readonly anchors: Readonly<Record<'gap' | 'bearing' | 'fork' | 'disc' | 'flywheel', Place>>;
}

/** Axial travel is drawn this many times as long. */
export const STRETCH = 4;
const FACE_X = 50;
/** The disc's outer radius on the drawing. */
const DISC = 136;
const STEEL_MM = 1.6;
const PLATE = 20;
/** mm of arrow for the largest load. */
const ARROW = 40;

export function clutchSection(
  clutch: Clutch,
  state: ClutchState,
  curve: ReleaseCurve,
  point: ReleasePoint,
  layout: ClutchLayout = 'wide',
): ClutchSection {
  const place = LAYOUTS[layout];
  const { disc, cover, linkage } = clutch;
  const mm = (m: number) => 1000 * m;
  // Whatever its size, the disc fills the same height.
  const scale = DISC / mm(disc.outerRadius);
  const r = (m: number) => BASE - mm(m) * scale;
  const along = (m: number) => mm(m) * scale * STRETCH;
  const [outer, inner] = [r(disc.outerRadius), r(disc.innerRadius)];

  // Along the shaft, from the flywheel's face.
  const facing = along(Math.max(0.0004, (disc.newThickness - STEEL_MM / 1000 - state.wear) / 2));
  const closed = disc.cushion.travel * state.cushion;
  const open = along(Math.min(closed, Math.max(0, point.gap + closed)));
  const gap = along(Math.max(0, point.gap) / 2);
  const steel = along(STEEL_MM / 1000);
  const first = FACE_X + gap;
  const core = first + facing + open / 2;
  const second = core + steel + open / 2;
  const plateX = second + facing + gap;
  const plateW = PLATE;
  const frame = { base: BASE, outer, inner, face: FACE_X };
  const spring = springShape(clutch, r, along);
  // Where the fingers stand with no bearing on them, now that the disc is worn.
  const freePlate =
    FACE_X + 2 * facing + steel + along(Math.max(0, closed - pressed(curve, clutch)));
  const freeTip = spring.tipFor(freePlate + plateW);
  const rest = freeTip + along(forkPlayNow(clutch, state) / linkage.forkRatio);
  const bearingX = rest - along(point.bearing);
  const touching = point.bearingLoad > 0 || bearingX <= freeTip;
  const tip = touching ? Math.min(freeTip, bearingX) : freeTip;
  const [seat, pivot, end] = spring.lineTo(plateX + plateW, tip) as [Place, Place, Place];
  const fingers = { seat, pivot, tip: end };
  const fork = forkPlaces(linkage.forkRatio, bearingX, rest);
  const pedal = pedalShape(clutch, curve, point, place);
  const chain = chainShape(clutch, fork.end, fork.restEnd, pedal, place);

  return {
    width: place.width,
    height: place.height,
    base: BASE,
    shapes: [
      ...shaftShapes(frame, core + steel + 14, rest + 8),
      ...flywheelShapes(frame),
      ...discShapes(frame, { first, facing, core, steel, second, open }),
      ...plateShapes(frame, plateX, plateW, fingers.seat.y),
      ...coverShapes(frame, spring.coverX, spring.pivot),
      strapShape(frame, plateX, plateW),
      ...fingerShapes(cover.spring.kind === 'diaphragm', fingers.seat, fingers.pivot, fingers.tip),
      ...bearingShapes(bearingX, r(tipRadius(clutch)) - 12, BASE),
      forkShape(fork.inner, fork.pivot, fork.end),
      pedalArm(pedal.top, pedal.pivot, pedal.pad),
    ],
    gaps: [
      { x: FACE_X, y: outer, width: gap, height: inner - outer },
      { x: second + facing, y: outer, width: gap, height: inner - outer },
    ],
    rivets: [0.28, 0.72].flatMap((share) => {
      const y = outer + (inner - outer) * share;
      const below = mm(disc.aboveRivets - state.wear / 2);
      return [
        { x: first + Math.min(facing, Math.max(0, below * STRETCH)), y, below },
        { x: second + facing - Math.min(facing, Math.max(0, below * STRETCH)), y, below },
      ];
    }),
    coils: [
      {
        from: { x: core - 5, y: inner + 16.5 },
        to: { x: core + steel + 5, y: inner + 16.5 },
        width: 13,
      },
      ...spring.coils(plateX + plateW),
    ],
    fingers,
    clampArrow: {
      at: { x: plateX + plateW + 1, y: inner - 2 },
      by: -(ARROW * point.clamp) / Math.max(1, curve.freeClamp),
    },
    bearingArrow: {
      at: { x: bearingX + BEARING + 1, y: BASE - 21 },
      by: -(ARROW * point.bearingLoad * leverRatio(cover)) / Math.max(1, curve.freeClamp),
    },
    cylinders: chain.cylinders,
    line: chain.line,
    pads: { pivot: pedal.pivot, pad: pedal.pad, rest: pedal.rest, floor: pedal.floor },
    pivots: [fork.pivot, pedal.pivot],
    anchors: {
      gap: { x: rest + 62, y: BASE - 84 },
      // Beside the fork at rest, so that the words stay where they are.
      bearing: { x: rest + 62, y: BASE - 40 },
      fork: fork.end,
      disc: { x: core + steel / 2, y: BASE - 13 },
      flywheel: { x: (10 + FACE_X) / 2, y: (outer + BASE) / 2 },
    },
  };
}

/** m by which the cushion is pressed together with the bearing away. */
const pressed = (curve: ReleaseCurve, clutch: Clutch): number =>
  clutch.disc.cushion.travel * Math.sqrt(Math.min(1, curve.freeClamp / clutch.disc.cushion.load));

const tipRadius = ({ cover, disc }: Clutch): number =>
  cover.spring.kind === 'diaphragm' ? cover.spring.fingerRadius : disc.innerRadius * 0.4;

interface SpringShape {
  readonly pivot: Place;
  readonly coverX: number;
  /** x of the fingers' tips when the plate's face stands here and nothing bends. */
  readonly tipFor: (plateFace: number) => number;
  readonly lineTo: (plateFace: number, tip: number) => Place[];
  readonly coils: (plateFace: number) => { from: Place; to: Place; width: number }[];
}

/** Diaphragm or lever: from the plate over its pivot to the fingers. */
function springShape(
  clutch: Clutch,
  r: (m: number) => number,
  along: (m: number) => number,
): SpringShape {
  const { cover, disc } = clutch;
  const diaphragm = cover.spring.kind === 'diaphragm';
  const plateR = cover.spring.plateRadius;
  const ratio = leverRatio(cover);
  const tipR = tipRadius(clutch);
  const pivotR =
    cover.spring.kind === 'diaphragm'
      ? cover.spring.pivotRadius
      : plateR - (plateR - tipR) / (1 + ratio);
  // The plate's face with a new disc clamped; fingers lean towards the bearing then.
  const atNew = FACE_X + along(disc.newThickness) + PLATE;
  const lean = diaphragm ? 8 : 9;
  const pivot = { x: atNew + 2 + lean, y: r(pivotR) };
  const coverX = pivot.x + (diaphragm ? 9 : 26);
  return {
    pivot,
    coverX,
    tipFor: (plateFace) => pivot.x + (pivot.x - (plateFace + 2)) * ratio,
    lineTo: (plateFace, tip) => [{ x: plateFace + 2, y: r(plateR) }, pivot, { x: tip, y: r(tipR) }],
    coils: (plateFace) =>
      diaphragm
        ? []
        : [
            {
              from: { x: plateFace, y: r(disc.innerRadius) + 10 },
              to: { x: coverX, y: r(disc.innerRadius) + 10 },
              width: 13,
            },
          ],
  };
}
