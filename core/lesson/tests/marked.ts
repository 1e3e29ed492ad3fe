import type { Assessment } from '..';

/** A grade as most tests look at it: the ways of thinking that were named are joined by "or". */
export const marked = ({ score, parts, why }: Assessment) => ({
  score,
  parts,
  misconception: why.named.map((n) => n.slip).join(' or ') || null,
});
