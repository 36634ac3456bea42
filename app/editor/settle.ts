import { TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/**
 * Brings an editor's selection up to where the browser has put the cursor. The editor hears of a click a moment after
 * it; a key that is pressed in this moment means the place that was clicked, not the one before it.
 */
export function settleSelection(view: EditorView): void {
  const now = document.getSelection();
  const { anchorNode, focusNode } = now ?? {};
  if (!anchorNode || !focusNode || view.composing || !view.hasFocus()) return;
  if (!view.dom.contains(anchorNode) || !view.dom.contains(focusNode)) return;
  const { selection, doc, tr } = view.state;
  // Whole nodes are selected in ways of their own.
  if (!(selection instanceof TextSelection)) return;
  const [anchor, head] = [view.posAtDOM(anchorNode, now!.anchorOffset), view.posAtDOM(focusNode, now!.focusOffset)];
  if (anchor === selection.anchor && head === selection.head) return;
  view.dispatch(tr.setSelection(TextSelection.between(doc.resolve(anchor), doc.resolve(head))));
}
