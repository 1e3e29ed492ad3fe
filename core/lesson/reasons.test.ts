import { setup } from './tests/oneSetup';
import { assess } from './assess';
import { FORMS } from './families/gear-set/claims';
import { newSetQuestion } from './families/gear-set/defaults';
import type { NumberAsk, NumberQuestion } from './families/gear-set/kinds';
import { familyOf, type QuestionKind } from './question';
import { familyNamed, type AnyClaim } from './families/families';
import { claimIsSo } from './tests/claimOracle';
import { randomFromSeed } from '../numerics';
import { MISCONCEPTIONS, type Misconception } from './misconceptions';
import { figuresOf } from './tests/classFigures';
import { drawQuestion, THOUGHT_OF } from './tests/drawnQuestions';
import { answeredByThought, broughtForward, classOf, type Answered } from './tests/simulatedClass';

/** Draws of each kind. */
const DRAWS = 14;

const classes = new Map<QuestionKind, Answered[]>();
function members(kind: QuestionKind): Answered[] {
  const known = classes.get(kind) ?? classOf(kind, DRAWS);
  classes.set(kind, known);
  return known;
}

// Predict, observe, explain (White & Gunstone, Probing Understanding, 1992; published, from memory): an explanation is worth
// nothing where it is false. The limits are the project's own.
test.each(THOUGHT_OF)('%s: a way of thinking is named, and hardly ever another', (kind) => {
  const { answers, named, falsely } = figuresOf(members(kind).filter((a) => a.slip !== null));
  expect(answers).toBeGreaterThan(0);
  expect(named / answers).toBeGreaterThanOrEqual(0.95);
  // One that another way of thinking gives too.
  expect(falsely).toBeLessThanOrEqual(Math.max(1, 0.025 * answers));
});

test('every fact that is said is so, worked out by other means', () => {
  let checked = 0;
  for (const kind of THOUGHT_OF)
    for (const { question, subject, grade } of members(kind))
      for (const claim of [...grade.why.facts, ...grade.why.named.flatMap((n) => n.claims)]) {
        const so = claimIsSo(claim, question, subject);
        if (so === null) continue;
        checked++;
        if (!so) expect([kind, claim, question]).toBe('so');
      }
  expect(checked).toBeGreaterThan(1500);
});

/**
 * Numbers of a claim with which another one may be as true: what is told with it stays as it is within a range (a throttle that a
 * governor overrules, a speed between two shift points), or there is another number of which the same can be said.
 */
const ELSEWHERE_TRUE: ReadonlySet<string> = new Set([
  ...[
    'given-is.given',
    'goes-with.given',
    'stages.given',
    'times-right.given',
    'times-right.times',
  ],
  ...[
    'reads.throttle',
    'reads.lockUp',
    'gear-would.value',
    'ball-holds.gear',
    'floored.rpm',
    'pair-never.throttle',
  ],
  ...['centre.forkRod', 'gap.turnbuckle', 'untouched.forkRod', 'untouched.turnbuckle'],
]);

/** The claim with another number, or the other way, in the place of one. */
const misstated = (claim: object): [string, object][] =>
  Object.entries(claim).flatMap(([field, value]: [string, unknown]): [string, object][] => {
    if (typeof value === 'boolean') return [[field, { ...claim, [field]: !value }]];
    if (typeof value !== 'number') return [];
    const other = Number.isInteger(value) ? value + 1 : value * 1.37 + 0.61;
    return [[field, { ...claim, [field]: other }]];
  });

// A check that lets everything pass is none: what is shown to a student is asked of the model once more.
test('a fact with another number in it does not hold', () => {
  const looked = new Map<string, number>();
  const pass: string[] = [];
  for (const kind of THOUGHT_OF)
    for (const { question, subject, grade } of members(kind)) {
      const { reasons } = familyNamed(familyOf(question));
      for (const claim of [...grade.why.facts, ...grade.why.named.flatMap((n) => n.claims)])
        for (const [field, wrong] of misstated(claim)) {
          const name = `${kind} ${claim.claim}.${field}`;
          const times = looked.get(name) ?? 0;
          if (times >= 2 || ELSEWHERE_TRUE.has(`${claim.claim}.${field}`)) continue;
          looked.set(name, times + 1);
          if (reasons.holds(wrong as AnyClaim, { question, subject })) pass.push(name);
        }
    }
  expect(pass).toEqual([]);
  expect(looked.size).toBeGreaterThan(150);
});

// What is not so is left unsaid: a fact that is put wrongly would only be missed, and nobody would see it go.
test('whatever a way of thinking brings forward is so for some question at least', () => {
  const some = new Map<string, boolean>();
  for (const kind of THOUGHT_OF)
    for (const drawn of new Map(members(kind).map((m) => [m.question, m])).values())
      for (const { slip, claim, so } of broughtForward(drawn)) {
        const name = `${kind} ${slip} ${claim.claim}`;
        some.set(name, so || (some.get(name) ?? false));
      }
  expect([...some].filter(([, so]) => !so).map(([name]) => name)).toEqual([]);
  expect(some.size).toBeGreaterThan(150);
});

test('a right answer accuses nobody, and says how it comes about', () => {
  const right = THOUGHT_OF.flatMap(members).filter((a) => a.grade.score === 1);
  for (const { grade } of right) expect(grade.why.named).toEqual([]);
});

test('for every kind that is thought about some question says how its answer comes about', () => {
  const told = (kind: QuestionKind) => members(kind).some((m) => m.grade.why.facts.length > 0);
  expect(THOUGHT_OF.filter((kind) => !told(kind))).toEqual([]);
});

