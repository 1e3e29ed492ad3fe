import { CARRIED_LISTS, type Lesson } from '../../../core/lesson';
import type { LessonRecord } from '../../storage/records';

/** What is looked for on the shelf. */
export interface Wanted {
  readonly search: string;
  /** Only lessons with this tag; all where it is empty. */
  readonly tag: string;
  readonly hideDemo: boolean;
}

/** Everything of a lesson that its teacher may remember it by, in small letters. */
const wordsOf = (lesson: Lesson): string =>
  [
    lesson.title,
    lesson.summary,
    lesson.author ?? '',
    ...(lesson.tags ?? []),
    ...lesson.steps.map((s) => s.title),
    ...CARRIED_LISTS.flatMap((list) => (lesson[list] ?? []).map((m) => m.name)),
  ]
    .join('\n')
    .toLowerCase();

const isDemo = ({ origin, changed }: LessonRecord): boolean => origin === 'demo' && !changed;

/** What stands on the shelf: one's own first, saved last on top, then the demo lessons in their teaching order. */
export function shelved(
  records: readonly LessonRecord[],
  { search, tag, hideDemo }: Wanted,
): LessonRecord[] {
  const words = search.toLowerCase().split(/\s+/).filter(Boolean);
  const fits = (record: LessonRecord): boolean => {
    if (hideDemo && isDemo(record)) return false;
    if (tag !== '' && !(record.lesson.tags ?? []).includes(tag)) return false;
    const text = words.length > 0 ? wordsOf(record.lesson) : '';
    return words.every((word) => text.includes(word));
  };
  const found = records.filter(fits);
  const own = found.filter((r) => !isDemo(r)).sort((a, b) => b.revision - a.revision);
  return [...own, ...found.filter(isDemo)];
}

/** Every tag in use, in the alphabet's order. */
export const tagsOf = (records: readonly LessonRecord[]): string[] =>
  [...new Set(records.flatMap((r) => r.lesson.tags ?? []))].sort((a, b) => (a < b ? -1 : 1));
