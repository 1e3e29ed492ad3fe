import type { Lesson } from '../../../core/lesson';
import { demoFile } from '../../../core/tests/demoFile';
import type { LessonRecord } from '../../storage/records';
import { shelved, tagsOf } from './shelf';

const lesson = (name: string) => demoFile<Lesson>(`lessons/${name}`);
const demo = (file: string, change: Partial<LessonRecord> = {}): LessonRecord => ({
  lesson: lesson(file),
  origin: 'demo',
  revision: 1,
  changed: false,
  ...change,
});
const own = (id: string, revision: number, over: Partial<Lesson> = {}): LessonRecord => ({
  lesson: { ...lesson('name-the-parts'), id, title: id, ...over },
  origin: 'own',
  revision,
  changed: false,
});
const all = { search: '', tag: '', hideDemo: false };
const ids = (records: readonly LessonRecord[]) => records.map((r) => r.lesson.id);

test('one’s own stand first, the one saved last on top; a demo lesson that was changed is one’s own', () => {
  const records = [
    demo('name-the-parts'),
    own('older', 100),
    demo('hold-one-drive-one', { changed: true, revision: 150 }),
    own('newer', 200),
    demo('set-it'),
  ];
  expect(ids(shelved(records, all))).toEqual([
    'newer',
    'hold-one-drive-one',
    'older',
    'name-the-parts',
    'set-it',
  ]);
  expect(ids(shelved(records, { ...all, hideDemo: true }))).toEqual([
    'newer',
    'hold-one-drive-one',
    'older',
  ]);
});

test('found by any word of title, step, author, tag or model, whatever the case; all words count', () => {
  const records = [
    demo('fill-the-chart'),
    demo('hold-one-drive-one'),
    own('night', 5, { author: 'Brigid Voss', tags: ['class 1B'] }),
  ];
  const found = (search: string) => ids(shelved(records, { ...all, search }));
  expect(found('SKERRY')).toEqual(['fill-the-chart']);
  expect(found('voss 1b')).toEqual(['night']);
  expect(found('voss skerry')).toEqual([]);
  expect(found('  ')).toHaveLength(3);
  expect(ids(shelved(records, { ...all, tag: 'class 1B' }))).toEqual(['night']);
  expect(tagsOf(records)).toEqual(['class 1B']);
});
