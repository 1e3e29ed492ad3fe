import { sameNumber, toNumber } from '../../../numerics';
import {
  readSet,
  solveSet,
  thirdPort,
  type Effect,
  type GearSetSetup,
  type Port,
  type Roles,
} from '../../../geartrain';
import { numberClaimHolds, type NumberClaim } from '../../numberClaims';
import { DIRECTIONS, within, type Direction } from '../../questionParts';
import type { NumberQuestion, SetQuestion } from './kinds';

/** Facts about one gear set, each with its numbers: lengths of speed in turns, torques in N·m, speeds in rev/min. */
export type SetClaim =
  | NumberClaim
  /** For one turn of `part` the `other` makes so many, this way. */
  | { claim: 'turns-for-one'; part: Port; other: Port; turns: number; way: Direction }
  | { claim: 'carrier'; way: 'held' | 'drives' | 'driven' }
  /** With the carrier held: how often the meshes between sun and ring turn the way round. */
  | { claim: 'meshes'; way: 'single-pinion' | 'double-pinion' }
  /** The ratio in teeth, as one of `FORMS`. */
  | { claim: 'formula'; form: Form; ratio: number }
  /** One over the ratio, which the given number goes with. */
  | { claim: 'one-over'; inverse: number; ratio: number }
  /** The given number is what this ratio would give. */
  | { claim: 'goes-with'; given: number; ratio: number }
  /** This form of the teeth is the size of the ratio in another arrangement. */
  | { claim: 'right-with'; form: Form; ratio: number; part: Port; other: Port; third: Port }
  | { claim: 'with-plain'; form: Form; ratio: number }
  | { claim: 'pinion-quotient'; ratio: number; pinion: number; teeth: number }
  | { claim: 'pinion-out'; pinion: number }
  | { claim: 'given-is'; what: Shown; given: number }
  | {
      claim: 'torques';
      torqueIn: number;
      torqueOut: number;
      torqueHeld: number;
      way: 'sum' | 'difference';
    }
  | { claim: 'pinion-speed'; against: number; carrier: number; total: number; way: Direction }
  | { claim: 'pinion-way'; part: Port; way: Direction }
  | { claim: 'part-speeds'; sun: number; carrier: number; ring: number }
  /** What an arrangement with one part held gives. */
  | { claim: 'gives'; part: Port; other: Port; third: Port; ratio: number; effect: Effect }
  | { claim: 'as-one' }
  | { claim: 'nothing-held' };

/** What a number of the question is. */
export type Shown =
  | 'input-speed'
  | 'input-torque'
  | 'output-torque'
  | 'held-torque'
  | 'sum-of-torques'
  | 'size-difference'
  | 'ratio'
  | 'output-speed'
  | 'pinion-against-case'
  | 'pinion-from-sun'
  | 'pinion-from-ring';

/** Ratios in teeth, S of the sun, R of the ring. */
export const FORMS = {
  'R/S': (s: number, r: number) => r / s,
  'S/R': (s: number, r: number) => s / r,
  '1 + R/S': (s: number, r: number) => 1 + r / s,
  '1 + S/R': (s: number, r: number) => 1 + s / r,
  '1/(1 + R/S)': (s: number, r: number) => 1 / (1 + r / s),
  '1/(1 + S/R)': (s: number, r: number) => 1 / (1 + s / r),
  'R/S − 1': (s: number, r: number) => r / s - 1,
  '1 − S/R': (s: number, r: number) => 1 - s / r,
  '1/(R/S − 1)': (s: number, r: number) => 1 / (r / s - 1),
  '1/(1 − S/R)': (s: number, r: number) => 1 / (1 - s / r),
} as const;
export type Form = keyof typeof FORMS;

/** How an arrangement's ratio is written in teeth: by what stands still, whatever the numbers happen to be. */
export function formOf(kind: GearSetSetup['set']['kind'], roles: Roles): Form | null {
  if (roles.reaction !== 'held') return null;
  const plain = kind === 'single-pinion';
  switch (`${roles.drives}-${roles.driven}`) {
    case 'sun-ring':
      return 'R/S';
    case 'ring-sun':
      return 'S/R';
    case 'sun-carrier':
      return plain ? '1 + R/S' : 'R/S − 1';
    case 'ring-carrier':
      return plain ? '1 + S/R' : '1 − S/R';
    case 'carrier-sun':
      return plain ? '1/(1 + R/S)' : '1/(R/S − 1)';
    case 'carrier-ring':
      return plain ? '1/(1 + S/R)' : '1/(1 − S/R)';
    default:
      return null;
  }
}

export const wayOf = (turns: number): Direction =>
  turns > 0 ? DIRECTIONS[0] : turns < 0 ? DIRECTIONS[1] : DIRECTIONS[2];

