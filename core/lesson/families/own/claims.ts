import { numberClaimHolds, type NumberClaim } from '../../numberClaims';
import type { OwnQuestion } from './kinds';

/** Facts about an answer to an instructor's own question, and what the instructor says. */
export type OwnClaim = NumberClaim | { claim: 'own-reason'; reason: string };

/** An instructor's words are theirs: only that they are is asked. */
export const ownClaimHolds = (claim: OwnClaim, question: OwnQuestion): boolean =>
  claim.claim === 'own-reason'
    ? claim.reason === question.reason && claim.reason.trim() !== ''
    : question.kind === 'own-number' && numberClaimHolds(claim, question.value, question.tolerance);
