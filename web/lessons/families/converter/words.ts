import type { TFunction } from 'i18next';
import {
  converterKey,
  LAUNCH_TARGET,
  SKETCH_AT,
  type Changed,
  type ConverterAnswer,
  type ConverterQuestion,
  type ConverterRig,
  type MatchAsk,
  type ClaimOf,
  type Measure,
  type StallChange,
  type AnyFault,
  type ConverterKey,
  type KeyResult,
} from '../../../../core/lesson';
import type { Quantity } from '../../../../core/quantities';
import { formatNumber, formatRatio, type Numbers } from '../../../shared/numbers';
import { plain, type Worded } from '../../worded';
import { claimText, formatPercent, type ClaimFormats } from '../claimText';
import type { FamilyWords } from '../familyWords';

/** Questions about converters, their answers and keys put into words. */

const QUANTITIES: Readonly<Record<Measure | MatchAsk, Quantity | null>> = {
  'torque-ratio': null,
  'engine-speed': 'speed',
  'turbine-torque': 'torque',
  efficiency: null,
  heat: 'power',
  'stall-speed': 'speed',
  'coupling-ratio': null,
};

/** The display quantity of what is read; a ratio or a share has none. */
export const quantityRead = (what: Measure | MatchAsk): Quantity | null => QUANTITIES[what];

/** A reading with its unit: "× 1.60", "82 %", "2060 rev/min". */
export function readingText(numbers: Numbers, what: Measure | MatchAsk, value: number): string {
  const quantity = QUANTITIES[what];
  if (quantity) return numbers.quantity(value, quantity);
  if (what === 'efficiency') return `${formatNumber(100 * value, 0)} %`;
  return what === 'torque-ratio' ? `× ${formatRatio(value)}` : formatRatio(value);
}

export function changeText(t: TFunction, change: StallChange): string {
  switch (change.kind) {
    case 'engine':
      return t('stallChanges.engine', { percent: formatNumber(100 * change.share, 0) });
    case 'altitude':
      return t('stallChanges.altitude', { metres: formatNumber(change.metres, 0) });
    case 'size':
      return t('stallChanges.size', { percent: formatNumber(100 * change.factor, 0) });
    case 'stator':
      return t(`stallChanges.${change.fault}`);
  }
}

export function converterPrompt(
  t: TFunction,
  numbers: Numbers,
  question: ConverterQuestion,
  rig: ConverterRig,
): string {
  if (question.prompt.trim() !== '') return question.prompt;
  const names = { converter: rig.converter.name, engine: rig.engine.name };
  switch (question.kind) {
    case 'operate':
      return t(`converterPrompts.operate.${question.measure}`, {
        target: readingText(numbers, question.measure, question.target),
      });
    case 'read-match':
      return t(`converterPrompts.read.${question.ask}`, {
        ...names,
        throttle: formatNumber(100 * question.throttle, 0),
        speed: numbers.quantity(question.turbineRpm, 'speed'),
      });
    case 'sketch-curve':
      return t(`converterPrompts.sketch.${question.curve}`, names);
    case 'predict-change':
      return t(`converterPrompts.change.${question.of}`, {
        ...names,
        vehicle: rig.vehicle?.name ?? '',
        speed: numbers.quantity(LAUNCH_TARGET, 'road-speed'),
        change: changeText(t, question.change),
      });
    case 'launch-order':
      return t('converterPrompts.order', {
        vehicle: rig.vehicle?.name ?? '',
        throttle: formatNumber(100 * question.throttle, 0),
      });
  }
}

/** "upshift-2" → "gear 2 comes in". */
export function eventText(t: TFunction, name: string): string {
  const [, gear] = /^upshift-(\d+)$/.exec(name) ?? [];
  return gear ? t('launch.events.upshift', { gear }) : t(`launch.events.${name}`);
}

export function converterAnswerText(
  t: TFunction,
  numbers: Numbers,
  question: ConverterQuestion,
  answer: ConverterAnswer,
): Worded {
  switch (answer.kind) {
    case 'operate':
      return plain(settingText(t, numbers, answer));
    case 'read-match':
      return plain(
        question.kind === 'read-match' ? readingText(numbers, question.ask, answer.value) : '',
      );
    case 'sketch-curve':
      return plain(sketchText(t, answer.values));
    case 'predict-change':
      return plain(
        t(`ways.${answer.way}`),
        question.kind === 'predict-change'
          ? changedText(t, numbers, question.of, answer.value)
          : '',
      );
    case 'launch-order':
      return plain(answer.order.map((name) => eventText(t, name)).join(' → '));
  }
}

function settingText(
  t: TFunction,
  numbers: Numbers,
  setting: { throttle: number; turbineRpm: number; lockUp: boolean },
): string {
  return t(setting.lockUp ? 'converterPrompts.settingLocked' : 'converterPrompts.setting', {
    throttle: formatNumber(100 * setting.throttle, 0),
    speed: numbers.quantity(setting.turbineRpm, 'speed'),
  });
}

const sketchText = (t: TFunction, values: readonly number[]): string =>
  t('converterPrompts.sketched', {
    stall: formatRatio(values[0] ?? 0),
    end: formatRatio(values.at(-1) ?? 0),
  });

