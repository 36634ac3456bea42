import type { Node as PmNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { sentenceHash, type EvidenceMark, type PassageRange } from '~~/core/document/rich-text';
import { EVIDENCE_NODES } from '~/blocks';

type Attrs = EvidenceMark['attrs'];

const markOf = (node: PmNode): Attrs | undefined =>
  node.marks.find((mark) => mark.type.name === 'evidence')?.attrs as Attrs | undefined;

/** Without what is not said of it: the editor keeps every attribute, if only as nothing. */
const plainAttrs = ({ id, passages, was, also, hand }: Attrs): Attrs => ({
  id,
  passages,
  was,
  ...(also?.length && { also }),
  ...(hand && { hand }),
});

/** The sentence of a text that a place in it lies in. */
export function sentenceAt(text: string, offset: number, language: string): { from: number; to: number } {
  const segments = new Intl.Segmenter(language === 'und' ? 'en' : language, { granularity: 'sentence' });
  for (const { segment, index } of segments.segment(text)) {
    const to = index + segment.trimEnd().length;
    if (offset < index + segment.length || index + segment.length === text.length) return { from: index, to };
  }
  return { from: 0, to: text.length };
}

/** What is selected; with nothing selected, the sentence that the cursor is in. */
function wanted({ selection, doc }: EditorState, language: string): { from: number; to: number } {
  const { from, to, $from, empty } = selection;
  if (!empty || !$from.parent.isTextblock) return { from, to };
  const mark = $from.nodeBefore && markOf($from.nodeBefore) ? markOf($from.nodeBefore) : undefined;
  const start = $from.start();
  // A sentence that stands on something is as long as that says.
  if (mark) {
    let own: { from: number; to: number } | undefined;
    doc.nodesBetween(start, $from.end(), (node, at) => {
      if (!node.isText || markOf(node)?.id !== mark.id) return;
      own = { from: own?.from ?? at, to: at + node.nodeSize };
    });
    if (own) return own;
  }
  const sentence = sentenceAt($from.parent.textContent, $from.parentOffset, language);
  return { from: start + sentence.from, to: start + sentence.to };
}

/**
 * Puts a passage behind what is selected, or behind the sentence at the cursor. What stands on something already is
 * said there, too; the author's own words come to stand on it by hand; a part that stands as a whole gets it so.
 * Undefined where there is nothing to put it behind. `fresh` gives ids.
 */
export function attach(
  state: EditorState,
  range: PassageRange,
  language: string,
  fresh: () => string,
): Transaction | undefined {
  const { tr, doc, schema } = state;
  const $top = state.selection.$from;
  const index = $top.index(0);
  const top = doc.maybeChild(index);
  if (top && EVIDENCE_NODES.includes(top.type.name)) {
    const own = (top.attrs.evidence as PassageRange[] | null) ?? [];
    return tr.setNodeAttribute($top.posAtIndex(index, 0), 'evidence', [...without(own, range.id), range]);
  }
  const { from, to } = wanted(state, language);
  const names = new Map<PmNode, string>();
  doc.nodesBetween(from, to, (node, at, parent) => {
    if (!node.isText || !parent) return;
    const start = Math.max(at, from);
    const end = Math.min(at + node.nodeSize, to);
    const had = markOf(node);
    const words = node.text!.slice(start - at, end - at);
    if (!words.trim()) return;
    if (had) {
      if (had.passages.some(({ id }) => id === range.id)) return;
      const attrs = { ...plainAttrs(had), also: [...without(had.also ?? [], range.id), range] };
      tr.addMark(at, at + node.nodeSize, schema.mark('evidence', attrs));
      return;
    }
    const id = names.get(parent) ?? fresh();
    names.set(parent, id);
    tr.removeMark(start, end, schema.marks.connecting);
    tr.addMark(start, end, schema.mark('evidence', { id, passages: [range], was: '', hand: true }));
  });
  if (!tr.docChanged) return undefined;
  return settled(tr, new Set(names.values()));
}

/** Takes a passage away from behind a sentence, or, for the id `block`, from behind the part at the cursor. */
export function detach(state: EditorState, markId: string, passage: string): Transaction | undefined {
  const { tr, doc, schema } = state;
  if (markId === 'block') {
    const $top = state.selection.$from;
    const index = $top.index(0);
    const own = doc.maybeChild(index)?.attrs.evidence as PassageRange[] | null | undefined;
    if (!own) return undefined;
    const rest = without(own, passage);
    return tr.setNodeAttribute($top.posAtIndex(index, 0), 'evidence', rest.length > 0 ? rest : null);
  }
  doc.descendants((node, at) => {
    const had = node.isText ? markOf(node) : undefined;
    if (had?.id !== markId) return;
    const [from, to] = [at, at + node.nodeSize];
    const passages = without(had.passages, passage);
    const also = without(had.also ?? [], passage);
    tr.removeMark(from, to, schema.marks.evidence);
    if (passages.length + also.length === 0) return;
    // Where nothing is left that the words come from, they stand on the rest by hand.
    const attrs: Attrs =
      passages.length > 0
        ? { ...plainAttrs({ ...had, passages, also }), ...(passages.length < had.passages.length && { hand: true }) }
        : { id: had.id, passages: also, was: had.was, hand: true };
    tr.addMark(from, to, schema.mark('evidence', attrs));
  });
  return tr.docChanged ? settled(tr, new Set([markId])) : undefined;
}

const without = (ranges: readonly PassageRange[], id: string): PassageRange[] =>
  ranges.filter((each) => each.id !== id);

/** The same change, with the words as they stand noted as those that stand on it by hand. */
function settled(tr: Transaction, ids: ReadonlySet<string>): Transaction {
  const words = new Map<string, string>();
  tr.doc.descendants((node) => {
    const had = node.isText ? markOf(node) : undefined;
    if (had?.hand && ids.has(had.id)) words.set(had.id, (words.get(had.id) ?? '') + node.text!);
  });
  const { schema } = tr.doc.type;
  tr.doc.descendants((node, at) => {
    const had = node.isText ? markOf(node) : undefined;
    const own = had && words.get(had.id);
    if (own === undefined) return;
    tr.addMark(at, at + node.nodeSize, schema.mark('evidence', { ...plainAttrs(had!), was: sentenceHash(own) }));
  });
  return tr;
}
