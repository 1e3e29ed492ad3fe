import type { TFunction } from 'i18next';
import {
  gearboxKey,
  rangesAt,
  type ClaimOf,
  type GearboxAnswer,
  type GearboxQuestion,
  type GearboxRig,
} from '../../../../core/lesson';
import { sleeveWith, type Unit } from '../../../../core/geartrain';
import {
  gearsInOrder,
  WAITING_MARKS,
  wayOf,
  type GoesIn,
  type Ramps,
  type WornPart,
} from '../../../../core/shift';
import { formatNumber, formatShare } from '../../../shared/numbers';
import { gearName, rangeName } from '../../../shared/unitNames';
import { plain, type Worded } from '../../worded';
import { claimText, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** Questions about gearboxes, their answers and keys put into words. */

/** A side of a sleeve by its sleeve and the end it faces, not by its gear. */
export function sideName(t: TFunction, unit: Unit, id: string): string {
  const at = sleeveWith(unit, id);
  return at
    ? t(at.side === 0 ? 'gearboxWords.frontOf' : 'gearboxWords.rearOf', { sleeve: at.sleeve.id })
    : id;
}

/** The gear that drives through a side, as a driver calls it. */
export function gearOfSide(unit: Unit, side: string): string {
  const own =
    unit.ranges.find((r) => wayOf(unit, r)?.side === side) ??
    unit.ranges.find((r) => r.apply.includes(side));
  return own ? gearName(own) : side;
}

export function gearboxPrompt(
  t: TFunction,
  question: GearboxQuestion,
  { unit }: GearboxRig,
): string {
  if (question.prompt.trim() !== '') return question.prompt;
  const named = (ids: readonly string[]) => ids.join(', ');
  switch (question.kind) {
    case 'which-side':
      return t('gearboxPrompts.which-side', { unit: unit.name });
    case 'two-gears':
      return t(
        question.clutches.length > 0 ? 'gearboxPrompts.two-gears' : 'gearboxPrompts.two-gears-open',
        {
          sides: question.sides.map((s) => sideName(t, unit, s)).join(t('gearboxWords.and')),
          clutches: named(question.clutches),
        },
      );
    case 'set-waiting':
      return t('gearboxPrompts.set-waiting');
    case 'draw-crossing':
      return t('gearboxPrompts.draw-crossing', {
        from: rangeName(unit, question.from),
        to: rangeName(unit, question.to),
        dip: formatShare(question.dip),
        flare: formatNumber(question.flare, 0),
      });
  }
}

const wornText = (t: TFunction, unit: Unit, part: WornPart, side: string | null): string =>
  side === null
    ? t('gearboxWords.worn.clutch')
    : t('gearboxWords.wornOf', {
        what: t(`gearboxWords.worn.${part}`),
        side: sideName(t, unit, side),
      });

const rampsText = (t: TFunction, { off, on }: Ramps): string =>
  t('gearboxWords.ramps', {
    offAt: formatNumber(off.at, 2),
    offEnd: formatNumber(off.at + off.over, 2),
    onAt: formatNumber(on.at, 2),
    onEnd: formatNumber(on.at + on.over, 2),
  });

const waitingText = (unit: Unit, ranges: readonly string[]): string =>
  ranges.map((r) => unit.ranges.find((x) => x.id === r)?.gear ?? r).join(', ');

export function gearboxAnswerText(
  t: TFunction,
  { unit }: GearboxRig,
  answer: GearboxAnswer,
): Worded {
  switch (answer.kind) {
    case 'which-side':
      return plain(wornText(t, unit, answer.part, answer.side ?? null));
    case 'two-gears':
      return plain(
        t(answer.binds ? 'gearboxWords.binds' : 'gearboxWords.turns'),
        t(`gearboxWords.reasons.${answer.why}`),
      );
    case 'set-waiting':
      return plain(
        waitingText(unit, answer.gears),
        t('gearboxWords.everyFive', { last: WAITING_MARKS.at(-1) }),
      );
    case 'draw-crossing':
      return plain(rampsText(t, answer.ramps));
  }
}

export function gearboxKeyText(
  t: TFunction,
  question: GearboxQuestion,
  rig: GearboxRig,
): Worded | null {
  const result = gearboxKey(question, rig);
  if (!result.ok) return null;
  const { key } = result;
  switch (key.kind) {
    case 'which-side':
      return plain(
        key.right.map((r) => wornText(t, rig.unit, r.part, r.side)).join(t('question.or')),
      );
    case 'two-gears':
      return plain(
        t(key.binds ? 'gearboxWords.binds' : 'gearboxWords.turns'),
        t(`gearboxWords.reasons.${key.why}`),
      );
    case 'set-waiting':
      return plain(
        waitingText(rig.unit, rangesAt(rig.unit, key.best)),
        t('gearboxWords.lostWith', { seconds: formatNumber(key.drive.lost, 2) }),
      );
    case 'draw-crossing':
      return plain(rampsText(t, key.ramps), t('gearboxWords.forExample'));
  }
}

export function gearboxShort(t: TFunction, answer: GearboxAnswer, score: number): string {
  if (answer.kind === 'which-side')
    return answer.side
      ? `${answer.side} ${t(`gearboxWords.short.${answer.part}`)}`
      : t('gearboxWords.short.clutch');
  if (answer.kind === 'two-gears')
    return t(answer.binds ? 'gearboxWords.binds' : 'gearboxWords.turns');
  return formatShare(score);
}

const goes = (t: TFunction) => (how: GoesIn) => t(`gearboxWords.goes.${how}`);

function gearboxClaim(t: TFunction, claim: ClaimOf<'gearbox'>, { unit }: GearboxRig): string {
  const ms = (seconds: number) => formatNumber(1000 * seconds, 0);
  const formats: ClaimFormats = {
    quick: goes(t),
    matched: goes(t),
    range: (id: string) => rangeName(unit, id),
    from: (id: string) => rangeName(unit, id),
    to: (id: string) => rangeName(unit, id),
    waiting: (id: string) => rangeName(unit, id),
    count: String,
    all: String,
    sleeve: (id: string) => id,
    clutch: (id: string) => id,
    other: (id: string) => gearOfSide(unit, id),
    apply: (ids: readonly string[]) => ids.join(', '),
    at: (s: number) => formatNumber(s, 1),
    lost: ms,
    dip: formatShare,
    flare: (rpm: number) => formatNumber(rpm, 0),
    least: formatShare,
    ms: String,
  };
  const gear = 'side' in claim ? { gear: gearOfSide(unit, claim.side) } : {};
  const more =
    'part' in claim ? { ...gear, with: wornText(t, unit, claim.part, claim.worn) } : gear;
  return claimText(t, claim, formats, subOf(claim), more);
}

/** Which of a claim's sentences is said; `undefined`: that of its way. */
function subOf(claim: ClaimOf<'gearbox'>): string | undefined {
  if ('jumps' in claim) return claim.jumps ? 'jumps' : 'stays';
  if ('waiting' in claim) return claim.waiting === null ? 'none' : 'some';
  return undefined;
}

/** How a gear is told by its driver, in a table's cells. */
export const goesText = (t: TFunction, how: GoesIn): string => t(`gearboxWords.goes.${how}`);

export const gearLabels = (unit: Unit) =>
  gearsInOrder(unit).map((r) => ({ value: r.id, label: r.gear }));

export const GEARBOX_WORDS: FamilyWords<'gearbox'> = {
  prompt: (t, _numbers, question, { rig }) => gearboxPrompt(t, question, rig),
  answer: (t, _numbers, _question, { rig }, answer) => gearboxAnswerText(t, rig, answer),
  key: (t, _numbers, question, { rig }) => gearboxKeyText(t, question, rig),
  short: (t, _numbers, _question, _subject, answer, score) => gearboxShort(t, answer, score),
  part: (t, { part, of }, { rig: { unit } }) =>
    typeof of === 'object'
      ? t('gearboxParts.change', { from: rangeName(unit, of[0]), to: rangeName(unit, of[1]) })
      : t(`gearboxParts.${part}`),
  claim: (t, _numbers, claim, _question, { rig }) => gearboxClaim(t, claim, rig),
};
