import { randomFromSeed } from '../numerics';
import { expectApproved } from '../tests/approved';
import { graderOf, keyFor } from './assess';
import { classBook } from './classBook';
import { HOLD_ASKS, UPGRADE_ASKS } from './families/clutch/kinds';
import { CHANGED, MATCH_ASKS, SKETCHED } from './families/converter/kinds';
import { CHOICE_ASKS, GOALS, hasDirection, NUMBER_ASKS } from './families/gear-set/kinds';
import { FAMILIES, familyNamed, type Subject } from './families/families';
import { posedIn } from './posed';
import type { Grader } from './grading';
import { familyOf, QUESTION_KINDS, type Answer, type QuestionKind } from './question';
import { inLesson } from './tests/askable';
import { tellsOf } from './tells';
import { drawQuestion, type Drawn } from './tests/drawnQuestions';
import { demoAttempts, lessons } from './tests/records';
import { answeredByThought, broughtForward, isDear } from './tests/simulatedClass';

const DRAWS = 3;

/** Everything that can be asked of one drawing, where a kind asks for one of several things. */
const ASKED: Readonly<Partial<Record<QuestionKind, readonly object[]>>> = {
  number: NUMBER_ASKS.map((ask) => ({ ask, direction: hasDirection(ask) })),
  choice: [
    ...CHOICE_ASKS.map((ask) => ({ ask })),
    ...GOALS.map((goal) => ({ ask: 'arrangement', goal })),
  ],
  'read-match': MATCH_ASKS.map((ask) => ({ ask })),
  'sketch-curve': SKETCHED.map((curve) => ({ curve })),
  'predict-change': CHANGED.flatMap((of) =>
    [
      { kind: 'engine', share: 0.7 },
      { kind: 'altitude', metres: 2500 },
      { kind: 'size', factor: 0.9 },
      { kind: 'stator', fault: 'slips' },
      { kind: 'stator', fault: 'seized' },
    ].map((change) => ({ of, change })),
  ),
  'will-it-hold': HOLD_ASKS.map((ask) => ({ ask })),
  'upgrade-limit': UPGRADE_ASKS.map((ask) => ({ ask })),
};

function allAsked({ question, subject }: Drawn): [string, unknown][] {
  return (ASKED[question.kind] ?? []).map((other): [string, unknown] => {
    const asked: Drawn = { question: { ...question, ...other }, subject };
    const said = answeredByThought(asked).map(({ slip, answer, grade }) => [slip, answer, grade]);
    return [JSON.stringify(other), [keyFor(asked.question, subject), said, broughtForward(asked)]];
  });
}

/** The question as five students would get it. */
const othersOf = ({ question, subject }: Drawn) => {
  const draw = familyNamed(familyOf(question)).vary[question.kind];
  return (
    draw &&
    [1, 2, 3, 4, 5].map((seed) => {
      const other = draw(question as never, subject, randomFromSeed(`other ${seed}`));
      return [{ ...other, prompt: '' }, keyFor(other, subject)];
    })
  );
};

/** What is asked in its place after two wrong answers. */
const smallerOf = ({ question, subject }: Drawn) => {
  const wrong = { score: 0, answer: { kind: 'reaction' as const, elements: [] } };
  const family = familyNamed(familyOf(question));
  const posed = posedIn(family, inLesson(question, subject), question, null, [wrong, wrong]);
  return [posed.step, { ...posed.question, prompt: '' }];
};

/** One set is quick, and has the most ways of being asked. */
const drawsOf = (kind: QuestionKind): number =>
  isDear(kind) ? 1 : familyOf({ kind }) === 'gear-set' ? 2 * DRAWS : DRAWS;

/** An answer with one thing in it as it can't be, whichever that is. */
function oddOnes(answer: Answer): [string, Answer][] {
  const odd = (value: unknown): readonly unknown[] =>
    Array.isArray(value)
      ? [[], twice(value), [...(value as unknown[]).slice(1), 'nobody'], value.slice(1)]
      : typeof value === 'number'
        ? [-1e12, 0, 1e12]
        : typeof value === 'string'
          ? ['', 'nobody']
          : typeof value === 'object' && value !== null
            ? [{}, { nobody: 1 }]
            : [null];
  return Object.entries(answer)
    .filter(([key]) => key !== 'kind')
    .flatMap(([key, value]) =>
      odd(value).map((other, k): [string, Answer] => [`${key} ${k}`, { ...answer, [key]: other }]),
    );
}
const twice = (list: readonly unknown[]): unknown[] => [...list, ...list];

/** What comes of it, be it that it can't be done. */
function orWhyNot<T>(work: () => T): T | string {
  try {
    return work();
  } catch (error) {
    return String(error).slice(0, 60);
  }
}

type Claimed = Readonly<Record<string, unknown>> & { readonly claim: string };

