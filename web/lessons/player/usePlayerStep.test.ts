import type { LessonStep } from '../../../core/lesson';
import { focusOf, takesSheet } from './usePlayerStep';

const block = (kind: string, id: string) =>
  ({ kind, id }) as unknown as LessonStep['blocks'][number];
const step = (...blocks: LessonStep['blocks'][number][]): LessonStep => ({
  id: 's1',
  title: '',
  blocks,
});

const FREE = block('unit-bench', 'bench');
const MIXED = step(block('text', 'words'), FREE, block('question', 'q1'), block('question', 'q2'));
const idOf = (
  of: LessonStep,
  chosen: string | null,
  answered: readonly string[] = [],
  at: string = of.id,
) =>
  focusOf(of, chosen === null ? null : { step: at, block: chosen }, (id) => answered.includes(id))
    .focus?.id;

describe('which block has the sheet', () => {
  test('the first open question, then the next, then the last block that draws', () => {
    expect(idOf(MIXED, null)).toBe('q1');
    expect(idOf(MIXED, null, ['q1'])).toBe('q2');
    expect(idOf(MIXED, null, ['q1', 'q2'])).toBe('q2');
    expect(idOf(step(FREE, block('picture', 'p')), null)).toBe('bench');
    expect(idOf(step(block('text', 'words')), null)).toBeUndefined();
  });

  test('what was chosen keeps it: an answer stays to be read, a later question may be looked at first', () => {
    expect(idOf(MIXED, 'q1', ['q1'])).toBe('q1');
    expect(idOf(MIXED, 'q2')).toBe('q2');
  });

  test('no bench tells the answer while a question of the step is open', () => {
    expect(idOf(MIXED, 'bench')).toBe('q1');
    expect(idOf(MIXED, 'bench', ['q1'])).toBe('q2');
    expect(idOf(MIXED, 'bench', ['q1', 'q2'])).toBe('bench');
    const { open } = focusOf(MIXED, { step: 's1', block: 'q1' }, (id) => id === 'q1');
    expect(open?.id).toBe('q2');
  });

  test('a choice on another step, or of a block that is gone, says nothing here', () => {
    expect(idOf(MIXED, 'q2', [], 's0')).toBe('q1');
    expect(idOf(MIXED, 'gone')).toBe('q1');
    expect(idOf(MIXED, 'words', ['q1', 'q2'])).toBe('q2');
    expect(MIXED.blocks.filter(takesSheet).map((b) => b.id)).toEqual(['bench', 'q1', 'q2']);
  });
});
