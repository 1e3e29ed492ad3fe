import type { FaultKind } from '../faults';
import type { PartKind } from './parts';

/** What is tried while it goes together; each shows some mistakes, while they can still be put right. */
export const TOGETHER_CHECKS = [
  'by-hand',
  'air',
  'end-play',
  'clearance',
  'turn',
  'gears',
] as const;
export type TogetherCheck = (typeof TOGETHER_CHECKS)[number];

/**
 * Whom it befalls: what the part belongs to, the first side of its sleeve, a gear of another sleeve, or all whose oil comes
 * through it.
 */
export type Befalls = 'own' | 'first-side' | 'other-sleeve' | 'fed-through';

/** How a part goes in: one right way, and one that fits, too. */
export interface Facing {
  readonly rule: FacingRule;
  /** Which check shows the wrong way; `null`: the eye alone, before it is covered. */
  readonly shows: TogetherCheck | null;
  /** What the machine has with it the wrong way; `null`: nothing that the desk computes. */
  readonly fault: FaultKind | null;
  readonly befalls: Befalls;
}

export const FACING_RULES = [
  'side-told',
  'tabs-in-slots',
  'lip-to-oil',
  'locks-as-told',
  'in-its-groove',
  'steel-at-piston',
  'hole-to-port',
  'straight-in',
  'joints-apart',
  'turned-home',
  'set-down-flat',
  'bolts-in-turn',
  'backed-off',
  'hub-away',
  'crosswise',
  'not-washed',
  'on-its-mark',
  'held-in-line',
  'little-grease',
  'play-set',
  'flat-to-friction',
  'dish-as-told',
  'rings-apart',
  'spring-as-it-was',
  'each-its-own',
  'each-on-its-seat',
  'deep-side-named',
  'chamfer-to-gear',
  'lugs-in-slots',
  'pin-between-rails',
  'preload-set',
] as const;
export type FacingRule = (typeof FACING_RULES)[number];

const facing = (
  rule: FacingRule,
  shows: TogetherCheck | null,
  fault: FaultKind | null,
  befalls: Befalls = 'own',
): Facing => ({ rule, shows, fault, befalls });

/** Common practice, no source; the maker's manual decides. */
export const FACINGS: Readonly<Partial<Record<PartKind, Facing>>> = {
  'thrust-bearing': facing('side-told', 'end-play', null),
  'thrust-washer': facing('tabs-in-slots', 'end-play', null),
  seals: facing('lip-to-oil', 'air', 'seal-leaks'),
  'crank-seal': facing('lip-to-oil', null, 'clutch-oiled'),
  race: facing('locks-as-told', 'by-hand', 'reversed'),
  'snap-ring': facing('in-its-groove', 'by-hand', 'ring-out'),
  pack: facing('steel-at-piston', 'clearance', 'slips'),
  support: facing('hole-to-port', 'air', 'will-not-apply', 'fed-through'),
  piston: facing('straight-in', 'air', 'will-not-apply'),
  servo: facing('joints-apart', 'air', 'seal-leaks'),
  drum: facing('turned-home', 'end-play', 'slips'),
  pump: facing('set-down-flat', 'turn', 'pump-worn'),
  'valve-body': facing('bolts-in-turn', null, 'regulator-low'),
  anchor: facing('backed-off', 'turn', 'stuck-on'),
  disc: facing('hub-away', 'turn', 'clutch-warped-disc'),
  'clutch-cover': facing('crosswise', null, 'clutch-uneven-levers'),
  bearing: facing('not-washed', 'by-hand', 'clutch-rough-release-bearing'),
  flywheel: facing('on-its-mark', null, null),
  gearbox: facing('held-in-line', null, 'clutch-warped-disc'),
  bush: facing('little-grease', null, 'clutch-oiled'),
  'end-plate': facing('flat-to-friction', null, null),
  'cushion-plate': facing('dish-as-told', 'clearance', 'accumulator-stuck'),
  'feed-rings': facing('rings-apart', null, 'seal-leaks'),
  accumulator: facing('spring-as-it-was', null, 'accumulator-stuck'),
  'body-gaskets': facing('each-its-own', null, null),
  balls: facing('each-on-its-seat', null, null),
  'sleeve-hub': facing('deep-side-named', 'gears', 'will-not-apply', 'first-side'),
  // Its sides serve each other's gear: what comes of that is what is wrong with them.
  sleeve: facing('chamfer-to-gear', null, null),
  'blocker-rings': facing('lugs-in-slots', 'by-hand', 'synchro-worn'),
  interlock: facing('pin-between-rails', null, 'stuck-on', 'other-sleeve'),
  'shaft-bearing': facing('preload-set', 'turn', 'rough-bearing'),
  linkage: facing('play-set', 'by-hand', 'clutch-no-free-play'),
};
