import type { TFunction } from 'i18next';
import { measuredIn, type UpgradeLimit } from '../../../../core/clutch';
import {
  clutchKey,
  type ClutchAnswer,
  type ClutchKey,
  type ClutchQuestion,
  type ClutchRig,
  type ClaimOf,
  type AnyFault,
  type KeyResult,
} from '../../../../core/lesson';
import { formatNumber, formatShare, gapText, type Numbers } from '../../../shared/numbers';
import { rangeName } from '../../../shared/unitNames';
import { plain, type Worded } from '../../worded';
import { claimText, formatPercent, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** Questions about clutches and packs, their answers and keys put into words. */

const gearText = ({ unit }: ClutchRig, range: string): string =>
  unit ? rangeName(unit, range) : range;

export function clutchPrompt(
  t: TFunction,
  numbers: Numbers,
  question: ClutchQuestion,
  rig: ClutchRig,
): string {
  if (question.prompt.trim() !== '') return question.prompt;
  const names = {
    clutch: rig.clutch?.name ?? '',
    pack: rig.pack?.name ?? '',
    engine: rig.engine?.name ?? '',
    vehicle: rig.vehicle?.name ?? '',
  };
  switch (question.kind) {
    case 'set-free-play':
      return t('clutchPrompts.set-free-play', names);
    case 'adjust-order':
      return question.wear
        ? t('clutchPrompts.adjust-order-worn', { ...names, wear: gapText(numbers, question.wear) })
        : t('clutchPrompts.adjust-order', names);
    case 'noise-test':
      return t('clutchPrompts.noise-test', {
        first: t(`clutch.bearings.${question.first}`),
        second: t(`clutch.bearings.${question.second}`),
      });
    case 'will-it-hold':
      return t(`clutchPrompts.${question.ask}`, {
        ...names,
        gear: gearText(rig, question.range),
        throttle: formatShare(question.throttle),
        grade: formatShare(question.grade),
        wear: gapText(numbers, question.wear),
        facing: t(question.oil > 0 ? 'clutchPrompts.oiled' : 'clutchPrompts.dry'),
      });
    case 'draw-start':
      return t('clutchPrompts.draw-start', {
        ...names,
        gear: gearText(rig, question.range),
        grade: formatShare(question.grade),
        heat: numbers.quantity(question.heat / 1000, 'energy'),
        seconds: formatNumber(question.brakeUntil, 1),
      });
    case 'choose-selective':
      return t('clutchPrompts.choose-selective', {
        ...names,
        part: t(`pack.parts.${rig.pack?.selective.part ?? 'ring'}`),
        least: gapText(numbers, rig.pack?.clearance[0] ?? 0),
        most: gapText(numbers, rig.pack?.clearance[1] ?? 0),
        way: t(`pack.ways.${question.measured ?? (rig.pack ? measuredIn(rig.pack) : 'pressed')}`),
      });
    case 'upgrade-limit':
      return t(`clutchPrompts.${question.ask}`, {
        ...names,
        upgrade: t(`pack.upgrades.${question.upgrade}`),
        load: numbers.quantity(question.load, 'torque'),
        heat: numbers.quantity(question.duty.joules / 1000, 'energy'),
        times: question.duty.times,
      });
  }
}

export function clutchAnswerText(
  t: TFunction,
  numbers: Numbers,
  rig: ClutchRig,
  answer: ClutchAnswer,
): Worded {
  switch (answer.kind) {
    case 'set-free-play':
      return plain(settingText(t, numbers, rig, answer));
    case 'will-it-hold':
      if (answer.range !== undefined) return plain(gearText(rig, answer.range));
      return plain(
        t(answer.holds ? 'clutchPrompts.itHolds' : 'clutchPrompts.itSlips'),
        answer.value === undefined ? '' : numbers.quantity(answer.value, 'torque'),
      );
    case 'adjust-order':
      return plain(orderText(t, answer.order));
    case 'noise-test':
      return plain(t(`clutch.noise.${answer.test}`));
    case 'draw-start':
      return plain(t('clutchPrompts.drawn'));
    case 'choose-selective':
      return plain(gapText(numbers, answer.thickness));
    case 'upgrade-limit':
      return plain(
        answer.limit !== undefined
          ? limitText(t, answer.limit)
          : numbers.quantity(answer.value ?? 0, 'torque'),
      );
  }
}

const limitText = (t: TFunction, limit: UpgradeLimit): string => t(`pack.limits.${limit}`);

const orderText = (t: TFunction, order: readonly string[]): string =>
  order.map((step) => t(`clutch.adjustments.${step}`)).join(' → ');

function settingText(
  t: TFunction,
  numbers: Numbers,
  { clutch }: ClutchRig,
  { forkRod, turnbuckle }: { forkRod: number; turnbuckle: number },
): string {
  const rod = t('clutchPrompts.rod', { rod: gapText(numbers, forkRod) });
  return clutch?.linkage.overCentre
    ? `${rod}, ${t('clutchPrompts.turnbuckle', { turnbuckle: gapText(numbers, turnbuckle) })}`
    : rod;
}

export function clutchKeyText(
  t: TFunction,
  numbers: Numbers,
  question: ClutchQuestion,
  rig: ClutchRig,
  result: KeyResult<ClutchKey, AnyFault> = clutchKey(question, rig),
): Worded | null {
  if (!result.ok) return null;
  const { key } = result;
  switch (key.kind) {
    case 'set-free-play':
      return plain(settingText(t, numbers, rig, key), t('converterPrompts.forOne'));
    case 'will-it-hold':
      return plain(
        t(key.holds ? 'clutchPrompts.itHolds' : 'clutchPrompts.itSlips'),
        t('clutchPrompts.holdsOf', {
          holds: numbers.quantity(Math.round(key.value), 'torque'),
          asked: numbers.quantity(Math.round(key.asked), 'torque'),
        }),
      );
    case 'slips-first':
      return plain(
        gearText(rig, key.range),
        t('clutchPrompts.fromWear', { wear: gapText(numbers, key.wear) }),
      );
    case 'adjust-order':
      return plain(orderText(t, key.example));
    case 'noise-test':
      return plain(key.right.map((id) => t(`clutch.noise.${id}`)).join(t('question.or')));
    case 'draw-start':
      return plain(
        t('clutchPrompts.oneWay'),
        t('clutchPrompts.startSaid', {
          heat: numbers.quantity(key.summary.heat / 1000, 'energy'),
          slip: formatNumber(key.summary.slipTime, 1),
        }),
      );
    case 'choose-selective':
      return plain(
        key.right.map((c) => gapText(numbers, c.thickness)).join(t('question.or')),
        t('clutchPrompts.givesClearance', { clearance: gapText(numbers, key.best.clearance) }),
      );
    case 'upgrade-limit':
      return plain(key.limits.map((l) => limitText(t, l)).join(', '));
    case 'carried':
      return plain(numbers.quantity(key.value, 'torque'));
  }
}

export function clutchShort(
  t: TFunction,
  numbers: Numbers,
  rig: ClutchRig,
  answer: ClutchAnswer,
  score: number,
): string {
  if (answer.kind === 'draw-start' || answer.kind === 'adjust-order')
    return t('short.order', { percent: Math.round(100 * score) });
  if (answer.kind === 'set-free-play') return gapText(numbers, answer.forkRod);
  const { main, detail } = clutchAnswerText(t, numbers, rig, answer);
  return detail === '' ? main : `${main} ${detail}`;
}

function clutchClaim(
  t: TFunction,
  numbers: Numbers,
  claim: ClaimOf<'clutch'>,
  rig: ClutchRig,
): string {
  const torque = (nm: number) => numbers.quantity(Math.round(nm), 'torque');
  const gap = (m: number) => gapText(numbers, m);
  const rolledText = (m: number) => numbers.quantity(Math.round(1000 * m), 'length');
  const heat = (j: number) => numbers.quantity(j / 1000, 'energy');
  const isTorque = ['holds', 'faces', 'clean', 'off-by', 'times-right'].includes(claim.claim);
  const formats: ClaimFormats = {
    value: isTorque ? torque : gap,
    low: gap,
    high: gap,
    least: gap,
    wear: gap,
    thickness: gap,
    rolled: rolledText,
    heat,
    limit: (of: number | UpgradeLimit) =>
      typeof of === 'string'
        ? limitText(t, of)
        : claim.claim === 'start-heat'
          ? heat(of)
          : rolledText(of),
    limits: (list: readonly UpgradeLimit[]) => list.map((l) => limitText(t, l)).join(', '),
    asked: torque,
    asNew: torque,
    oneFace: torque,
    clean: torque,
    before: torque,
    after: torque,
    load: torque,
    given: torque,
    share: formatPercent,
    times: String,
    range: (id: string) => gearText(rig, id),
    last: (step: string) => t(`clutch.adjustments.${step}`),
    bearing: (id: string) => t(`claimWords.bearings.${id}`),
  };
  if (claim.claim === 'slips-from' && claim.wear === null)
    return t('claims.never-slips', { range: gearText(rig, claim.range) });
  const sub =
    claim.claim === 'start'
      ? null
      : claim.claim === 'untouched'
        ? claim.part
        : claim.claim === 'order-leaves' || claim.claim === 'order-brings'
          ? claim.of
          : 'way' in claim
            ? claim.way
            : null;
  return claimText(t, claim, formats, sub);
}

export const CLUTCH_WORDS: FamilyWords<'clutch'> = {
  prompt: (t, numbers, question, { rig }) => clutchPrompt(t, numbers, question, rig),
  answer: (t, numbers, _question, { rig }, answer) => clutchAnswerText(t, numbers, rig, answer),
  key: (t, numbers, question, { rig }, known) => clutchKeyText(t, numbers, question, rig, known),
  short: (t, numbers, _question, { rig }, answer, score) =>
    clutchShort(t, numbers, rig, answer, score),
  part: (t, { part }) => t(`clutchParts.${part}`),
  claim: (t, numbers, claim, _question, { rig }) => clutchClaim(t, numbers, claim, rig),
};
