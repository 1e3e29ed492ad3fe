import type { SaveOutcome } from '../storage/records';
import { takeIn, type Incoming } from './takeIn';
import type { Choice } from './useAskWhichStays';

interface Doc {
  readonly id: string;
  readonly text: string;
}

/** A shelf that compares and swaps as the store does, and a file on its way to it. */
function shelf(on: readonly Doc[] = [], unreadable: readonly string[] = []) {
  const docs = new Map(on.map((d) => [d.id, d]));
  const asked: string[] = [];
  /** Called before each write that replaces: what another tab does meanwhile. */
  let meanwhile: (() => void) | null = null;
  const save = (document: Doc, base: Doc | null): Promise<SaveOutcome<Doc>> => {
    if (base && meanwhile) {
      meanwhile();
      meanwhile = null;
    }
    if (unreadable.includes(document.id)) return Promise.resolve({ outcome: 'unreadable' });
    const stored = docs.get(document.id);
    if (stored && stored !== base) return Promise.resolve({ outcome: 'conflict', stored });
    docs.set(document.id, document);
    return Promise.resolve({ outcome: 'saved', record: document });
  };
  const incoming = (document: Doc, against?: Incoming<Doc>['against']): Incoming<Doc> => ({
    title: document.id,
    document,
    save,
    copy: () => ({ ...document, id: `${document.id}-2` }),
    against: against ?? ((stored) => (stored.text === document.text ? 'same' : 'other')),
    words: { taken: 'taken', same: 'same', earlier: 'earlier' },
    both: () => null,
  });
  const open = (document: Doc, choice: Choice = 'cancel', against?: Incoming<Doc>['against']) =>
    takeIn(incoming(document, against), {
      ask: (title) => {
        asked.push(title);
        return Promise.resolve(choice);
      },
      word: (key, { title }) => `${key} ${title}`,
    });
  return {
    docs,
    asked,
    open,
    text: (id: string) => docs.get(id)?.text,
    whileReplacing: (act: () => void) => {
      meanwhile = act;
    },
  };
}

const MINE = { id: 'a', text: 'mine' };
const FILE = { id: 'a', text: 'from the file' };

describe('a file is taken in', () => {
  test('where nothing stands it is taken, unasked', async () => {
    const { open, asked, text } = shelf();
    expect(await open(FILE)).toEqual({ good: true, text: 'taken' });
    expect([text('a'), asked]).toEqual(['from the file', []]);
  });

  test('the same again is said to be, and not asked about', async () => {
    const { open, asked } = shelf([MINE]);
    expect((await open({ ...MINE })).text).toBe('same');
    expect(asked).toEqual([]);
  });

  test('what differs stays as it is unless the user says otherwise', async () => {
    const { open, asked, text, docs } = shelf([MINE]);
    expect((await open(FILE)).text).toBe('import.leftAlone a');
    expect([text('a'), docs.size, asked]).toEqual(['mine', 1, ['a']]);
  });

  test('both stay: the one from the file under an id of its own', async () => {
    const { open, text } = shelf([MINE]);
    expect((await open(FILE, 'both')).text).toBe('taken');
    expect([text('a'), text('a-2')]).toEqual(['mine', 'from the file']);
  });

  test('a replacement is taken back', async () => {
    const { open, text } = shelf([MINE]);
    const line = await open(FILE, 'replace');
    expect([line.text, text('a')]).toEqual(['import.replaced a', 'from the file']);
    await line.undo!();
    expect(text('a')).toBe('mine');
  });

  test('what was changed after a replacement is not undone over', async () => {
    const { open, text, docs } = shelf([MINE]);
    const line = await open(FILE, 'replace');
    docs.set('a', { id: 'a', text: 'written since' });
    await line.undo!();
    expect(text('a')).toBe('written since');
  });

  test('a record that goes on replaces the one it goes on from, unasked, and one behind it does not', async () => {
    const later = shelf([MINE]);
    expect((await later.open(FILE, 'cancel', () => 'later')).text).toBe('taken');
    expect([later.text('a'), later.asked]).toEqual(['from the file', []]);
    const earlier = shelf([MINE]);
    expect((await earlier.open(FILE, 'replace', () => 'earlier')).text).toBe('earlier');
    expect(earlier.text('a')).toBe('mine');
  });

  test('another tab that is quicker is asked about, too', async () => {
    const { open, asked, text, docs, whileReplacing } = shelf([MINE]);
    whileReplacing(() => docs.set('a', { id: 'a', text: 'of the other tab' }));
    const line = await open(FILE, 'replace');
    expect(asked).toEqual(['a', 'a']);
    expect(text('a')).toBe('from the file');
    await line.undo!();
    expect(text('a')).toBe('of the other tab');
  });

  test('what a newer program wrote is left alone: the file goes beside it', async () => {
    const { open, asked, docs } = shelf([], ['a']);
    expect((await open(FILE, 'replace')).text).toBe('import.besideNewer a');
    expect([[...docs.keys()], asked]).toEqual([['a-2'], []]);
  });
});
