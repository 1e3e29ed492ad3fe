import { Markdown, MarkdownManager } from '@tiptap/markdown';
import { Node } from '@tiptap/pm/model';
import { getSchema, type JSONContent } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { tooDeep } from '../../shared/markdownDepth';
import { afterEdit, canHold, contentOf, type Translator } from './markdownSource';

const translator: Translator = new MarkdownManager({ extensions: [StarterKit, Markdown] });

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
  const schema = getSchema([StarterKit, Markdown]);
  for (const text of ['', '1. ', '1. a\n2. ', '1. \n2. b', '- a\n- ', '1. a\n   - \n2. b']) {
    const doc = Node.fromJSON(schema, contentOf(text, translator));
    expect(() => doc.check()).not.toThrow();
  }
  expect(canHold('1. a\n2. ', translator)).toBe(true);
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
