import { expectApproved } from '../tests/approved';
import type { Clutch, ClutchPack } from '../clutch';
import type { Converter, Engine } from '../converter';
import { demoFile, demoUnit } from '../tests/demoFile';
import type { Vehicle } from '../vehicle';
import { DRAFT_SUBJECTS, type DraftRig } from './draftCandidates';
import { draftLesson, type DraftWords } from './draftLesson';
import { subjectFor } from './families/subjects';
import { questionsOf } from './lesson';
import { tellsOf } from './tells';

const unit = demoUnit('harbour-trainer');
const RIG: DraftRig = {
  unit,
  converter: {
    converter: demoFile<Converter>('converters/jetty-eleven'),
    engine: demoFile<Engine>('engines/yard-diesel'),
    vehicle: null,
    unit: null,
  },
  clutch: {
    clutch: demoFile<Clutch>('clutches/hawser-twelve'),
    pack: demoFile<ClutchPack>('clutch-packs/fender-pack'),
    engine: demoFile<Engine>('engines/pilot-petrol'),
    vehicle: demoFile<Vehicle>('vehicles/yard-tractor'),
    unit: demoUnit('winch-manual'),
  },
};
const WORDS: DraftWords = {
  title: 'Drafted',
  first: 'Look first',
  firstLine: 'Look.',
  step: (question) => question.kind,
  line: (kind) => `One line about ${kind}.`,
};
function drafted(subject: (typeof DRAFT_SUBJECTS)[number], minutes: number, rig = RIG) {
  let n = 0;
  return draftLesson({ subject, minutes, rig }, WORDS, 'drafted', () => `b${++n}`);
}

test.each(DRAFT_SUBJECTS)('%s: an ordinary lesson whose every question can be asked', (subject) => {
  const lesson = drafted(subject, 30)!;
  const questions = questionsOf(lesson);
  expect(questions.length).toBeGreaterThanOrEqual(3);
  expect(lesson.steps[0]!.blocks).toHaveLength(2);
  const met = new Map<string, number>();
  for (const { question } of questions) {
    const about = subjectFor(lesson, question);
    const tells = about && tellsOf(question, about);
    expect(tells).not.toBeNull();
    for (const slip of tells!.told) met.set(slip, (met.get(slip) ?? 0) + 1);
  }
  expect(met.size).toBeGreaterThanOrEqual(4);
  // No two questions are the same.
  const texts = questions.map((q) => JSON.stringify(q.question));
  expect(new Set(texts).size).toBe(texts.length);
});

test('lessons as they are drafted', () => {
  expectApproved(
    'drafted',
    Object.fromEntries(
      DRAFT_SUBJECTS.flatMap((subject) =>
        drafted(subject, 20)!.steps.flatMap((step) =>
          step.blocks.map((block) => [`${subject} ${step.id} ${block.id}`, block]),
        ),
      ),
    ),
  );
});

test('ratios in an hour: each formula that is got wrong is met at least twice', () => {
  const lesson = drafted('ratios', 60)!;
  const met = new Map<string, number>();
  for (const { question } of questionsOf(lesson)) {
    const about = subjectFor(lesson, question)!;
    for (const slip of tellsOf(question, about)!.told) met.set(slip, (met.get(slip) ?? 0) + 1);
  }
  for (const slip of [
    'upside-down',
    'forgot-one-plus',
    'other-quotient',
    'sum-instead-of-difference',
  ])
    expect(met.get(slip)).toBeGreaterThanOrEqual(2);
});

test('more minutes, more questions; without minutes, or without the models, no lesson', () => {
  const of = (minutes: number) => questionsOf(drafted('power', minutes)!).length;
  expect(of(10)).toBeLessThan(of(25));
  expect(drafted('power', 2)).toBeNull();
  expect(drafted('converter', 30, { ...RIG, converter: null })).toBeNull();
  expect(drafted('clutch', 30, { ...RIG, clutch: null })).toBeNull();
});
