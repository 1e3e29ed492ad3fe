import type { TFunction } from 'i18next';
import { formatNumber, formatRatio } from '../../shared/numbers';
import type { AnyClaim } from '../../../core/lesson';

/** How the numbers and names of a family's claims are written, by the name of their field. */
export type ClaimFormats = Readonly<Record<string, (value: never) => string>>;

/** Turns to the second decimal; a whole number of them without any. */
export const formatTurns = (turns: number): string =>
  Number.isInteger(turns) ? String(turns) : formatRatio(turns);

/** A small share, with the digit that matters. */
export const formatPercent = (share: number): string =>
  `${formatNumber(100 * share, share < 0.1 ? 1 : 0)} %`;

/**
 * A claim as a sentence of the catalogue, `claims.NAME` or `claims.NAME.SUB`.
 * @param sub where a claim has several sentences: which; its `way` where left out
 * @param more values that stand in no field
 */
export function claimText(
  t: TFunction,
  claim: AnyClaim,
  formats: ClaimFormats,
  sub: string | null = wayIn(claim),
  more: Readonly<Record<string, string>> = {},
): string {
  const values = Object.fromEntries(
    Object.entries(claim).flatMap(([name, value]) => {
      const format = formats[name];
      return format && value !== null ? [[name, format(value as never)]] : [];
    }),
  );
  const name = sub === null ? claim.claim : `${claim.claim}.${sub}`;
  return t(`claims.${name}`, { ...values, ...more });
}

const wayIn = (claim: AnyClaim): string | null => ('way' in claim ? claim.way : null);
