import { fromMarkdown } from 'mdast-util-from-markdown';
import type { JSONContent } from '@tiptap/react';
import { tooDeep } from '../../shared/markdownDepth';

/** Turns Markdown into the editor's nodes and back. */
export interface Translator {
  parse(markdown: string): JSONContent;
  serialize(node: JSONContent): string;
}

/** A top-level part of a text as it was written, and as the editor would write it. */
interface Part {
  readonly raw: string;
  /** What stands between it and the next part. */
  readonly after: string;
  readonly canonical: string;
}

/** The meaning of Markdown: what is written differently and means the same is equal. */
function meaningOf(markdown: string): string {
  return JSON.stringify(fromMarkdown(markdown), (key, value: unknown) =>
    key === 'position' || key === 'spread' ? undefined : value,
  );
}

const written = (translator: Translator, node: JSONContent): string =>
  translator.serialize({ type: 'doc', content: [node] });

const EMPTY: JSONContent = { type: 'paragraph' };

/**
 * What the editor's schema asks: an item of a list begins with a paragraph and a quote holds one, empty where nothing is
 * written in it yet; and no text stands bare in an item.
 */
function filled(node: JSONContent): JSONContent {
  const inner = node.content?.map(filled) ?? [];
  if (node.type === 'listItem') {
    const content = inner.map((c) => (c.type === 'text' ? { ...EMPTY, content: [c] } : c));
    return { ...node, content: content[0]?.type === 'paragraph' ? content : [EMPTY, ...content] };
  }
  if (node.type === 'blockquote' && inner.length === 0) return { ...node, content: [EMPTY] };
  return node.content ? { ...node, content: inner } : node;
}

/** A text as the editor holds it: without any, one empty paragraph. */
export function contentOf(markdown: string, translator: Translator): JSONContent {
  const { content = [], ...doc } = translator.parse(markdown);
  return { ...doc, content: content.length === 0 ? [EMPTY] : content.map(filled) };
}

const saysSomething = (node: JSONContent): boolean =>
  (node.text ?? '') !== '' || (node.content ?? []).some(saysSomething);

/** A list that nothing is written in yet. */
const isEmptyList = (node: JSONContent): boolean =>
  /List$/.test(node.type ?? '') && !saysSomething(node);

function partsOf(markdown: string, translator: Translator): Part[] {
  const nodes = fromMarkdown(markdown).children;
  return nodes.map((node, k) => {
    const [from, to] = [node.position!.start.offset!, node.position!.end.offset!];
    const raw = markdown.slice(from, to);
    const next = nodes[k + 1]?.position!.start.offset ?? markdown.length;
    const own = contentOf(raw, translator).content ?? [];
    const canonical = own.length === 1 ? written(translator, own[0]!) : '';
    return { raw, after: markdown.slice(to, next), canonical };
  });
}

/**
 * Whether the editor can hold a text without losing anything of it. Tables, pictures, HTML, lists of tasks and references
 * it can't: such a text is edited as it is written.
 */
export function canHold(markdown: string, translator: Translator): boolean {
  if (tooDeep(markdown)) return false;
  if (/^[ \t]*[-+*][ \t]+\[[ xX]\][ \t]/m.test(markdown) || /^[ \t]*\|.*\|[ \t]*$/m.test(markdown))
    return false;
  try {
    return partsOf(markdown, translator).every(
      ({ raw, canonical }) => canonical !== '' && meaningOf(raw) === meaningOf(canonical),
    );
  } catch {
    return false;
  }
}

/** Without the escapes that are not needed: `&amp;` where `&` means the same. */
function plain(markdown: string): string {
  const bare = markdown.replace(/&(amp|lt|gt);/g, (_all, name: 'amp' | 'lt' | 'gt') =>
    name === 'amp' ? '&' : name === 'lt' ? '<' : '>',
  );
  const unescaped = bare.replace(/\\([_*~`[\]#+.!-])/g, '$1');
  const meaning = meaningOf(markdown);
  return [unescaped, bare].find((text) => meaningOf(text) === meaning) ?? markdown;
}

/**
 * The text after an edit: every part that was not touched stays as it was written, to the letter.
 * @param before the text that the editor was filled with
 * @param now the editor's content
 */
export function afterEdit(before: string, now: JSONContent, translator: Translator): string {
  const parts = partsOf(before, translator);
  const nodes = (now.content ?? [])
    .filter((node) => !isEmptyList(node))
    .map((node) => written(translator, node))
    .filter((text) => text.trim() !== '');
  const matched = longestCommon(
    nodes,
    parts.map((p) => p.canonical),
  );
  const from = fromMarkdown(before).children[0]?.position!.start.offset ?? 0;
  let text = matched[0] === 0 ? before.slice(0, from) : '';
  nodes.forEach((node, k) => {
    const own = matched[k];
    const part = own === undefined ? undefined : parts[own]!;
    text += part ? part.raw : plain(node);
    const last = k === nodes.length - 1;
    const following = part && own !== undefined && matched[k + 1] === own + 1;
    const ends = part && last && own === parts.length - 1;
    text += following || ends ? part.after : last ? '' : '\n\n';
  });
  return text;
}

/** For each of `a` the place in `b` that it is taken from, in order; as many as can be. */
function longestCommon(a: readonly string[], b: readonly string[]): (number | undefined)[] {
  const length = Array.from({ length: a.length + 1 }, () => new Uint16Array(b.length + 1));
  for (let i = a.length - 1; i >= 0; i--)
    for (let j = b.length - 1; j >= 0; j--)
      length[i]![j] =
        a[i] === b[j]
          ? length[i + 1]![j + 1]! + 1
          : Math.max(length[i + 1]![j]!, length[i]![j + 1]!);
  const taken = new Array<number | undefined>(a.length).fill(undefined);
  for (let i = 0, j = 0; i < a.length && j < b.length;)
    if (a[i] === b[j]) taken[i++] = j++;
    else if (length[i + 1]![j]! >= length[i]![j + 1]!) i++;
    else j++;
  return taken;
}
