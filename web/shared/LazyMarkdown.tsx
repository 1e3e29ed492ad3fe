import { lazyPart } from './lazyPart';

/** Without the marks of headings, quotes, emphasis and code. */
const bare = (text: string): string =>
  text
    .replace(/^ {0,3}(#{1,6}|>) +|\*+|`+/gm, '')
    .replace(/(^|\W)_+(?=\w)/g, '$1')
    .replace(/([^\s_])_+(?!\w)/g, '$1');

interface Props {
  text: string;
}

/** Markdown whose parser is loaded when the first text is shown; the text without its marks stands in until then. */
const Markdown = lazyPart<Props>(async () => (await import('./Markdown')).Markdown, {
  meanwhile: ({ text }) => <div style={{ whiteSpace: 'pre-wrap' }}>{bare(text)}</div>,
  quiet: true,
});

export function LazyMarkdown({ text }: Props) {
  return text.trim() === '' ? null : <Markdown text={text} />;
}