export const heldRoles = (drives: Port, driven: Port): Roles => ({
  drives,
  driven,
  reaction: 'held',
});

/** The number that a question asks for, were this the ratio; `null` for a pinion's speed. */
export function numberFrom(question: NumberQuestion, ratio: number, setup: GearSetSetup) {
  const { inputSpeedRpm, inputTorqueNm } = setup;
  switch (question.ask) {
    case 'ratio':
      return Math.abs(ratio);
    case 'output-speed':
      return inputSpeedRpm / Math.abs(ratio);
    case 'output-torque':
      return inputTorqueNm * Math.abs(ratio);
    case 'held-torque':
      return Math.abs(ratio - 1) * inputTorqueNm;
    case 'pinion-speed':
      return null;
  }
}

const sizeOf = (set: GearSetSetup['set'], drives: Port, driven: Port): number | null => {
  const { ratio } = solveSet(set, heldRoles(drives, driven));
  return ratio && Math.abs(toNumber(ratio));
};

/** What is shown under this name, worked out from the set as it is run; `null` where it has none. */
export function shownValue(what: Shown, setup: GearSetSetup): number | null {
  const { set, roles, inputSpeedRpm: speed, inputTorqueNm: torque } = setup;
  const solution = solveSet(set, roles);
  const reading = readSet(setup, solution);
  const ratio = solution.ratio && toNumber(solution.ratio);
  const pinion = solution.pinions[0]?.speed;
  const carrier = solution.speeds.carrier;
  const size = (t: number | null) => (t === null ? null : Math.abs(t));
  // The pinion that is asked about; one in between passes each tooth on.
  const asked = set.kind === 'single-pinion' ? set.teeth.pinion : set.teeth.inner;
  const rolled = (port: 'sun' | 'ring') => {
    const turns = solution.speeds[port];
    return turns && asked ? Math.abs((toNumber(turns) * speed * set.teeth[port]) / asked) : null;
  };
  switch (what) {
    case 'input-speed':
      return speed;
    case 'input-torque':
      return torque;
    case 'output-torque':
      return size(reading[roles.driven].torqueNm);
    case 'held-torque':
      return roles.reaction === 'held' ? size(reading[thirdPort(roles)].torqueNm) : null;
    case 'sum-of-torques':
      return ratio === null ? null : (Math.abs(ratio) + 1) * torque;
    case 'size-difference':
      return ratio === null ? null : Math.abs(Math.abs(ratio) - 1) * torque;
    case 'ratio':
      return ratio && Math.abs(ratio);
    case 'output-speed':
      return ratio && speed / Math.abs(ratio);
    case 'pinion-against-case':
      return pinion && carrier ? Math.abs(toNumber(pinion) + toNumber(carrier)) * speed : null;
    case 'pinion-from-sun':
      return rolled('sun');
    case 'pinion-from-ring':
      return rolled('ring');
  }
}

/** What is asked for, worked out from the set as it is run; `null` where it has none. */
export function askedValue({ ask }: NumberQuestion, setup: GearSetSetup): number | null {
  if (ask !== 'pinion-speed') return shownValue(ask, setup);
  const turns = solveSet(setup.set, setup.roles).pinions[0]?.speed;
  return turns ? Math.abs(toNumber(turns)) * setup.inputSpeedRpm : null;
}

