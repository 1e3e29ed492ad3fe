import {
  BoldOutlined,
  ItalicOutlined,
  OrderedListOutlined,
  UnorderedListOutlined,
} from '../../shared/icons';
import { Markdown } from '@tiptap/markdown';
import { EditorContent, useEditor, useEditorState } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { Button } from 'antd';
import { useEffect, useRef } from 'react';
import { useTranslation } from 'react-i18next';
import './RichText.css';

interface Props {
  label: string;
  markdown: string;
  onMarkdown: (markdown: string) => void;
}

/** Text with bold, lists and headings, kept as Markdown. */
export function RichText({ label, markdown, onMarkdown }: Props) {
  const { t } = useTranslation();
  const written = useRef(markdown);
  const report = useRef(onMarkdown);
  useEffect(() => {
    report.current = onMarkdown;
  });
  const editor = useEditor({
    extensions: [StarterKit, Markdown],
    content: markdown,
    contentType: 'markdown',
    editorProps: { attributes: { 'aria-label': label, role: 'textbox', 'aria-multiline': 'true' } },
    onUpdate: ({ editor: e }) => {
      written.current = e.getMarkdown();
      report.current(written.current);
    },
  });
  // Undo and redo of the lesson come from outside.
  useEffect(() => {
    if (markdown === written.current) return;
    written.current = markdown;
    editor.commands.setContent(markdown, { contentType: 'markdown', emitUpdate: false });
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
