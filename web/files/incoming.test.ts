import {
  newLesson,
  newStep,
  type Attempt,
  type Lesson,
  type PictureBlock,
} from '../../core/lesson';
import { record } from '../../core/lesson/tests/records';
import { createStore } from '../app/store';
import { memoryServices } from '../state/tests/memoryServices';
import { testWords } from '../tests/words';
import { incomingAttempt, incomingLesson, incomingModel, withPictures } from './incoming';
import { demoFile } from '../../core/tests/demoFile';
import type { Unit } from '../../core/geartrain';

const lesson = newLesson('l1', 'At the quay', newStep('s1', 'Step'));
const attempt = record(lesson, []);
/** The least that is taken for a PNG: its eight first bytes (ISO/IEC 15948, 5.2; published). */
const PNG = new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);

async function taking() {
  const { services } = memoryServices();
  return { services, dispatch: createStore(services).dispatch, t: await testWords() };
}

describe('what a file brings in', () => {
  test('pictures are kept under the name of their content, and the lesson shows them there', async () => {
    const { services } = await taking();
    const block: PictureBlock = {
      kind: 'picture',
      id: 'p',
      media: 'media/quay.png',
      alt: 'A quay',
      caption: '',
    };
    const shown: Lesson = { ...lesson, steps: [{ ...lesson.steps[0]!, blocks: [block] }] };
    const media = { 'media/quay.png': PNG, 'media/bad.png': new Uint8Array([1, 2, 3]) };
    const own = await withPictures(services, { lesson: shown, media });
    const { media: path } = own.steps[0]!.blocks[0] as PictureBlock;
    expect(path).toMatch(/^media\/[0-9a-f]{16}\.png$/);
    expect(await services.documents.readMedia(path)).toEqual(PNG);
    // What is no picture is not kept.
    expect(await services.documents.readMedia('media/bad.png')).toBeNull();
  });

  test('a lesson with the same content is the same, whatever became of it here', async () => {
    const incoming = incomingLesson(lesson, await taking());
    const saved = await incoming.save(incoming.document, null);
    expect(saved).toMatchObject({
      outcome: 'saved',
      record: { origin: 'imported', changed: false },
    });
    if (saved.outcome !== 'saved') return;
    expect(incoming.against({ ...saved.record, origin: 'own', changed: true })).toBe('same');
    expect(incoming.against({ ...saved.record, lesson: { ...lesson, title: 'Elsewhere' } })).toBe(
      'other',
    );
    expect(incoming.copy().lesson).toEqual({ ...lesson, id: 'new-id' });
    expect(incoming.words.taken).toContain('At the quay');
  });

  test('a record that goes on where the stored one ends is later; what was set aside in it is told', async () => {
    const now = await taking();
    const answer = { question: 'q1', at: '2030-01-01T08:01:00Z', round: 0 };
    const longer = { ...attempt, answers: [answer] } as unknown as Attempt;
    const other = { ...attempt, student: 'Else' };
    const incoming = incomingAttempt(longer, 'imported', now);
    const stands = (a: Attempt) => incoming.against({ attempt: a, source: 'mine' });
    expect(stands(attempt)).toBe('later');
    expect(stands(longer)).toBe('same');
    expect(stands(other)).toBe('other');
    expect(
      incomingAttempt(attempt, 'imported', now).against({ attempt: longer, source: 'mine' }),
    ).toBe('earlier');
    expect(incoming.both({ attempt: other, source: 'mine' })).toEqual({
      here: other,
      inFile: longer,
    });
    expect(incoming.words.taken).toContain('Wend Halyard');
    const set = { ...attempt, setAside: [{}, {}] } as unknown as Attempt;
    expect(incomingAttempt(set, 'imported', now).words.taken).toContain('2');
  });

  test('a unit is the same only to the last tooth', async () => {
    const unit = demoFile<Unit>('units/skerry-three');
    const incoming = incomingModel(unit, await taking());
    expect(incoming.against({ ...unit })).toBe('same');
    expect(incoming.against({ ...unit, name: 'Other' })).toBe('other');
    expect(await incoming.save(incoming.copy(), null)).toMatchObject({
      outcome: 'saved',
      record: { id: 'new-id' },
    });
  });
});
