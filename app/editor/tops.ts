import type { Node as PmNode } from '@tiptap/pm/model';
import type { EditorState } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/** A top node of the page, which is a part: where it begins, and which one it is. */
export interface Top {
  node: PmNode;
  at: number;
  index: number;
}

/** The part that the cursor is in; null behind the last. */
export function topAtCursor({ doc, selection }: EditorState): Top | null {
  const index = selection.$from.index(0);
  if (index >= doc.childCount) return null;
  let at = 0;
  for (let each = 0; each < index; each++) at += doc.child(each).nodeSize;
  return { node: doc.child(index), at, index };
}

/** The part of an id; null where it went. */
export function topOf(doc: PmNode, id: string | undefined): Top | null {
  let found: Top | null = null;
  doc.forEach((node, at, index) => {
    if (node.attrs.id === id) found = { node, at, index };
  });
  return found;
}

/** Puts nodes behind a part, in the place of one without words, or at the end; gives where they begin. */
export function putBehind({ state, dispatch }: EditorView, top: Top | null, nodes: readonly PmNode[]): number {
  const at = top ? top.at + top.node.nodeSize : state.doc.content.size;
  const isEmpty = top !== null && top.node.type.name === 'paragraph' && top.node.content.size === 0;
  const from = isEmpty ? top.at : at;
  dispatch(state.tr.replaceWith(from, at, [...nodes]));
  return from;
}
