import type { Node as PmNode } from '@tiptap/pm/model';
import type { Editor } from '@tiptap/core';

/** Something that is done to words or to the table at the cursor. */
export interface Tool {
  label: string;
  /** What its button shows, where that is not its label. */
  sign?: string;
  look?: string;
  key?: string;
  run(editor: Editor): boolean;
  on?(editor: Editor): boolean;
}

const mark = (name: 'bold' | 'italic' | 'code', label: string, sign: string, look: string, key: string): Tool => ({
  label,
  sign,
  look,
  key,
  run: (editor) => editor.chain().focus().toggleMark(name).run(),
  on: (editor) => editor.isActive(name),
});

export const MARK_TOOLS: Tool[] = [
  mark('bold', 'Bold', 'B', 'strong', 'Ctrl B'),
  mark('italic', 'Italic', 'I', 'slant', 'Ctrl I'),
  mark('code', 'Code', '{ }', 'code', 'Ctrl E'),
];

/** What the table at the cursor can get and lose. */
export const TABLE_TOOLS: Tool[] = [
  { label: 'Row below', sign: '+ row', run: (editor) => editor.chain().focus().addRowAfter().run() },
  { label: 'Column right', sign: '+ column', run: (editor) => editor.chain().focus().addColumnAfter().run() },
  { label: 'Delete row', sign: '− row', run: (editor) => editor.chain().focus().deleteRow().run() },
  { label: 'Delete column', sign: '− column', run: (editor) => editor.chain().focus().deleteColumn().run() },
];

/** The address of the link at the cursor. */
export const linkAt = (editor: Editor): string => (editor.getAttributes('link').href as string | undefined) ?? '';

/** What was typed as an address, made one that a page can have; undefined when it cannot be. */
export function asAddress(typed: string): string | undefined {
  const words = typed.trim();
  if (words === '') return undefined;
  if (/^[^\s@/]+@[^\s@/]+\.[^\s@/]+$/.test(words)) return `mailto:${words}`;
  const address = /^(?:https?:\/\/|mailto:)/i.test(words) ? words : `https://${words}`;
  return /^(?:https?:\/\/[^\s/.]+(?:\.[^\s/.]+|:\d+)\S*|https?:\/\/localhost\S*|mailto:\S+@\S+)$/i.test(address)
    ? address
    : undefined;
}

/** Makes the selected words, or the link at the cursor, lead to an address; to none where it is empty. */
export function setLink(editor: Editor, href: string): void {
  const chain = editor.chain().focus().extendMarkRange('link');
  if (href === '') chain.unsetLink().run();
  else if (editor.state.selection.empty && !editor.isActive('link'))
    editor
      .chain()
      .focus()
      .insertContent({ type: 'text', text: href.replace(/^mailto:/, ''), marks: [{ type: 'link', attrs: { href } }] })
      .run();
  else chain.setLink({ href }).run();
}

/** Where the first words of the top node at a place stand. */
export function firstWords(doc: PmNode, at: number): { from: number; to: number } {
  let found = { from: at + 1, to: at + 1 };
  doc.nodeAt(at)?.descendants((node, inside) => {
    if (node.isText) found = { from: at + 1 + inside, to: at + 1 + inside + node.nodeSize };
    return found.from === found.to;
  });
  return found;
}