/** Asks the set itself whether a claim is so. */
export function setClaimHolds(
  claim: SetClaim,
  question: SetQuestion,
  setup: GearSetSetup,
): boolean {
  const { set, roles } = setup;
  const solution = solveSet(set, roles);
  const ratio = solution.ratio && toNumber(solution.ratio);
  const { sun, ring } = set.teeth;
  const inTeeth = (form: Form, value: number) =>
    sameNumber(Math.abs(FORMS[form](sun, ring)), value);
  const here = set.kind;
  const tolerance = question.kind === 'number' ? question.tolerance : null;
  const sameAs = (value: number | null, given: number) =>
    value !== null && tolerance !== null && within(tolerance, value, given);
  switch (claim.claim) {
    case 'turns-for-one': {
      const [one, other] = [solution.speeds[claim.part], solution.speeds[claim.other]];
      if (!one || !other || toNumber(one) === 0) return false;
      const turns = toNumber(other) / toNumber(one);
      return sameNumber(Math.abs(turns), claim.turns) && wayOf(turns) === claim.way;
    }
    case 'carrier': {
      if (roles.reaction !== 'held') return false;
      const is = { drives: roles.drives, driven: roles.driven, held: thirdPort(roles) }[claim.way];
      return is === 'carrier';
    }
    case 'meshes':
      return set.kind === claim.way && roles.reaction === 'held' && thirdPort(roles) === 'carrier';
    case 'formula':
      return (
        ratio !== null &&
        sameNumber(Math.abs(ratio), claim.ratio) &&
        inTeeth(claim.form, claim.ratio) &&
        formOf(here, roles) === claim.form
      );
    case 'one-over':
      return (
        question.kind === 'number' &&
        ratio !== null &&
        sameNumber(Math.abs(ratio), claim.ratio) &&
        sameNumber(claim.inverse, 1 / claim.ratio)
      );
    case 'goes-with':
      // A held part's torque goes by the ratio with its sign.
      return (
        question.kind === 'number' &&
        [1, -1].some((s) => sameAs(numberFrom(question, s * claim.ratio, setup), claim.given))
      );
    case 'right-with': {
      const size = sizeOf(set, claim.part, claim.other);
      return (
        isThird(claim) &&
        size !== null &&
        sameNumber(size, claim.ratio) &&
        inTeeth(claim.form, claim.ratio) &&
        formOf(here, heldRoles(claim.part, claim.other)) === claim.form
      );
    }
    case 'with-plain': {
      if (set.kind !== 'double-pinion') return false;
      const plain = { kind: 'single-pinion', teeth: { sun, ring } } as const;
      const size = solveSet(plain, roles).ratio;
      return (
        size !== null &&
        sameNumber(Math.abs(toNumber(size)), claim.ratio) &&
        inTeeth(claim.form, claim.ratio)
      );
    }
    case 'pinion-quotient':
      return (
        [sun, ring].includes(claim.teeth) &&
        pinionTeeth(setup).includes(claim.pinion) &&
        pinionForms(claim.pinion / claim.teeth).some((f) => sameNumber(f, claim.ratio))
      );
    case 'pinion-out':
      return pinionTeeth(setup).includes(claim.pinion) && ratio !== null;
    case 'given-is':
      return sameAs(shownValue(claim.what, setup), claim.given);
    case 'torques': {
      const [out, held] = [shownValue('output-torque', setup), shownValue('held-torque', setup)];
      if (out === null || held === null || ratio === null) return false;
      const sum = claim.way === 'sum' ? out + setup.inputTorqueNm : out - setup.inputTorqueNm;
      return (
        sameNumber(claim.torqueIn, setup.inputTorqueNm) &&
        sameNumber(claim.torqueOut, out) &&
        sameNumber(claim.torqueHeld, held) &&
        sameNumber(Math.abs(sum), held) &&
        (claim.way === 'sum') === ratio < 0
      );
    }
    case 'pinion-speed': {
      const [pinion, carrier] = [solution.pinions[0]?.speed, solution.speeds.carrier];
      if (!pinion || !carrier) return false;
      const [p, c] = [pinion, carrier].map((f) => toNumber(f) * setup.inputSpeedRpm) as [
        number,
        number,
      ];
      return (
        sameNumber(claim.against, Math.abs(p)) &&
        sameNumber(claim.carrier, Math.abs(c)) &&
        sameNumber(claim.total, Math.abs(p + c)) &&
        claim.way === wayOf(p * c)
      );
    }
    case 'off-by':
    case 'times-right':
      return (
        question.kind === 'number' &&
        numberClaimHolds(claim, askedValue(question, setup), question.tolerance)
      );
    case 'pinion-way': {
      const turns = solution.pinions[0]?.speed;
      return (
        turns !== undefined &&
        turns !== null &&
        claim.part === roles.drives &&
        claim.way === wayOf(toNumber(turns))
      );
    }
    case 'part-speeds':
      return (['sun', 'carrier', 'ring'] as const).every((p) => {
        const turns = solution.speeds[p];
        return turns !== null && sameNumber(Math.abs(toNumber(turns)), claim[p]);
      });
    case 'gives': {
      const held = solveSet(set, heldRoles(claim.part, claim.other));
      const size = held.ratio && Math.abs(toNumber(held.ratio));
      return (
        isThird(claim) &&
        size !== null &&
        sameNumber(size, claim.ratio) &&
        held.effect === claim.effect
      );
    }
    case 'as-one':
      return roles.reaction === 'locked' && ratio === 1;
    case 'nothing-held':
      return roles.reaction === 'free' && solution.effect === 'neutral';
  }
}

const isThird = ({ part, other, third }: Record<'part' | 'other' | 'third', Port>): boolean =>
  thirdPort({ drives: part, driven: other }) === third;

/** Ways to make a ratio of a pinion's teeth over another gear's. */
export const pinionForms = (q: number): number[] => [q, 1 / q, 1 + q, 1 + 1 / q];

export const pinionTeeth = ({ set }: GearSetSetup): number[] => {
  const { kind, teeth } = set;
  const all = kind === 'single-pinion' ? [teeth.pinion] : [teeth.inner, teeth.outer];
  return [...new Set(all.filter((n) => n !== undefined))];
};
