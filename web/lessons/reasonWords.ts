import type { TFunction } from 'i18next';
import { solveSet, thirdPort, toothRatio, type GearSetSetup } from '../../core/geartrain';
import { toNumber } from '../../core/numerics';
import type { Misconception } from '../../core/lesson';
import { formatRatio } from '../shared/numbers';

/** Why an answer was wrong, with this set's own numbers in it. */
export interface Reason {
  readonly title: string;
  readonly text: string;
}

export function reasonFor(
  t: TFunction,
  misconception: Misconception | null,
  setup: GearSetSetup,
): Reason {
  const { set, roles } = setup;
  const { ratio } = solveSet(set, roles);
  const i = ratio ? Math.abs(toNumber(ratio)) : 0;
  const pinion = set.kind === 'single-pinion' ? set.teeth.pinion : set.teeth.inner;
  const values = {
    sun: set.teeth.sun,
    ring: set.teeth.ring,
    pinion: pinion ?? '?',
    bare: formatRatio(toNumber(toothRatio(set))),
    ratio: formatRatio(i),
    inverse: formatRatio(i === 0 ? 0 : 1 / i),
    drives: t(`partsInText.${roles.drives}`),
    driven: t(`partsInText.${roles.driven}`),
    third: t(`partsInText.${thirdPort(roles)}`),
  };
  const key = misconception ?? 'unknown';
  return { title: t(`why.${key}.title`, values), text: t(`why.${key}.text`, values) };
}
