import type { TFunction } from 'i18next';
import {
  EVEN,
  LEVEL,
  type BoltOrder,
  type BoltOrderQuestion,
  type ClaimOf,
  type OilQuestion,
} from '../../../../core/lesson';
import { SWUNG } from '../../../../core/hydraulics';
import { formatNumber, formatShare, type Numbers } from '../../../shared/numbers';
import { claimText } from '../claimText';

/** Questions about a valve body's bolts put into words. */

const degrees = (rad: number): number => (180 * rad) / Math.PI;

/** A lean that is followed no further says so. */
export const leanText =
  (t: TFunction) =>
  (rad: number): string =>
    t(rad < SWUNG ? 'oilWords.degrees' : 'oilWords.degreesOver', {
      degrees: formatNumber(degrees(Math.min(rad, SWUNG)), 1),
    });

/** Bolts one after the other, and how they are turned. */
export const orderText = (t: TFunction, { order, inTurns }: BoltOrder): string =>
  t(inTurns ? 'oilWords.boltsInTurns' : 'oilWords.boltsAtOnce', { order: order.join(' ') });

export const boltPrompt = (t: TFunction, { job }: BoltOrderQuestion): string =>
  t(`oilPrompts.bolt-order.${job}`, {
    degrees: formatNumber(degrees(LEVEL), 0),
    even: formatShare(EVEN),
  });

type BoltClaim = Extract<
  ClaimOf<'oil'>,
  { claim: 'bolts-come-to' | 'bolt-bends' | 'springs-push' }
>;

const id = (bolt: string) => bolt;

export function boltClaimText(
  t: TFunction,
  numbers: Numbers,
  claim: BoltClaim,
  question: OilQuestion,
): string {
  const force = (newton: number) => numbers.quantity(newton, 'force');
  switch (claim.claim) {
    case 'bolts-come-to': {
      const formats = {
        bolt: id,
        leanAt: id,
        offAt: id,
        strain: formatShare,
        lean: leanText(t),
        off: (share: number) => formatShare(1 + share),
      };
      const job = question.kind === 'bolt-order' ? question.job : 'off';
      return claimText(t, claim, formats, `${job}.${claim.way}`);
    }
    case 'bolt-bends': {
      const formats = { bolt: id, strain: formatShare, tension: force, holding: String };
      return claimText(t, claim, formats, claim.holding === 1 ? 'alone' : 'with-others');
    }
    case 'springs-push':
      return claimText(t, claim, { force, count: String }, claim.count === 1 ? 'one' : 'more');
  }
}