/** What is said, with one thing in it as another: another number, or another word of those that are said in its place. */
function otherwise(claim: Claimed, said: readonly Claimed[]): [string, Claimed][] {
  const others = (key: string, value: unknown): readonly unknown[] => {
    if (typeof value === 'number') return [1.3 * value + 1e-3, -value];
    const places = said.filter((c) => c.claim === claim.claim).map((c) => c[key]);
    return [...new Set(places), 'nobody'].filter((other) => other !== value).slice(0, 3);
  };
  return Object.entries(claim)
    .filter(([key]) => key !== 'claim')
    .flatMap(([key, value]) =>
      others(key, value).map((other, k): [string, Claimed] => [
        `${claim.claim} ${key} ${k}`,
        { ...claim, [key]: other },
      ]),
    );
}

/** Which of them the model would believe. */
function believed({ question, subject }: Drawn, said: readonly Claimed[]): string[] {
  const { reasons } = familyNamed(familyOf(question));
  const holds = (claim: Claimed): boolean | string =>
    orWhyNot(() => reasons.holds(claim as never, { question, subject }));
  return said.flatMap((claim) =>
    otherwise(claim, said)
      .map(([name, other]) => [name, holds(other)] as const)
      .filter(([, so]) => so !== false)
      .map(([name, so]) => `${name}: ${so}`),
  );
}

/** The question with one thing in it as another, whichever that is: its key, or why it can't be asked so. */
function otherwiseAsked({ question, subject }: Drawn): [string, unknown][] {
  const others = (value: unknown): readonly unknown[] => {
    if (Array.isArray(value)) return [[], value.slice(1)];
    if (typeof value === 'string') return ['nobody'];
    return typeof value === 'number' && !isDear(question.kind) ? [0, -value, 1.5 * value] : [];
  };
  return Object.entries(question)
    .filter(([key]) => !['id', 'kind', 'prompt'].includes(key))
    .flatMap(([key, value]) =>
      others(value).map((other, k): [string, unknown] => [
        `${key} ${k}`,
        orWhyNot(() => keyFor({ ...question, [key]: other }, subject)),
      ]),
    );
}

/** What comes of it where one of the models is missing. */
function without({ question, subject }: Drawn): [string, unknown][] {
  if (!('rig' in subject)) return [];
  return Object.keys(subject.rig).map((part): [string, unknown] => {
    const rig = { ...subject.rig, [part]: null };
    return [part, orWhyNot(() => keyFor(question, { ...subject, rig } as Subject))];
  });
}

/** Which of them could have been given. */
const fittingOf = ({ question, subject }: Drawn, answer: Answer) => {
  const grader = graderOf(question, subject);
  return grader.ok && oddOnes(answer).map(([name, odd]) => [name, fitsIn(grader, odd)]);
};
const fitsIn = (grader: Grader, answer: Answer): boolean | string =>
  orWhyNot(() => grader.fits(answer));

test.each(Object.keys(FAMILIES))(
  '%s: keys, and what is said to every way of thinking',
  (family) => {
    const said: Record<string, unknown> = {};
    for (const kind of QUESTION_KINDS) {
      if (familyOf({ kind }) !== family) continue;
      for (let k = 0; k < drawsOf(kind); k++) {
        const drawn = drawQuestion(kind, randomFromSeed(`approved ${kind} ${k}`));
        const { question, subject } = drawn;
        said[`${kind} ${k}`] = { ...question, prompt: '' };
        said[`${kind} ${k} key`] = keyFor(question, subject);
        answeredByThought(drawn).forEach(({ slip, answer, grade }, n) => {
          if (n === 0) said[`${kind} ${k} fits`] = fittingOf(drawn, answer);
          said[`${kind} ${k} ${slip} ${n}`] = { grade, answer };
        });
        if (k === 0) {
          said[`${kind} otherwise`] = otherwiseAsked(drawn);
          for (const [asked, result] of allAsked(drawn)) said[`${kind} ${asked}`] = result;
          if (!isDear(kind)) said[`${kind} tells`] = [tellsOf(question, subject), without(drawn)];
        }
        const brought = broughtForward(drawn);
        said[`${kind} ${k} brought`] = brought;
        if (!isDear(kind))
          said[`${kind} ${k} believed`] = believed(
            drawn,
            brought.map((b) => b.claim as Claimed),
          );
        if (k < 2) said[`${kind} ${k} others`] = [othersOf(drawn), smallerOf(drawn)];
      }
    }
    expectApproved(`lesson-${family}`, said);
  },
);

/** So many of a class tell as much as all. */
const MEMBERS = 5;

test('class books of the demo class', () => {
  const said: Record<string, unknown> = {};
  const attempts = demoAttempts();
  for (const lesson of lessons) {
    const own = attempts.filter((a) => a.lesson.id === lesson.id).slice(0, MEMBERS);
    if (own.length === 0) continue;
    for (const [name, part] of Object.entries(classBook(lesson, own)))
      said[`${lesson.id} ${name}`] = part;
  }
  expectApproved('class-books', said);
});
