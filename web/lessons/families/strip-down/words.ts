import type { TFunction } from 'i18next';
import {
  FACINGS,
  legalOrder,
  windowAsMeasured,
  windowOf,
  type MeasureId,
  limitsOf,
} from '../../../../core/assembly';
import {
  laidJob,
  stripKey,
  type AnyFault,
  type ClaimOf,
  type KeyResult,
  type LaidJob,
  type StripAnswer,
  type StripKey,
  type StripQuestion,
  type StripSubject,
} from '../../../../core/lesson';
import { kindText } from '../../../faults/faultWords';
import { formatNumber, formatShare, type Numbers } from '../../../shared/numbers';
import { measureText, moneyText, sizeText, windowText } from '../../../stripDown/jobWords';
import { partName } from '../../../stripDown/partName';
import { plain, type Worded } from '../../worded';
import { claimText, formatPercent } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** How parts of a job are called; an id that the job has not is shown as it is. */
export function namesOf(
  t: TFunction,
  question: StripQuestion,
  { job }: StripSubject,
): (id: string) => string {
  const laid = laidJob(job, question);
  return (id) => {
    const part = laid?.parts.get(id);
    return part ? partName(t, job.unit ?? null, part) : id;
  };
}

export function stripPrompt(t: TFunction, question: StripQuestion, subject: StripSubject): string {
  if (question.prompt.trim() !== '') return question.prompt;
  const name = namesOf(t, question, subject);
  switch (question.kind) {
    case 'free-now':
      return t(`stripPrompts.free-now.${question.off.length === 0 ? 'whole' : 'begun'}`);
    case 'strip-order':
    case 'lay-out':
      return t(`stripPrompts.${question.kind}`);
    case 'why-first':
      return t('stripPrompts.why-first', {
        first: name(question.first),
        part: name(question.part),
      });
    case 'read-gauge':
      return t('stripPrompts.read-gauge', {
        measure: t(`strip.measures.${question.measure}`),
        part: name(question.part),
      });
    case 'whole-job':
      return t('stripPrompts.whole-job', { name: subject.job.name });
    case 'way-round':
    case 'verdict':
    case 'choose-size':
    case 'worth-it':
      return t(`stripPrompts.${question.kind}`, { part: name(question.part) });
  }
}

export const becomesText = (t: TFunction, becomes: string): string =>
  becomes === 'nothing' ? t('stripPrompts.nothing') : kindText(t, becomes as never);

function answerText(
  t: TFunction,
  numbers: Numbers,
  question: StripQuestion,
  subject: StripSubject,
  answer: StripAnswer,
): Worded {
  const name = namesOf(t, question, subject);
  switch (answer.kind) {
    case 'free-now':
      return plain(
        answer.parts.length === 0 ? t('stripPrompts.none') : answer.parts.map(name).join(', '),
      );
    case 'strip-order':
    case 'lay-out':
      return plain(answer.order.map(name).join(' → '));
    case 'why-first':
      return plain(t(`stripDown.rules.${answer.rule}`));
    case 'way-round':
      return plain(wayText(t, question, subject, answer.way), becomesText(t, answer.becomes));
    case 'verdict':
      return plain(t(`strip.decisions.${answer.decision}`), t(`strip.reasons.${answer.reason}`));
    case 'read-gauge':
      return plain(
        question.kind === 'read-gauge' ? measureText(numbers, question.measure, answer.value) : '',
        t(`stripPrompts.sides.${answer.side}`),
      );
    case 'choose-size':
      return plain(sizeText(numbers, answer.size));
    case 'worth-it':
      return plain(`${formatNumber(answer.value, 1)} %`);
    case 'whole-job':
      return plain(
        t('stripPrompts.done', {
          off: answer.work.tried.length,
          judged: Object.keys(answer.work.judged).length,
          fitted: answer.work.fits.length,
        }),
      );
  }
}

function wayText(
  t: TFunction,
  question: StripQuestion,
  { job }: StripSubject,
  way: 'right' | 'wrong',
): string {
  const rule = facingRule(question, laidJob(job, question));
  return rule ? t(`strip.facings.${rule}.${way}`) : '';
}

/** The rule by which the part of a question goes in. */
export function facingRule(question: StripQuestion, laid: LaidJob | null) {
  const part = question.kind === 'way-round' ? laid?.parts.get(question.part) : undefined;
  return part && FACINGS[part.kind]?.rule;
}

