import { lazy, Suspense } from 'react';

const Markdown = lazy(async () => ({ default: (await import('./Markdown')).Markdown }));

/** Without the marks of headings, quotes, emphasis and code. */
const bare = (text: string): string =>
  text
    .replace(/^ {0,3}(#{1,6}|>) +|\*+|`+/gm, '')
    .replace(/(^|\W)_+(?=\w)/g, '$1')
    .replace(/([^\s_])_+(?!\w)/g, '$1');

/** Markdown whose parser is loaded when the first text is shown; the text without its marks stands in until then. */
export function LazyMarkdown({ text }: { text: string }) {
  if (text.trim() === '') return null;
  return (
    <Suspense fallback={<div style={{ whiteSpace: 'pre-wrap' }}>{bare(text)}</div>}>
      <Markdown text={text} />
    </Suspense>
  );
}
