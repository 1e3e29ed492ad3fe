import { Node } from '@tiptap/pm/model';
import { getSchema, type JSONContent } from '@tiptap/react';
import { randomFromSeed } from '../../../core/numerics';
import { tooDeep } from '../../shared/markdownDepth';
import { EXTENSIONS, translator } from './editing';
import { afterEdit, canHold, contentOf } from './markdownSource';

/** What instructors write, and how others write Markdown: forty samples that the editor holds. */
const HELD = [
  'plain text',
  'pressure & flow',
  'R < 1 and S > 2',
  '**bold** and *slanted*',
  '_slanted_ and __bold__',
  '- a\n- b',
  '* a\n* b',
  '+ a\n+ b',
  '1. a\n2. b',
  '### Head\n\ntext',
  '# Head',
  'one line\nthe next',
  'one line  \nthe next',
  'a\n\n\nb',
  '`code` here',
  '```\ncode\n```',
  '> quote',
  '> > nested',
  '[link](https://example.org)',
  '---',
  '***',
  '\\*not bold\\*',
  'a * b * c',
  'snake_case_word',
  '2 * 3 = 6',
  'text\n',
  '\n\ntext',
  '  lead',
  'é ü – “q”',
  '- a\n  - b\n- c',
  '***both***',
  '1. a\n\n2. b',
  "It's 5'10\" & <5 mm",
  'T&S at 3 < 4',
  'x^2 and $y$',
  'a\\',
  '# One\n\n* a\n* b\n\n_last_\n',
  'i = 1 + R/S',
  '~~gone~~',
  'Torque: 100 N·m',
];

test.each(HELD)('opened and left alone it is as it was: %j', (text) => {
  expect(HELD).toHaveLength(40);
  expect(canHold(text, translator)).toBe(true);
  expect(afterEdit(text, translator.parse(text), translator)).toBe(text);
});

const paragraph = (text: string): JSONContent => ({
  type: 'paragraph',
  content: [{ type: 'text', text }],
});

test.each(HELD)('what is typed after it is added, and nothing else: %j', (text) => {
  const now = translator.parse(text);
  const typed = { ...now, content: [...(now.content ?? []), paragraph('C1 & B1 < 5')] };
  const after = afterEdit(text, typed, translator);
  expect(after.startsWith(text.trimEnd())).toBe(true);
  expect(after.slice(text.trimEnd().length).trim()).toBe('C1 & B1 < 5');
});

/** A list as it stands after each key: two items typed, with a new line between them. */
function typedList(type: string): JSONContent[] {
  const list = (...items: string[]): JSONContent => ({
    type: 'doc',
    content: [
      {
        type,
        content: items.map((text) => ({
          type: 'listItem',
          content: [text === '' ? { type: 'paragraph' } : paragraph(text)],
        })),
      },
    ],
  });
  return [list(''), list('o'), list('oi'), list('oi', ''), list('oi', 'p'), list('oi', 'pa')];
}

test.each([
  ['orderedList', '1. oi\n2. pa'],
  ['bulletList', '- oi\n- pa'],
])('a list is typed key by key, an item that is empty yet included: %s', (type, whole) => {
  let text = '';
  const after = typedList(type).map((now) => (text = afterEdit(text, now, translator)));
  expect(after[0]).toBe('');
  expect(after.at(-1)).toBe(whole);
});

test('whatever was left off in the middle of a list opens as what the editor may hold', () => {
  const schema = getSchema(EXTENSIONS);
  for (const text of [
    '',
    '1. ',
    '1. a\n2. ',
    '1. \n2. b',
    '- a\n- ',
    '1. a\n   - \n2. b',
    '---\n\n>',
    '- 1. y\n\n  q',
    '1. \n   > q',
  ]) {
    const doc = Node.fromJSON(schema, contentOf(text, translator));
    expect(() => doc.check()).not.toThrow();
  }
  expect(canHold('1. a\n2. ', translator)).toBe(true);
});

/** Documents of the editor's own kinds of blocks, some of them empty, drawn from a seed. */
function drawnDocs(seed: string, count: number): JSONContent[] {
  const random = randomFromSeed(seed);
  const pick = <T>(of: readonly T[]): T => of[random.whole(0, of.length - 1)]!;
  const words = (): JSONContent[] =>
    Array.from({ length: random.whole(0, 2) }, () => ({
      type: 'text',
      text: pick(['a', 'one two', '1. y', '- z', '# h', '> q', '3 * 4', 'R/S']),
      ...(random.whole(0, 3) === 0
        ? { marks: [{ type: pick(['bold', 'italic', 'strike']) }] }
        : {}),
    }));
  const lines = (type: string, attrs = {}): JSONContent => ({ type, attrs, content: words() });
  const block = (depth: number): JSONContent => {
    const kinds = [
      'paragraph',
      'heading',
      'horizontalRule',
      'blockquote',
      'bulletList',
      'orderedList',
    ];
    const type = pick(depth > 2 ? kinds.slice(0, 3) : kinds);
    if (type === 'heading') return lines(type, { level: 3 });
    if (type === 'paragraph') return lines(type);
    if (type === 'horizontalRule') return { type };
    if (type === 'blockquote') return { type, content: [block(depth + 1)] };
    const item = () => ({
      type: 'listItem',
      content: [lines('paragraph'), ...(random.whole(0, 2) === 0 ? [block(depth + 1)] : [])],
    });
    return { type, content: Array.from({ length: random.whole(1, 3) }, item) };
  };
  return Array.from({ length: count }, () => ({
    type: 'doc',
    content: Array.from({ length: random.whole(1, 3) }, () => block(0)),
  }));
}

test('whatever stands in the editor is written, opened again, and written over by the next', () => {
  const schema = getSchema(EXTENSIONS);
  let text = '';
  for (const doc of drawnDocs('blocks', 60)) {
    text = afterEdit(text, doc, translator);
    Node.fromJSON(schema, contentOf(text, translator)).check();
    expect(typeof canHold(text, translator)).toBe('boolean');
  }
});

test('one paragraph changed: the others keep their marks', () => {
  const before = '* a\n* b\n\n_slanted_ & plain\n\n\n__last__\n';
  const now = translator.parse(before);
  now.content![1] = paragraph('changed');
  expect(afterEdit(before, now, translator)).toBe('* a\n* b\n\nchanged\n\n__last__\n');
});

test.each([
  '| a | b |\n| --- | --- |\n| 1 | 2 |',
  '![a pump](media/pump.png)',
  '<b>bold</b>',
  '<u>underlined</u>',
  'before <br> after',
  '- [ ] to do\n- [x] done',
  '[ref]\n\n[ref]: https://example.org',
  'line\n\n<!-- note -->\n\nline',
  `${'>'.repeat(2000)} deep`,
])('what the editor can’t hold is edited as it is written: %j', (text) => {
  expect(canHold(text, translator)).toBe(false);
});

test('quotes and lists inside each other have a limit', () => {
  expect(tooDeep(`${'> '.repeat(20)}x`)).toBe(false);
  for (const deep of ['>', '- ', '1. ', '> - '])
    expect(tooDeep(`${deep.repeat(20_000)}x`)).toBe(true);
  expect(tooDeep('a > b > c\n'.repeat(2000))).toBe(false);
  expect(tooDeep(`${' '.repeat(300)}- x`)).toBe(true);
});
