import ReactMarkdown, { type Components } from 'react-markdown';
import { tooDeep } from './markdownDepth';
import './Markdown.css';

/**
 * An instructor's text. Raw HTML is shown as text and never run, pictures are blocks of their own, and
 * links leave by themselves without telling where they came from.
 */
const components: Components = {
  a: ({ href, children }) => (
    <a href={href} target="_blank" rel="noopener noreferrer">
      {children}
    </a>
  ),
  // A text sits below the step's own heading.
  h1: ({ children }) => <h3>{children}</h3>,
  h2: ({ children }) => <h3>{children}</h3>,
};

export function Markdown({ text }: { text: string }) {
  if (tooDeep(text)) return <div className="markdown markdown-plain">{text}</div>;
  return (
    <div className="markdown">
      <ReactMarkdown components={components} disallowedElements={['img']} unwrapDisallowed>
        {text}
      </ReactMarkdown>
    </div>
  );
}
