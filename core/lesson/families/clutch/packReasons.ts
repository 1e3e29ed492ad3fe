import {
  judgePack,
  packTorque,
  selectiveChoices,
  selectiveNow,
  upgraded,
  UPGRADE_LIMITS,
} from '../../../clutch';
import type { Of, Keyed, ThoughtOf } from '../../family';
import { NumberThoughts } from '../../numberClaims';
import { clearanceOf, gaugedNow, type ClutchClaim } from './claims';
import { fittedPack, SAME_PART } from './key';
import type { ClutchAnswer, ClutchQuestion, ClutchRig } from './kinds';
import type { ClutchSlip } from './slips';
import type { ClutchTypes } from './types';

/** What each wrong part comes of. */
export function selectiveThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ClutchTypes, 'choose-selective'>): ThoughtOf<ClutchTypes, 'choose-selective'>[] {
  if (!rig.pack) return [];
  const fitted = fittedPack(rig.pack, question);
  const now = selectiveNow(fitted);
  const reads = gaugedNow(question, rig);
  const [least, most] = fitted.clearance;
  return selectiveChoices(fitted)
    .filter((c) => !key.right.some((r) => Math.abs(r.thickness - c.thickness) < SAME_PART))
    .map((c) => {
      const kept = Math.abs(c.thickness - now) < SAME_PART;
      const wrongWay = (reads < least && c.thickness > now) || (reads > most && c.thickness < now);
      return {
        slip: kept
          ? 'keeps-what-is-in'
          : wrongWay
            ? 'thicker-gives-more-clearance'
            : 'right-way-wrong-part',
        answer: { kind: 'choose-selective', thickness: c.thickness },
        gives: (a) => Math.abs(a.thickness - c.thickness) < SAME_PART,
        claims: () => clearanceWith(question, rig, c.thickness),
      };
    });
}

/** The clearance that a part gives. */
export function clearanceWith(
  question: Of<ClutchQuestion, 'choose-selective'>,
  rig: ClutchRig,
  thickness: number,
): ClutchClaim[] {
  const now = rig.pack && clearanceOf(question, rig.pack, thickness);
  return now ? [{ claim: 'clearance', ...now }] : [];
}

/** What a wrong word on an upgrade comes of. */
export function upgradeThoughts({
  question,
  subject: { rig },
  key,
}: Keyed<ClutchTypes, 'upgrade-limit'>): ThoughtOf<ClutchTypes, 'upgrade-limit'>[] {
  const { pack } = rig;
  if (!pack) return [];
  const facts = upgradeFacts(question, rig);
  if (key.kind === 'upgrade-limit')
    return UPGRADE_LIMITS.filter((l) => !key.limits.includes(l)).map((limit) => ({
      slip: limit === 'none' ? 'upgrades-are-free' : 'another-limit',
      answer: { kind: 'upgrade-limit', limit },
      claims: () => [
        ...(limit === 'none' ? [] : [{ claim: 'does-not-give' as const, limit }]),
        ...facts,
      ],
    }));
  const { tolerance, load } = question;
  const before = packTorque(pack, pack.pressure);
  const after = upgraded(pack, question.upgrade);
  const now = packTorque(after, after.pressure);
  const numbers = new NumberThoughts<Of<ClutchAnswer, 'upgrade-limit'>, ClutchSlip, ClutchClaim>({
    right: key.value,
    tolerance,
    answer: (value) => ({ kind: 'upgrade-limit', value }),
    valueOf: (a) => a.value,
    facts,
  });
  for (const value of [now, (load * now) / before, before])
    numbers.add('more-plates-carry-more', value);
  return numbers.withArithmetic();
}

/** What gives after an upgrade, or what is carried. */
export function upgradeFacts(
  { ask, upgrade, duty, load }: Of<ClutchQuestion, 'upgrade-limit'>,
  { pack }: ClutchRig,
): ClutchClaim[] {
  if (!pack) return [];
  const after = upgraded(pack, upgrade);
  return ask === 'limit'
    ? [{ claim: 'gives-first', limits: judgePack(after, duty, upgrade).limits }]
    : [
        {
          claim: 'could-hold',
          before: packTorque(pack, pack.pressure),
          after: packTorque(after, after.pressure),
          load,
        },
      ];
}
