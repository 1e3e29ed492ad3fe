import { lazy, Suspense } from 'react';

const Markdown = lazy(async () => ({ default: (await import('./Markdown')).Markdown }));

/** Marks of headings, quotes, emphasis and code. */
const MARKS = /^ {0,3}(#{1,6}|>) +|\*+|`+|(?<!\w)_+(?=\w)|(?<=[\p{L}\p{N}.,!?)])_+(?!\w)/gmu;

/** Markdown whose parser is loaded when the first text is shown; the text without its marks stands in until then. */
export function LazyMarkdown({ text }: { text: string }) {
  if (text.trim() === '') return null;
  return (
    <Suspense fallback={<div style={{ whiteSpace: 'pre-wrap' }}>{text.replace(MARKS, '')}</div>}>
      <Markdown text={text} />
    </Suspense>
  );
}
