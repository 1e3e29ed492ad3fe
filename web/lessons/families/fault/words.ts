import type { TFunction } from 'i18next';
import {
  checksOf,
  remedyOf,
  rigOfCase,
  type Fault,
  type SymptomCell,
} from '../../../../core/faults';
import {
  faultQuestionKey,
  isCaseQuestion,
  type FaultAnswer,
  type FaultKey,
  type FaultQuestion,
  type FaultSubject,
  type ClaimOf,
  type AnyFault,
  type KeyResult,
} from '../../../../core/lesson';
import {
  checkName,
  checkText,
  drawnName,
  faultsOfKey,
  faultText,
  kindText,
  wordText,
} from '../../../faults/faultWords';
import { formatNumber, formatShare } from '../../../shared/numbers';
import { rangeName } from '../../../shared/unitNames';
import { plain, type Worded } from '../../worded';
import { claimText, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** Questions about faults, their answers and keys put into words. */
export function faultPrompt(
  t: TFunction,
  question: FaultQuestion,
  { unit, faultCase }: FaultSubject,
): string {
  if (question.prompt.trim() !== '') return question.prompt;
  switch (question.kind) {
    case 'symptom-row':
      return t('faultPrompts.symptom-row', {
        fault: faultText(t, unit, [question.fault as Fault]),
      });
    case 'which-element':
      return t('faultPrompts.which-element', { unit: unit?.name ?? '' });
    case 'which-test':
      return t('faultPrompts.which-test');
    case 'diagnose':
      return t('faultPrompts.diagnose', {
        name: faultCase && question.draw ? drawnName(t, faultCase) : (faultCase?.name ?? ''),
      });
  }
}

const elementText = ({ unit }: FaultSubject, id: string): string => {
  const element = unit?.elements.find((e) => e.id === id);
  return element && element.name !== '' ? `${id}, ${element.name}` : id;
};

const cellsText = (
  t: TFunction,
  { unit }: FaultSubject,
  cells: readonly Pick<SymptomCell, 'range' | 'drive'>[],
): string =>
  cells
    .map((c) => `${unit ? rangeName(unit, c.range) : c.range} ${wordText(t, c.drive)}`)
    .join(', ');

const checkNamed = (t: TFunction, { faultCase }: FaultSubject, id: string): string => {
  const check = faultCase && checksOf(rigOfCase(faultCase)).find((c) => c.id === id);
  return check ? checkName(t, faultCase.unit ?? null, check) : id;
};

export function faultAnswerText(t: TFunction, subject: FaultSubject, answer: FaultAnswer): Worded {
  switch (answer.kind) {
    case 'symptom-row':
      return plain(cellsText(t, subject, answer.cells));
    case 'which-element':
      return plain(elementText(subject, answer.element));
    case 'which-test':
      return plain(checkNamed(t, subject, answer.check));
    case 'diagnose':
      return plain(
        faultText(t, subject.faultCase?.unit ?? null, faultsOfKey(answer.cause)),
        t(`faults.remedies.${answer.remedy}`),
      );
  }
}

/** @param known the key where it is known; without it a whole case only says what was wrong */
export function faultKeyText(
  t: TFunction,
  question: FaultQuestion,
  subject: FaultSubject,
  known?: KeyResult<FaultKey, AnyFault>,
): Worded | null {
  const unit = subject.faultCase?.unit ?? null;
  if (question.kind === 'diagnose' && subject.faultCase && (!question.draw || known?.ok)) {
    const desk = known?.ok && known.key.kind === 'diagnose' ? known.key.desk : null;
    const cause = desk?.truth.faults ?? subject.faultCase.cause;
    return plain(faultText(t, unit, cause), t(`faults.remedies.${remedyOf(cause)}`));
  }
  if (isCaseQuestion(question) && !known) return null;
  const result = known ?? faultQuestionKey(question, subject);
  if (!result.ok) return null;
  const { key } = result;
  switch (key.kind) {
    case 'symptom-row':
      return plain(cellsText(t, subject, key.cells));
    case 'which-element':
      return plain(key.right.map((id) => elementText(subject, id)).join(t('question.or')));
    case 'which-test':
      return plain(key.ranked[0] ? checkText(t, unit, key.ranked[0].check) : '');
    case 'diagnose':
      return null;
  }
}

export function faultShort(
  t: TFunction,
  subject: FaultSubject,
  answer: FaultAnswer,
  score: number,
): string {
  if (answer.kind === 'which-element') return answer.element;
  if (answer.kind === 'which-test') return checkNamed(t, subject, answer.check);
  return formatShare(score);
}

function faultClaim(t: TFunction, claim: ClaimOf<'fault'>, subject: FaultSubject): string {
  const unit = subject.unit ?? subject.faultCase?.unit ?? null;
  const formats: ClaimFormats = {
    range: (id: string) => (unit ? rangeName(unit, id) : id),
    drive: (word: string) => wordText(t, word),
    fault: (kind: Fault['kind']) => kindText(t, kind),
    element: (id: string) => id,
    check: (id: string) => checkNamed(t, subject, id),
    minutes: (m: number) => formatNumber(m, 0),
    expert: (m: number) => formatNumber(m, 0),
    bits: (b: number) => formatNumber(b, 2),
    remedy: (r: string) => t(`faults.remedies.${r}`),
  };
  return claimText(t, claim, formats);
}

export const FAULT_WORDS: FamilyWords<'fault'> = {
  prompt: (t, _numbers, question, { subject }) => faultPrompt(t, question, subject),
  answer: (t, _numbers, _question, { subject }, answer) => faultAnswerText(t, subject, answer),
  key: (t, _numbers, question, { subject }, known) => faultKeyText(t, question, subject, known),
  short: (t, _numbers, _question, { subject }, answer, score) =>
    faultShort(t, subject, answer, score),
  part: (t, { part, of }, { subject: { unit } }) =>
    typeof of === 'string' && unit ? rangeName(unit, of) : t(`faultParts.${part}`),
  claim: (t, _numbers, claim, _question, { subject }) => faultClaim(t, claim, subject),
};