export function converterKeyText(
  t: TFunction,
  numbers: Numbers,
  question: ConverterQuestion,
  rig: ConverterRig,
  result: KeyResult<ConverterKey, AnyFault> = converterKey(question, rig),
): Worded | null {
  if (!result.ok) return null;
  const { key } = result;
  switch (key.kind) {
    case 'operate':
      return plain(settingText(t, numbers, key.example), t('converterPrompts.forOne'));
    case 'read-match':
      return plain(
        question.kind === 'read-match'
          ? readingText(numbers, question.ask, rounded(key.value))
          : '',
      );
    case 'sketch-curve':
      return plain(sketchText(t, SKETCH_AT.map(key.at)));
    case 'predict-change':
      return plain(
        t(`ways.${key.way}`),
        t('converterPrompts.fromTo', {
          before: changedText(t, numbers, changedOf(question), key.before),
          after: changedText(t, numbers, changedOf(question), key.after),
        }),
      );
    case 'launch-order':
      return plain(
        key.events
          .map(({ name, time }) =>
            t('launch.at', { what: eventText(t, name), seconds: formatNumber(time, 1) }),
          )
          .join(' → '),
      );
  }
}

const changedOf = (question: ConverterQuestion): Changed =>
  question.kind === 'predict-change' ? question.of : 'stall-speed';

/** A stall speed by tens, a top speed, or a time with its tenth. */
function changedText(t: TFunction, numbers: Numbers, of: Changed, value: number): string {
  switch (of) {
    case 'stall-speed':
      return numbers.quantity(Math.round(value / 10) * 10, 'speed');
    case 'top-speed':
      return numbers.quantity(value, 'road-speed');
    case 'launch-time':
      return t('converterPrompts.seconds', { seconds: formatNumber(value, 1) });
  }
}

/** The display quantity of what a change is asked for; a time has none. */
export const quantityChanged = (of: Changed): Quantity | null =>
  ({ 'stall-speed': 'speed', 'top-speed': 'road-speed', 'launch-time': null } as const)[of];

/** Three digits that mean something. */
const rounded = (value: number): number => Number(value.toPrecision(3));

export function converterShort(
  t: TFunction,
  numbers: Numbers,
  question: ConverterQuestion,
  answer: ConverterAnswer,
  score: number,
): string {
  if (answer.kind === 'sketch-curve') return t('short.sketch', { right: Math.round(5 * score) });
  if (answer.kind === 'launch-order') return t('short.order', { percent: Math.round(100 * score) });
  if (answer.kind === 'operate')
    return t('short.throttle', { percent: Math.round(100 * answer.throttle) });
  const { main, detail } = converterAnswerText(t, numbers, question, answer);
  return detail === '' ? main : `${main} ${detail}`;
}

function converterClaim(
  t: TFunction,
  numbers: Numbers,
  claim: ClaimOf<'converter'>,
  question: ConverterQuestion,
): string {
  const speed = (rpm: number) => numbers.quantity(rounded(rpm), 'speed');
  const torque = (nm: number) => numbers.quantity(rounded(nm), 'torque');
  const power = (kw: number) => numbers.quantity(rounded(kw), 'power');
  const changed = (value: number) => changedText(t, numbers, changedOf(question), value);
  const seconds = (s: number) => formatNumber(s, 1);
  const event = (name: string) => eventText(t, name);
  const formats: ClaimFormats = {
    measure: (m: Measure) => t(`measures.${m}`).toLowerCase(),
    value: (value: number) =>
      claim.claim === 'reads'
        ? readingText(numbers, claim.measure, rounded(value))
        : formatRatio(value),
    speedIn: speed,
    speedOut: speed,
    governed: speed,
    torqueIn: torque,
    torqueOut: torque,
    powerIn: power,
    powerOut: power,
    heat: power,
    multiplies: formatRatio,
    speedRatio: formatRatio,
    before: changed,
    after: changed,
    share: claim.claim === 'off-by' ? formatPercent : formatRatio,
    times: String,
    given: (value: number) =>
      question.kind === 'read-match'
        ? readingText(numbers, question.ask, rounded(value))
        : changed(value),
    event,
    later: event,
    time: seconds,
    laterTime: seconds,
  };
  const sub = claim.claim === 'curve' ? claim.curve : claim.claim === 'changes' ? claim.of : null;
  return claimText(t, claim, formats, sub);
}

export const CONVERTER_WORDS: FamilyWords<'converter'> = {
  prompt: (t, numbers, question, { rig }) => converterPrompt(t, numbers, question, rig),
  answer: (t, numbers, question, _subject, answer) =>
    converterAnswerText(t, numbers, question, answer),
  key: (t, numbers, question, { rig }, known) => converterKeyText(t, numbers, question, rig, known),
  short: (t, numbers, question, _subject, answer, score) =>
    converterShort(t, numbers, question, answer, score),
  part(t, { part, of }) {
    const [first = '', second = ''] = Array.isArray(of)
      ? of.map((e: string) => eventText(t, e))
      : [];
    return t(`gradedParts.${part}`, { first, second });
  },
  claim: (t, numbers, claim, question) => converterClaim(t, numbers, claim, question),
};
