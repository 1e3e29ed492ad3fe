import type { TFunction } from 'i18next';
import type { Unit } from '../../../../core/geartrain';
import { toNumber, toText } from '../../../../core/numerics';
import {
  applyOf,
  unitKey,
  type ClaimOf,
  type UnitAnswer,
  type UnitQuestion,
} from '../../../../core/lesson';
import { formatRatio } from '../../../shared/numbers';
import { memberName, rangeName } from '../../../shared/unitNames';
import { plain, type Worded } from '../../worded';
import { claimText, formatPercent, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** Questions about whole units, their answers and keys put into words. */

export function unitPrompt(t: TFunction, question: UnitQuestion, unit: Unit): string {
  if (question.prompt.trim() !== '') return question.prompt;
  const values = { unit: unit.name };
  switch (question.kind) {
    case 'fill-chart':
      return t('unitPrompts.fill-chart', {
        ...values,
        ranges: question.ranges.map((r) => rangeName(unit, r)).join(', '),
      });
    case 'row-outcome':
      return t(`unitPrompts.row-outcome-${question.load}`, {
        ...values,
        elements: question.apply.length === 0 ? t('apply.nothingOn') : question.apply.join(', '),
      });
    case 'trace-path':
    case 'reaction':
    case 'drive-or-coast':
      return t(`unitPrompts.${question.kind}`, {
        ...values,
        range: rangeName(unit, question.range),
      });
  }
}

export function unitAnswerText(
  t: TFunction,
  question: UnitQuestion,
  unit: Unit,
  answer: UnitAnswer,
): Worded {
  switch (answer.kind) {
    case 'fill-chart': {
      const ranges = question.kind === 'fill-chart' ? question.ranges : [];
      return plain(rowsText(t, unit, ranges, (r) => applyOf(unit, r, answer.on)));
    }
    case 'trace-path':
      return plain(answer.members.map((m) => memberName(unit, m)).join(' → '));
    case 'row-outcome':
      return answer.outcome === 'drives' && answer.ratio !== undefined
        ? plain(
            formatRatio(answer.ratio),
            answer.direction ? t(`directions.${answer.direction}`) : '',
          )
        : plain(t(`outcomes.${answer.outcome}`));
    case 'reaction':
      return plain(
        answer.elements.length === 0 ? t('apply.nothingOn') : answer.elements.join(', '),
      );
    case 'drive-or-coast':
      return plain(
        t(answer.braking ? 'coast.brakes' : 'coast.runsFree'),
        answer.letsGo ? t('coast.letsGo', { element: answer.letsGo }) : '',
      );
  }
}

export function unitKeyText(t: TFunction, question: UnitQuestion, unit: Unit): Worded | null {
  const result = unitKey(question, unit);
  if (!result.ok) return null;
  const { key } = result;
  switch (key.kind) {
    case 'fill-chart':
      return plain(
        rowsText(
          t,
          unit,
          key.ranges.map((r) => r.id),
          (id) => key.ranges.find((r) => r.id === id)?.apply ?? [],
        ),
      );
    case 'trace-path':
      return plain(key.members.map((m) => memberName(unit, m)).join(' → '));
    case 'row-outcome': {
      if (!key.ratio) return plain(t(`outcomes.${key.outcome}`));
      const ratio = toNumber(key.ratio);
      const way = t(ratio > 0 ? 'directions.same' : 'directions.opposite');
      const exact = t('bench.exactly', { fraction: toText(key.ratio).replace('-', '\u2212') });
      return plain(formatRatio(Math.abs(ratio)), key.ratio.den === 1n ? way : `${way}, ${exact}`);
    }
    case 'reaction':
      return plain(
        [
          ...key.elements.filter((id) => !key.shared.flat().includes(id)),
          ...key.shared.map((group) => t('bench.anyOf', { elements: group.join(', ') })),
        ].join(', '),
      );
    case 'drive-or-coast':
      return plain(
        t(key.braking ? 'coast.brakes' : 'coast.runsFree'),
        key.letGo.length > 0 ? t('coast.letsGo', { element: key.letGo.join(', ') }) : '',
      );
  }
}

function rowsText(
  t: TFunction,
  unit: Unit,
  ranges: readonly string[],
  applyIn: (range: string) => readonly string[],
): string {
  return ranges
    .map((r) => {
      const on = applyIn(r);
      return `${rangeName(unit, r)}: ${on.length === 0 ? t('apply.nothingOn') : on.join(' ')}`;
    })
    .join('; ');
}

/** The same in as few words as a ledger's cell has room for. */
export function unitShort(
  t: TFunction,
  question: UnitQuestion,
  unit: Unit,
  answer: UnitAnswer,
  score: number,
): string {
  if (answer.kind === 'fill-chart' && question.kind === 'fill-chart') {
    const right = Math.round(score * question.ranges.length);
    return t('short.rows', { right, all: question.ranges.length });
  }
  if (answer.kind === 'trace-path') return t('short.path', { count: answer.members.length });
  if (answer.kind === 'drive-or-coast')
    return t(answer.braking ? 'short.brakes' : 'short.runsFree');
  return unitAnswerText(t, question, unit, answer).main;
}

function unitClaim(t: TFunction, claim: ClaimOf<'unit'>, unit: Unit): string {
  const listed = (ids: readonly string[]) =>
    ids.length === 0 ? t('claimWords.nothing') : ids.join(', ');
  const formats: ClaimFormats = {
    apply: listed,
    element: (id: string) => id,
    state: (state: string) => t(`claimWords.states.${state}`),
    range: (id: string) => rangeName(unit, id),
    member: (id: string) => memberName(unit, id),
    members: (list: readonly string[]) => list.map((m) => memberName(unit, m)).join(' → '),
    ratio: formatRatio,
    inverse: formatRatio,
    given: formatRatio,
    share: formatPercent,
    times: String,
  };
  const product =
    claim.claim === 'stages' ? { product: claim.factors.map(formatRatio).join(' × ') } : {};
  const outcome =
    'outcome' in claim
      ? {
          outcome: t(`claimWords.outcomes.${claim.outcome}`, {
            ratio: claim.ratio === null ? '' : formatRatio(claim.ratio),
            way: t(`directions.${claim.way}`),
          }),
        }
      : {};
  return claimText(t, claim, formats, unitSub(claim), { ...product, ...outcome });
}

function unitSub(claim: ClaimOf<'unit'>): string | null {
  switch (claim.claim) {
    case 'does':
    case 'without':
    case 'without-one-ways':
    case 'element':
      return claim.load;
    case 'member':
      return claim.role;
    case 'stages':
      return claim.way;
    case 'range-ratio':
    case 'one-over':
    case 'both-turn':
    case 'to-case':
    case 'power-goes':
    case 'off-by':
    case 'times-right':
      return null;
  }
}

export const UNIT_WORDS: FamilyWords<'unit'> = {
  prompt: (t, _numbers, question, { unit }) => unitPrompt(t, question, unit),
  answer: (t, _numbers, question, { unit }, answer) => unitAnswerText(t, question, unit, answer),
  key: (t, _numbers, question, { unit }) => unitKeyText(t, question, unit),
  short: (t, _numbers, question, { unit }, answer, score) =>
    unitShort(t, question, unit, answer, score),
  part: (t, { part, of }, { unit }) =>
    t(`gradedParts.${part}`, { range: typeof of === 'string' ? rangeName(unit, of) : '' }),
  claim: (t, _numbers, claim, _question, { unit }) => unitClaim(t, claim, unit),
};
