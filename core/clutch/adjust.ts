import type { ClutchState } from './condition';
import { adjustsItself, pedalToFork, type Clutch } from './clutch';
import { atPedal, bitePoint, releaseCurve } from './release';

/**
 * The adjustments of a linkage, what each is set by, and in which order they keep what was set before them: an order
 * is right when, done once each, everything is in its window at the end (computed by doing it).
 */
export type Adjustment = 'bleed' | 'over-centre' | 'fork-rod' | 'check-gap';

/** The adjustments that this clutch has. */
export function adjustmentsOf(clutch: Clutch): Adjustment[] {
  const { linkage } = clutch;
  return [
    ...(linkage.drive.kind === 'hydraulic' ? (['bleed'] as const) : []),
    ...(linkage.overCentre ? (['over-centre'] as const) : []),
    ...(adjustsItself(clutch) ? [] : (['fork-rod'] as const)),
    'check-gap',
  ];
}

/** What a person reads off a linkage. */
export interface LinkageReading {
  /** m at the pad and at the fork's end. */
  readonly pedalPlay: number;
  readonly forkPlay: number;
  /** Pad travel at which the over-centre spring passes its centre, m; `null` without one. */
  readonly centre: number | null;
  /** Gap all round, pedal on the floor, m, at the place where it is least. */
  readonly gap: number;
  /** Pad travel at which it bites, m, and that to the floor. */
  readonly bite: number;
  readonly floor: number;
  /** N at the foot at its most. */
  readonly force: number;
}

export function readLinkage(clutch: Clutch, state: ClutchState): LinkageReading {
  const curve = releaseCurve(clutch, state);
  const { overCentre } = clutch.linkage;
  return {
    pedalPlay: curve.pedalPlay,
    forkPlay: curve.forkPlay,
    centre: overCentre ? overCentre.centre + state.turnbuckle : null,
    gap: atPedal(curve, curve.floor).leastGap,
    bite: bitePoint(curve),
    floor: curve.floor,
    force: Math.max(...curve.points.map((p) => p.pedalForce)),
  };
}

export type LinkageVerdict =
  | 'rides'
  | 'play-short'
  | 'play-long'
  | 'centre-early'
  | 'centre-late'
  | 'drags'
  | 'gap-small'
  | 'air';

/** What is out of its window; empty when the linkage is as it should be. */
export function linkageVerdicts(clutch: Clutch, state: ClutchState): LinkageVerdict[] {
  const reading = readLinkage(clutch, state);
  const { pedalPlay, centre, releasedGap } = clutch.limits;
  const out: LinkageVerdict[] = [];
  if (state.air > 0) out.push('air');
  // A bearing rides where there is no play; before that there is too little, which wear will take.
  if (reading.forkPlay < 0) out.push('rides');
  else if (reading.pedalPlay < pedalPlay[0] - SLACK) out.push('play-short');
  if (reading.pedalPlay > pedalPlay[1] + SLACK) out.push('play-long');
  if (centre && reading.centre !== null) {
    if (reading.centre < centre[0] - SLACK) out.push('centre-early');
    if (reading.centre > centre[1] + SLACK) out.push('centre-late');
  }
  if (reading.gap < 0) out.push('drags');
  else if (reading.gap < GAP_SHARE * releasedGap) out.push('gap-small');
  return out;
}

/** A hair, so that a setting on the window's edge counts as inside, m. */
const SLACK = 1e-6;
/** Share of the wanted gap below which it counts as small. */
const GAP_SHARE = 0.9;

/** Does one adjustment by the book: sets the middle of its own window, as things stand at that moment. */
export function adjusted(clutch: Clutch, state: ClutchState, step: Adjustment): ClutchState {
  const { linkage, limits } = clutch;
  switch (step) {
    case 'bleed':
      return { ...state, air: 0 };
    case 'over-centre': {
      if (!linkage.overCentre || !limits.centre) return state;
      const middle = (limits.centre[0] + limits.centre[1]) / 2;
      return { ...state, turnbuckle: middle - linkage.overCentre.centre };
    }
    case 'fork-rod': {
      // The play is felt at the pad, whatever eats it; a spongy pedal hides air in the play.
      const wanted = (limits.pedalPlay[0] + limits.pedalPlay[1]) / 2;
      let next = state;
      for (let k = 0; k < 4; k++) {
        const { pedalPlay, forkPlay } = readLinkage(clutch, next);
        const missing =
          forkPlay < 0
            ? (wanted - state.turnbuckle) / pedalToFork(linkage) - forkPlay
            : (wanted - pedalPlay) / pedalToFork(linkage);
        next = { ...next, forkRod: next.forkRod + missing };
      }
      return next;
    }
    case 'check-gap':
      return state;
  }
}

/** Whether everything is in its window after these steps; a check must come last to have seen it. */
export function orderWorks(
  clutch: Clutch,
  state: ClutchState,
  steps: readonly Adjustment[],
): boolean {
  const after = steps.reduce((s, step) => adjusted(clutch, s, step), state);
  return steps.at(-1) === 'check-gap' && linkageVerdicts(clutch, after).length === 0;
}
