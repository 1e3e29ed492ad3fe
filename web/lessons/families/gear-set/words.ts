import type { TFunction } from 'i18next';
import {
  thirdPort,
  type Effect,
  type GearSetSetup,
  type Port,
  type Roles,
} from '../../../../core/geartrain';
import { toNumber, toText } from '../../../../core/numerics';
import {
  setKey,
  wrongAnswer,
  type ChoiceQuestion,
  HELD_ARRANGEMENTS,
  arrangementKey,
  type ClaimOf,
  type NumberAsk,
  type SetAnswer,
  type SetKey,
  type SetQuestion,
} from '../../../../core/lesson';
import type { Quantity } from '../../../../core/quantities';
import { formatRatio, formatReading, type Numbers } from '../../../shared/numbers';
import type { Worded } from '../../worded';
import { claimText, formatPercent, formatTurns, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** Questions, answers and keys put into words. */

/** The display quantity of a number question; a ratio has none. */
export const quantityOf = (ask: NumberAsk): Quantity | null => {
  switch (ask) {
    case 'ratio':
      return null;
    case 'output-speed':
    case 'pinion-speed':
      return 'speed';
    case 'output-torque':
    case 'held-torque':
      return 'torque';
  }
};

/** Parts as they stand in a sentence, and at its beginning. */
function partWords(t: TFunction, { drives, driven, third }: PartNames): Record<string, string> {
  return {
    drives: t(`partsInText.${drives}`),
    driven: t(`partsInText.${driven}`),
    third: t(`partsInText.${third}`),
    Drives: t(`parts.${drives}`),
    Third: t(`parts.${third}`),
  };
}

interface PartNames {
  readonly drives: Port;
  readonly driven: Port;
  readonly third: Port;
}

const namesOf = (roles: Pick<Roles, 'drives' | 'driven'>): PartNames => ({
  drives: roles.drives,
  driven: roles.driven,
  third: thirdPort(roles),
});

/** What is asked: the instructor's words, or the program's. */
export function promptOf(
  t: TFunction,
  numbers: Numbers,
  question: SetQuestion,
  setup: GearSetSetup,
): string {
  if (question.prompt.trim() !== '') return question.prompt;
  const parts = partWords(t, namesOf(setup.roles));
  const values = {
    ...parts,
    situation: t(`prompts.situation.${setup.roles.reaction}`, parts),
    speed: numbers.quantity(setup.inputSpeedRpm, 'speed'),
    torque: numbers.quantity(setup.inputTorqueNm, 'torque'),
  };
  switch (question.kind) {
    case 'number':
      return t(`prompts.number.${question.ask}${question.direction ? '-direction' : ''}`, {
        ...values,
        defaultValue: t(`prompts.number.${question.ask}`, values),
      });
    case 'choice':
      return t(`prompts.choice.${question.ask}`, {
        ...values,
        goal: t(`goals.${question.goal}`),
        ratio: wrongText(question, setup),
      });
    case 'roles': {
      const key = setKey(question, setup);
      const target = key.ok && key.key.kind === 'roles' ? toNumber(key.key.target) : NaN;
      return t(target < 0 ? 'prompts.rolesReverse' : 'prompts.roles', {
        ratio: formatRatio(Math.abs(target)),
      });
    }
  }
}

const wrongText = (question: ChoiceQuestion, setup: GearSetSetup): string => {
  const wrong = wrongAnswer(question, setup);
  return wrong ? formatRatio(toNumber(wrong)) : '?';
};

/** A choice's value in words. */
export function choiceText(t: TFunction, question: SetQuestion, choice: string): string {
  if (question.kind !== 'choice') return choice;
  switch (question.ask) {
    case 'effect':
      return t(`effects.${choice}`);
    case 'direction':
      return t(`directions.${choice}`);
    case 'fastest':
      return choice === 'all-same' ? t('question.allSame') : t(`parts.${choice}`);
    case 'arrangement':
    case 'right-for': {
      const roles = HELD_ARRANGEMENTS.find((r) => arrangementKey(r) === choice);
      return roles ? t('question.arrangement', partWords(t, namesOf(roles))) : choice;
    }
  }
}

export function answerText(
  t: TFunction,
  numbers: Numbers,
  question: SetQuestion,
  answer: SetAnswer,
): Worded {
  switch (answer.kind) {
    case 'number':
      return {
        main: numberText(numbers, question, answer.value),
        detail: answer.direction ? t(`directions.${answer.direction}`) : '',
      };
    case 'choice':
      return { main: choiceText(t, question, answer.choice), detail: '' };
    case 'roles':
      return { main: rolesText(t, answer), detail: '' };
  }
}

/** The same in as few words as a ledger's cell has room for. */
export function shortAnswer(
  t: TFunction,
  numbers: Numbers,
  question: SetQuestion,
  answer: SetAnswer,
): string {
  switch (answer.kind) {
    case 'number': {
      const value = numberText(numbers, question, answer.value);
      return answer.direction ? `${value} ${t(`short.directions.${answer.direction}`)}` : value;
    }
    case 'choice': {
      if (question.kind !== 'choice') return answer.choice;
      if (question.ask === 'effect') return t(`short.effects.${answer.choice}`);
      const roles = HELD_ARRANGEMENTS.find((r) => arrangementKey(r) === answer.choice);
      return roles
        ? t('short.arrangement', partWords(t, namesOf(roles)))
        : choiceText(t, question, answer.choice);
    }
    case 'roles':
      return t('short.arrangement', partWords(t, namesOf(answer)));
  }
}

export function keyText(
  t: TFunction,
  numbers: Numbers,
  question: SetQuestion,
  key: SetKey,
): Worded {
  switch (key.kind) {
    case 'number': {
      const directed = question.kind === 'number' && question.direction;
      const parts = [
        directed ? t(`directions.${key.direction}`) : '',
        key.exact && key.exact.den !== 1n
          ? t('bench.exactly', { fraction: toText(key.exact).replace('-', '\u2212') })
          : '',
      ];
      return {
        main: numberText(numbers, question, key.value),
        detail: parts.filter((p) => p !== '').join(', '),
      };
    }
    case 'choice':
      return {
        main: key.right.map((c) => choiceText(t, question, c)).join(t('question.or')),
        detail: '',
      };
    case 'roles':
      return { main: key.right.map((r) => rolesText(t, r)).join(t('question.or')), detail: '' };
  }
}

const rolesText = (t: TFunction, roles: { drives: Port; driven: Port; held: Port }): string =>
  t('question.rolesAre', partWords(t, { ...roles, third: roles.held }));

function numberText(numbers: Numbers, question: SetQuestion, value: number): string {
  const quantity = question.kind === 'number' ? quantityOf(question.ask) : null;
  return quantity === null ? formatNumberAsTyped(value) : numbers.quantity(value, quantity);
}

const formatNumberAsTyped = (value: number): string =>
  Number.isInteger(value) ? formatReading(value) : formatRatio(value);

/** A form of the ratio in words and with the set's teeth in it: `1 + ring/sun`, `1 + 70/30`. */
const formWords = (form: string): string => form.replaceAll('R', 'ring').replaceAll('S', 'sun');

const workedForm = (form: string, { set: { teeth } }: GearSetSetup): string =>
  form.replaceAll('R', String(teeth.ring)).replaceAll('S', String(teeth.sun));

function setClaim(
  t: TFunction,
  numbers: Numbers,
  claim: ClaimOf<'gear-set'>,
  question: SetQuestion,
  setup: GearSetSetup,
): string {
  const part = (p: Port) => t(`partsInText.${p}`);
  const speed = (rpm: number) => numbers.quantity(rpm, 'speed');
  const torque = (nm: number) => numbers.quantity(nm, 'torque');
  const isPinion = claim.claim === 'pinion-speed';
  const formats: ClaimFormats = {
    part,
    other: part,
    third: part,
    turns: formatTurns,
    ratio: formatRatio,
    inverse: formatRatio,
    form: formWords,
    given: (value: number) => numberText(numbers, question, value),
    torqueIn: torque,
    torqueOut: torque,
    torqueHeld: torque,
    against: speed,
    carrier: isPinion ? speed : formatTurns,
    total: speed,
    sun: formatTurns,
    ring: formatTurns,
    share: formatPercent,
    times: String,
    pinion: String,
    effect: (effect: Effect) => t(`effects.${effect}`),
  };
  const more = 'form' in claim ? { worked: workedForm(claim.form, setup) } : {};
  const named = claim.claim === 'gives' ? { Part: t(`parts.${claim.part}`) } : {};
  const sub = 'what' in claim ? claim.what : 'way' in claim ? claim.way : null;
  return claimText(t, claim, formats, sub, { ...more, ...named });
}

export const GEAR_SET_WORDS: FamilyWords<'gear-set'> = {
  drawn: (t, { setup: { set } }) =>
    t('classBook.teeth', {
      sun: set.teeth.sun,
      ring: set.teeth.ring,
      kind: t(`kinds.${set.kind}`).toLowerCase(),
    }),
  prompt: (t, numbers, question, { setup }) => promptOf(t, numbers, question, setup),
  answer: (t, numbers, question, _subject, answer) => answerText(t, numbers, question, answer),
  key(t, numbers, question, { setup }, known = setKey(question, setup)) {
    return known.ok ? keyText(t, numbers, question, known.key) : null;
  },
  short: (t, numbers, question, _subject, answer) => shortAnswer(t, numbers, question, answer),
  part: (t, { part }) => t(`gradedParts.${part}`),
  claim: (t, numbers, claim, question, { setup }) => setClaim(t, numbers, claim, question, setup),
};
