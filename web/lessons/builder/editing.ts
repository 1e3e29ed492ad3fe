import { Markdown, MarkdownManager } from '@tiptap/markdown';
import StarterKit from '@tiptap/starter-kit';

/** What the editor can do: all that Markdown has a sign for, which underlining is not. */
export const EXTENSIONS = [StarterKit.configure({ underline: false }), Markdown];

export const translator = new MarkdownManager({ extensions: EXTENSIONS });
