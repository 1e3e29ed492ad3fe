import {
  BoldOutlined,
  ItalicOutlined,
  OrderedListOutlined,
  UnorderedListOutlined,
} from '../../shared/icons';
import { EditorContent, useEditor, useEditorState } from '@tiptap/react';
import { Button, Input } from 'antd';
import { useEffect, useRef, useState } from 'react';
import { useTranslation } from 'react-i18next';
import { MOST_TEXT } from '../../../core/formats';
import { EXTENSIONS, translator } from './editing';
import { afterEdit, canHold, contentOf } from './markdownSource';
import './RichText.css';

interface Props {
  label: string;
  markdown: string;
  onMarkdown: (markdown: string) => void;
}

/** Text with bold, lists and headings, kept as Markdown; what the editor can't hold is edited as it is written. */
export function RichText(props: Props) {
  const { markdown, onMarkdown } = props;
  // What is typed here does not change the way it is edited under the hand that types.
  const [shown, setShown] = useState(() => ({ markdown, held: canHold(markdown, translator) }));
  if (shown.markdown !== markdown) setShown({ markdown, held: canHold(markdown, translator) });
  const change = (text: string) => {
    setShown({ markdown: text, held: shown.held });
    onMarkdown(text);
  };
  return shown.held ? (
    <Rich {...props} onMarkdown={change} />
  ) : (
    <Source {...props} onMarkdown={change} />
  );
}

function Source({ label, markdown, onMarkdown }: Props) {
  const { t } = useTranslation();
  return (
    <div className="rich-text">
      <p className="quiet rich-text-note">{t('richText.asSource')}</p>
      <Input.TextArea
        className="rich-text-source"
        aria-label={label}
        autoSize={{ minRows: 3, maxRows: 16 }}
        maxLength={MOST_TEXT}
        value={markdown}
        onChange={(e) => onMarkdown(e.target.value)}
      />
    </div>
  );
}

function Rich({ label, markdown, onMarkdown }: Props) {
  const { t } = useTranslation();
  const written = useRef(markdown);
  const report = useRef(onMarkdown);
  useEffect(() => {
    report.current = onMarkdown;
  });
  const editor = useEditor({
    extensions: EXTENSIONS,
    content: contentOf(markdown, translator),
    // RichText.css says it.
    injectCSS: false,
    editorProps: { attributes: { 'aria-label': label, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: e }) => {
      written.current = afterEdit(written.current, e.getJSON(), translator);
      report.current(written.current);
    },
  });
  // Undo and redo of the lesson come from outside.
  useEffect(() => {
    if (markdown === written.current) return;
    written.current = markdown;
    editor.commands.setContent(contentOf(markdown, translator), { emitUpdate: false });
  }, [editor, markdown]);
  const active = useEditorState({
    editor,
    selector: ({ editor: e }) => ({
      bold: e.isActive('bold'),
      italic: e.isActive('italic'),
      heading: e.isActive('heading'),
      bulletList: e.isActive('bulletList'),
      orderedList: e.isActive('orderedList'),
    }),
  });
  const tools = [
    { key: 'bold', icon: <BoldOutlined />, run: () => editor.chain().focus().toggleBold().run() },
    {
      key: 'italic',
      icon: <ItalicOutlined />,
      run: () => editor.chain().focus().toggleItalic().run(),
    },
    {
      key: 'heading',
      icon: 'H',
      run: () => editor.chain().focus().toggleHeading({ level: 3 }).run(),
    },
    {
      key: 'bulletList',
      icon: <UnorderedListOutlined />,
      run: () => editor.chain().focus().toggleBulletList().run(),
    },
    {
      key: 'orderedList',
      icon: <OrderedListOutlined />,
      run: () => editor.chain().focus().toggleOrderedList().run(),
    },
  ] as const;
  return (
    <div className="rich-text">
      <div className="rich-text-tools" role="toolbar" aria-label={t('richText.tools')}>
        {tools.map(({ key, icon, run }) => (
          <Button
            key={key}
            size="small"
            type={active[key] ? 'primary' : 'text'}
            aria-pressed={active[key]}
            aria-label={t(`richText.${key}`)}
            onClick={run}
          >
            {icon}
          </Button>
        ))}
      </div>
      <EditorContent editor={editor} className="markdown" />
    </div>
  );
}
