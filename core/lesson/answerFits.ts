import { adjustmentsOf, NOISE_TESTS, selectiveChoices } from '../clutch';
import { FEET_AT } from '../shift';
import { SAME_PART } from './clutchGrade';
import { SKETCH_AT } from './converterQuestion';
import type { Answer, Question } from './question';
import type { AnyKey, Subject } from './subject';
import { cellKey } from './unitQuestion';

/**
 * Whether a question can have been answered so at all: the right kind, and nothing named that the question does not
 * offer. A record that was written by something else is found out here, before anything is graded.
 */
type Fits<K extends Answer['kind']> = (
  answer: Extract<Answer, { kind: K }>,
  question: Extract<Question, { kind: K }>,
  subject: Subject,
  key: AnyKey,
) => boolean;

const among = (given: readonly string[], offered: readonly string[]): boolean =>
  given.every((g) => offered.includes(g));
const noneTwice = (given: readonly string[]): boolean => new Set(given).size === given.length;
const allOf = (given: readonly string[], offered: readonly string[]): boolean =>
  given.length === offered.length && noneTwice(given) && among(given, offered);
const ids = (items: readonly { readonly id: string }[]): string[] => items.map((i) => i.id);
const unitOf = (subject: Subject) =>
  subject.kind === 'unit'
    ? subject.unit
    : subject.kind === 'fault'
      ? subject.subject.unit
      : subject.kind === 'set'
        ? null
        : subject.rig.unit;

const FITS: { readonly [K in Answer['kind']]: Fits<K> } = {
  number: ({ value, direction }, question) =>
    Number.isFinite(value) && (direction !== undefined) === question.direction,
  choice: ({ choice }, _question, _subject, key) =>
    key.kind === 'choice' && key.options.includes(choice),
  roles: ({ drives, driven, held }) => noneTwice([drives, driven, held]),
  'fill-chart': ({ on }, _question, subject) => {
    const unit = unitOf(subject);
    if (!unit) return false;
    return among(
      on,
      unit.ranges.flatMap((r) => unit.elements.map((e) => cellKey(r.id, e.id))),
    );
  },
  'trace-path': ({ members }, _question, subject) => among(members, ids(unitOf(subject)!.members)),
  'row-outcome': ({ outcome, ratio, direction }) =>
    outcome === 'drives'
      ? Number.isFinite(ratio) && direction !== undefined
      : ratio === undefined && direction === undefined,
  reaction: ({ elements }, _question, subject) =>
    noneTwice(elements) && among(elements, ids(unitOf(subject)!.elements)),
  'drive-or-coast': ({ braking, letsGo }, _question, subject) =>
    letsGo === undefined ||
    (!braking && unitOf(subject)!.elements.some((e) => e.id === letsGo && e.kind === 'one-way')),
  operate: ({ throttle, turbineRpm }) => [throttle, turbineRpm].every(Number.isFinite),
  'read-match': ({ value }) => Number.isFinite(value),
  'sketch-curve': ({ values }) =>
    values.length === SKETCH_AT.length && values.every(Number.isFinite),
  'predict-change': ({ value }) => Number.isFinite(value),
  'launch-order': ({ order }, _question, _subject, key) =>
    key.kind === 'launch-order' &&
    allOf(
      order,
      key.events.map((e) => e.name),
    ),
  'set-free-play': ({ forkRod, turnbuckle }) => [forkRod, turnbuckle].every(Number.isFinite),
  'will-it-hold': ({ holds, value, range }, question, subject) =>
    question.ask === 'slips-first'
      ? range !== undefined && ids(unitOf(subject)?.ranges ?? []).includes(range)
      : holds !== undefined && Number.isFinite(value) && range === undefined,
  'adjust-order': ({ order }, _question, subject) =>
    subject.kind === 'clutch' &&
    subject.rig.clutch !== null &&
    allOf(order, adjustmentsOf(subject.rig.clutch)),
  'noise-test': ({ test }) => among([test], ids(NOISE_TESTS)),
  'draw-start': (feet) =>
    [feet.pedal, feet.throttle].every(
      (foot) => foot.length === FEET_AT.length && foot.every((v) => v >= 0 && v <= 1),
    ),
  'choose-selective': ({ thickness }, _question, subject) =>
    subject.kind === 'clutch' &&
    subject.rig.pack !== null &&
    selectiveChoices(subject.rig.pack).some((c) => Math.abs(c.thickness - thickness) < SAME_PART),
  'upgrade-limit': ({ limit, value }, question) =>
    question.ask === 'limit'
      ? limit !== undefined && value === undefined
      : Number.isFinite(value) && limit === undefined,
  'symptom-row': ({ cells }, question) => {
    const said = cells.map((c) => c.range);
    return noneTwice(said) && among(said, question.ranges);
  },
  'which-element': ({ element }, _question, subject) =>
    ids(unitOf(subject)?.elements ?? []).includes(element),
  'which-test': ({ check }, question) => question.offered.includes(check),
  diagnose: ({ entries }, _question, _subject, key) => {
    const done = entries.map((e) => e.check);
    return key.kind === 'diagnose' && noneTwice(done) && among(done, ids(key.desk.shop.checks));
  },
};

/** @param key the question's own */
export function answerFits(
  question: Question,
  subject: Subject,
  answer: Answer,
  key: AnyKey,
): boolean {
  if (answer.kind !== question.kind) return false;
  const fits = FITS[answer.kind] as Fits<Answer['kind']>;
  return fits(answer, question, subject, key);
}
