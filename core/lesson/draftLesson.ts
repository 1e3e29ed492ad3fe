import { keyFor } from './assess';
import { carrying, LIST_OF, type Carried } from './carried';
import { familyNamed } from './families/families';
import { defaultSetup } from './families/gear-set/defaults';
import { subjectFor } from './families/subjects';
import { newBlock, newLesson } from './defaults';
import type { Lesson, LessonStep } from './lesson';
import type { Misconception } from './misconceptions';
import { familyOf, type Question, type QuestionKind } from './question';
import { candidatesOf, setupsOf, type DraftRig, type DraftSubject } from './draftCandidates';

export interface DraftWish {
  readonly subject: DraftSubject;
  readonly minutes: number;
  readonly rig: DraftRig;
}

/** What the program calls things: a draft is an ordinary lesson, in the words of the screens. */
export interface DraftWords {
  readonly title: string;
  /** Of the step that shows the models before anything is asked. */
  readonly first: string;
  readonly firstLine: string;
  step(question: Question): string;
  /** One line above a question. */
  line(kind: QuestionKind): string;
}

/** Minutes that a question takes a class, talk and all (common practice, no source). */
const MINUTES: Readonly<Record<QuestionKind, number>> = {
  number: 3,
  choice: 2,
  roles: 2,
  'fill-chart': 6,
  'trace-path': 4,
  'row-outcome': 3,
  reaction: 3,
  'drive-or-coast': 2,
  operate: 4,
  'read-match': 3,
  'sketch-curve': 4,
  'predict-change': 3,
  'launch-order': 4,
  'set-free-play': 5,
  'will-it-hold': 3,
  'adjust-order': 4,
  'noise-test': 2,
  'draw-start': 6,
  'choose-selective': 3,
  'upgrade-limit': 3,
  'symptom-row': 4,
  'which-element': 3,
  'which-test': 4,
  diagnose: 15,
  'which-side': 3,
  'two-gears': 2,
  'set-waiting': 5,
  'draw-crossing': 5,
  'trace-oil': 4,
  'spool-places': 3,
  'shift-speed': 3,
  'oil-fault-row': 3,
  'which-ball': 4,
  'kick-down': 3,
  'set-shift': 6,
  'draw-pressures': 6,
  'bolt-order': 5,
  'free-now': 3,
  'strip-order': 4,
  'why-first': 2,
  'lay-out': 3,
  'way-round': 2,
  verdict: 3,
  'read-gauge': 3,
  'choose-size': 3,
  'worth-it': 3,
  'whole-job': 45,
  'own-choice': 2,
  'own-number': 3,
  'own-order': 3,
};
/** Minutes of looking before the first question. */
const LOOKING = 2;
/** Each way of thinking is to be met so often. */
const WANTED = 2;

/**
 * A lesson about a subject of a unit: of all questions that could be asked, those that meet most ways of thinking for their
 * minutes, until the minutes are used; easy ones first.
 * @param newId of steps and blocks
 * @returns `null` where nothing can be asked about the subject
 */
export function draftLesson(
  { subject, minutes, rig }: DraftWish,
  words: DraftWords,
  lessonId: string,
  newId: () => string,
): Lesson | null {
  const models = modelsOf(subject, rig);
  const first: LessonStep = { id: newId(), title: words.first, blocks: [] };
  const empty = newLesson(lessonId, words.title, first);
  const chosen = choose(candidatesOf(subject, rig), withAll(empty, models), minutes - LOOKING);
  if (chosen.length === 0) return null;
  const text = (markdown: string) => ({ id: newId(), kind: 'text' as const, markdown });
  first.blocks.push(text(words.firstLine), benchOf(subject, rig, newId()));
  const asked = chosen.map((question) => ({
    id: newId(),
    title: words.step(question),
    blocks: [text(words.line(question.kind)), { id: newId(), kind: 'question' as const, question }],
  }));
  return carrying({ ...empty, steps: [first, ...asked] }, models);
}

/** The lesson as if it carried all these models, used or not. */
const withAll = (lesson: Lesson, models: readonly Carried[]): Lesson =>
  models.reduce((now, model) => {
    const list = LIST_OF[model.format];
    return { ...now, [list]: [...(now[list] ?? []), model] };
  }, lesson);

interface Weighed {
  readonly question: Question;
  readonly slips: readonly Misconception[];
}

function choose(candidates: readonly Question[], lesson: Lesson, minutes: number): Question[] {
  let left = [...new Map(candidates.map((q) => [JSON.stringify(q), q])).values()]
    .map((question): Weighed => ({ question, slips: slipsIn(question, lesson) }))
    .filter((w) => w.slips.length > 0);
  const met = new Map<Misconception, number>();
  const chosen: Weighed[] = [];
  let used = 0;
  const worth = ({ question, slips }: Weighed) =>
    slips.reduce((sum, s) => sum + ((met.get(s) ?? 0) < WANTED ? 1 : 0.05), 0) /
    (MINUTES[question.kind] * (1 + chosen.filter((c) => c.question.kind === question.kind).length));
  for (;;) {
    const fitting = left.filter((w) => used + MINUTES[w.question.kind] <= minutes);
    const best = fitting.reduce<Weighed | null>(
      (a, b) => (a && worth(a) >= worth(b) ? a : b),
      null,
    );
    if (!best) break;
    chosen.push(best);
    used += MINUTES[best.question.kind];
    for (const slip of best.slips) met.set(slip, (met.get(slip) ?? 0) + 1);
    left = left.filter((w) => w !== best);
  }
  return chosen
    .sort(
      (a, b) =>
        MINUTES[a.question.kind] - MINUTES[b.question.kind] || a.slips.length - b.slips.length,
    )
    .map((w) => w.question);
}

/** The ways of thinking that a question meets; none where it can't be asked. */
function slipsIn(question: Question, lesson: Lesson): Misconception[] {
  const subject = subjectFor(lesson, question);
  const result = subject && keyFor(question, subject);
  if (!subject || !result?.ok) return [];
  const { reasons } = familyNamed(familyOf(question));
  const thoughts = reasons.thoughts[question.kind]({ question, subject, key: result.key } as never);
  return [...new Set(thoughts.map((t) => t.slip))];
}

function modelsOf(subject: DraftSubject, { unit, converter, clutch }: DraftRig): Carried[] {
  switch (subject) {
    case 'roles':
      return [];
    case 'ratios':
    case 'chart':
    case 'power':
    case 'faults':
      return [unit];
    case 'converter':
      return converter ? [converter.converter, converter.engine] : [];
    case 'clutch':
      return [clutch?.clutch, clutch?.pack, clutch?.engine, clutch?.vehicle, clutch?.unit].filter(
        (m) => m !== null && m !== undefined,
      );
  }
}

function benchOf(subject: DraftSubject, { unit, converter, clutch }: DraftRig, id: string) {
  switch (subject) {
    case 'roles':
      return newBlock('bench', id, setupsOf(unit)[0] ?? defaultSetup());
    case 'ratios':
    case 'chart':
    case 'power':
    case 'faults':
      return newBlock('unit-bench', id, defaultSetup(), { unit });
    case 'converter':
      return newBlock('converter-bench', id, defaultSetup(), {
        converter: converter?.converter.id ?? '',
        engine: converter?.engine.id ?? '',
      });
    case 'clutch':
      return newBlock('clutch-bench', id, defaultSetup(), { clutch: clutch?.clutch?.id ?? '' });
  }
}