test('no two ways of thinking are called by one name where they are not the same', () => {
  for (const kind of THOUGHT_OF) {
    const named = members(kind).map(({ grade }) => grade.why.named.map((n) => n.slip));
    expect(named.filter((slips) => new Set(slips).size < slips.length)).toEqual([]);
    expect(named.filter((slips) => slips.length > 2)).toEqual([]);
  }
});

// By hand: a sun of 30 teeth and a ring of 70.
test('each form of a ratio is what it reads', () => {
  const byHand: Record<keyof typeof FORMS, number> = {
    'R/S': 2.333333,
    'S/R': 0.428571,
    '1 + R/S': 3.333333,
    '1 + S/R': 1.428571,
    '1/(1 + R/S)': 0.3,
    '1/(1 + S/R)': 0.7,
    'R/S − 1': 1.333333,
    '1 − S/R': 0.571429,
    '1/(R/S − 1)': 0.75,
    '1/(1 − S/R)': 1.75,
  };
  for (const [form, value] of Object.entries(byHand))
    expect([form, FORMS[form as keyof typeof FORMS](30, 70).toFixed(6)]).toEqual([
      form,
      value.toFixed(6),
    ]);
});

// By hand, sun 30, ring 70, pinions 20, 1,000 rev/min and 100 N·m in; common practice, no source.
test.each<[string, NumberAsk, object, number, string]>([
  ['1 ÷ (1 + R/S)', 'ratio', {}, 0.3, 'upside-down'],
  ['R/S', 'ratio', {}, 2.333, 'forgot-one-plus'],
  ['S/R', 'ratio', {}, 0.4286, 'forgot-one-plus'],
  ['1 + S/R', 'ratio', {}, 1.4286, 'other-quotient'],
  ['pinion over ring', 'ratio', {}, 0.2857, 'used-pinion'],
  ['1 + R/S with the carrier held', 'ratio', { driven: 'ring' }, 3.333, 'added-one'],
  ['n × i for n ÷ i', 'output-speed', {}, 3333, 'upside-down'],
  ['what goes in', 'output-speed', {}, 1000, 'ratio-not-applied'],
  ['the ratio for the speed', 'output-speed', {}, 3.33, 'ratio-for-value'],
  ['T ÷ i for T × i', 'output-torque', {}, 30, 'upside-down'],
  ['what the ring holds', 'output-torque', {}, 233.3, 'forgot-one-plus or held-instead-of-output'],
  ['333 + 100', 'held-torque', {}, 433, 'sum-instead-of-difference'],
  ['the output’s', 'held-torque', {}, 333, 'output-instead-of-held'],
  ['nothing', 'held-torque', {}, 0, 'held-has-no-torque'],
  ['a point too far', 'ratio', {}, 33.33, 'decimal-place'],
  ['3.4 for 3.33', 'ratio', {}, 3.4, 'near-miss'],
  ['a number from nowhere', 'ratio', {}, 9.1, ''],
  ['R/S though locked together', 'ratio', { reaction: 'locked' }, 2.333, 'locked-still-geared'],
])('one set by hand: %s', (_name, ask, roles, value, slips) => {
  const question = {
    ...newSetQuestion('number', setup(roles)),
    ask,
    direction: false,
  } as NumberQuestion;
  const result = assess(
    question,
    { kind: 'gear-set', setup: question.setup },
    { kind: 'number', value },
  );
  if (!result.ok) throw new Error(result.fault);
  expect(result.grade.why.named.map((n) => n.slip).join(' or ')).toBe(slips);
});

// By hand: with a ring of twice the sun's teeth S/R and 1 − S/R are both one half, but only the latter is a double-pinion
// set's with its sun held.
test('a formula is that of the arrangement, not of the number', () => {
  const twice = { sun: 30, inner: 15, outer: 15, ring: 60 };
  const question = {
    ...newSetQuestion('number', {
      ...setup({ drives: 'ring' }),
      set: { kind: 'double-pinion', teeth: twice, pinions: 3 },
    }),
    direction: false,
  } as NumberQuestion;
  const result = assess(
    question,
    { kind: 'gear-set', setup: question.setup },
    { kind: 'number', value: 0.5 },
  );
  if (!result.ok) throw new Error(result.fault);
  expect(result.grade.score).toBe(1);
  expect(result.grade.why.facts).toContainEqual({ claim: 'formula', form: '1 − S/R', ratio: 0.5 });
});

/**
 * Met by the tests of their own families, or only where a launch is asked about: of a lock-up that closes after the stator
 * has let go, of a launch without a stator.
 */
const RARE: readonly Misconception[] = [
  'play-at-the-turnbuckle',
  'seized-spares-top-speed',
  'locks-while-it-multiplies',
  'launches-without-stator',
];

test('every slip that is listed is met: none is a name that no way of thinking has', () => {
  const met = new Set(THOUGHT_OF.flatMap(members).map((a) => a.slip));
  const unmet = () => MISCONCEPTIONS.filter((slip) => !met.has(slip) && !RARE.includes(slip));
  // Rare ones take more draws, of questions whose keys are quick.
  const quick = THOUGHT_OF.filter(
    (kind) => familyOf({ kind }) === 'gear-set' || kind === 'row-outcome' || kind === 'verdict',
  );
  for (let k = 0; k < 60 && unmet().length > 0; k++)
    for (const kind of quick)
      for (const { slip } of answeredByThought(
        drawQuestion(kind, randomFromSeed(`${kind} met ${k}`)),
      ))
        met.add(slip);
  expect(unmet()).toEqual([]);
});