function keyText(
  t: TFunction,
  numbers: Numbers,
  question: StripQuestion,
  subject: StripSubject,
  known?: KeyResult<StripKey, AnyFault>,
): Worded | null {
  const result = known ?? stripKey(question, subject);
  if (!result.ok) return null;
  const { key } = result;
  const name = namesOf(t, question, subject);
  switch (key.kind) {
    case 'free-now':
      return plain(key.free.map(name).join(', '));
    case 'strip-order': {
      const laid = laidJob(subject.job, question);
      const parts = question.kind === 'strip-order' ? question.parts : [];
      const order = laid ? legalOrder(laid.plan).filter((id) => parts.includes(id)) : [];
      return plain(t('stripPrompts.oneOrder', { order: order.map(name).join(' → ') }));
    }
    case 'lay-out':
      return plain(key.order.map(name).join(' → '));
    case 'why-first':
      return plain(key.rules.map((r) => t(`stripDown.rules.${r}`)).join(' '));
    case 'way-round':
      return plain(wayText(t, question, subject, 'right'), becomesText(t, key.becomes));
    case 'verdict':
      return plain(
        key.right.map((r) => t(`strip.decisions.${r.decision}`)).join(t('question.or')),
        key.right[0]!.reasons.map((r) => t(`strip.reasons.${r}`)).join(t('question.or')),
      );
    case 'read-gauge':
      return plain(
        question.kind === 'read-gauge' ? measureText(numbers, question.measure, key.value) : '',
        t(`stripPrompts.sides.${key.standing}`),
      );
    case 'choose-size':
      return plain(sizeText(numbers, key.size));
    case 'worth-it':
      return plain(`${formatNumber(key.value, 1)} %`);
    case 'whole-job':
      return plain(t('stripPrompts.allRight'));
  }
}

function claimOfJob(
  t: TFunction,
  numbers: Numbers,
  claim: ClaimOf<'strip-down'>,
  question: StripQuestion,
  subject: StripSubject,
): string {
  const name = namesOf(t, question, subject);
  const formats = {
    part: name,
    first: name,
    other: name,
    cause: name,
    cost: (c: number) => moneyText(t, c),
    size: (s: number) => sizeText(numbers, s),
    gap: (g: number) => sizeText(numbers, g),
    least: (v: number) => sizeText(numbers, v),
    most: (v: number) => sizeText(numbers, v),
    becomes: (b: string) => becomesText(t, b),
    damage: (d: string) => t(`strip.damages.${d as 'burnt'}`),
    measure: (m: MeasureId) => t(`strip.measures.${m}`),
    given: (value: number) => givenText(numbers, question, value),
    share: formatPercent,
    times: String,
  };
  if (claim.claim === 'comes-first')
    return claimText(t, claim, formats, null, { why: t(`stripDown.rules.${claim.rule}`) });
  if (claim.claim === 'way-in')
    return claimText(t, claim, formats, null, { way: t(`strip.facings.${claim.rule}.right`) });
  if (claim.claim === 'stands')
    return claimText(t, claim, formats, claim.way, {
      value: measureText(numbers, claim.measure, claim.value),
      wanted: wantedOf(t, numbers, claim, question, subject),
    });
  return claimText(t, claim, formats);
}

const givenText = (numbers: Numbers, question: StripQuestion, value: number): string =>
  question.kind === 'read-gauge'
    ? measureText(numbers, question.measure, value)
    : `${formatNumber(value, 1)} %`;

function wantedOf(
  t: TFunction,
  numbers: Numbers,
  { part: id, measure }: { part: string; measure: MeasureId },
  question: StripQuestion,
  { job }: StripSubject,
): string {
  const part = laidJob(job, question)?.parts.get(id);
  return part
    ? windowText(
        t,
        numbers,
        measure,
        question.kind === 'read-gauge'
          ? windowAsMeasured(measure, part, job)
          : windowOf(measure, part, limitsOf(job)),
      )
    : '';
}

export const STRIP_WORDS: FamilyWords<'strip-down'> = {
  prompt: (t, _numbers, question, { subject }) => stripPrompt(t, question, subject),
  answer: (t, numbers, question, { subject }, answer) =>
    answerText(t, numbers, question, subject, answer),
  key: (t, numbers, question, { subject }, known) => keyText(t, numbers, question, subject, known),
  short(t, numbers, question, { subject }, answer, score) {
    if (answer.kind === 'strip-order' || answer.kind === 'lay-out')
      return t('short.order', { percent: Math.round(100 * score) });
    if (answer.kind === 'whole-job') return formatShare(score);
    if (answer.kind === 'free-now') return t('stripPrompts.picked', { count: answer.parts.length });
    return answerText(t, numbers, question, subject, answer).main;
  },
  part(t, { part, of }, { subject }) {
    if (part !== 'step') return t(`gradedParts.${part}`);
    const [first = '', second = ''] = Array.isArray(of) ? (of as string[]) : [];
    const name = namesOf(t, { kind: 'whole-job', prompt: '', job: subject.job.id }, subject);
    return t('gradedParts.order', { first: name(first), second: name(second) });
  },
  claim: (t, numbers, claim, question, { subject }) =>
    claimOfJob(t, numbers, claim, question, subject),
};
