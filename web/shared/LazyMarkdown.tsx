import { lazy, Suspense } from 'react';

const Markdown = lazy(async () => ({ default: (await import('./Markdown')).Markdown }));

/** Markdown whose parser is loaded when the first text is shown; the plain text stands in until then. */
export function LazyMarkdown({ text }: { text: string }) {
  if (text.trim() === '') return null;
  return (
    <Suspense fallback={<div style={{ whiteSpace: 'pre-wrap' }}>{text}</div>}>
      <Markdown text={text} />
    </Suspense>
  );
}
