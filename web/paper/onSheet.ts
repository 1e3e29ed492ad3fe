import { isVaried, questionsOf, type Lesson, type Question } from '../../core/lesson';

/** What has to be operated can't be printed: it is asked at the machine. */
const AT_THE_MACHINE: ReadonlySet<Question['kind']> = new Set([
  'operate',
  'draw-start',
  'set-free-play',
  'diagnose',
  'whole-job',
]);
export const isOnPaper = ({ kind }: Question): boolean => !AT_THE_MACHINE.has(kind);

/** Names of a group, one a line; nobody's sheet where there is none. Each once. */
export const MOST_NAMES = 40;
export function namesIn(text: string): string[] {
  const names = text
    .split('\n')
    .map((line) => line.trim().slice(0, 80))
    .filter(Boolean);
  return [...new Set(names)].slice(0, MOST_NAMES);
}

/** Whether sheets of two names can differ at all. */
export const differs = (lesson: Lesson): boolean =>
  questionsOf(lesson).some(({ question }) => isVaried(question));
