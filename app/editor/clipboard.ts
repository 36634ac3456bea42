import { Extension } from '@tiptap/core';
import { Fragment, Slice, type Node as PmNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';

/** What was copied on a page of ours, as this browser keeps it beside the clipboard. */
interface Copied {
  course: string;
  /** The words as the clipboard has them, by which they are known again. */
  text: string;
  slice: unknown;
}

const KEY = 'uplift/copied';
const MOST = 2_000_000;

function keep(view: EditorView, course: string): void {
  const slice = view.state.selection.content();
  if (slice.size === 0) return;
  const kept: Copied = { course, text: view.serializeForClipboard(slice).text, slice: slice.toJSON() };
  const data = JSON.stringify(kept);
  try {
    if (data.length <= MOST) localStorage.setItem(KEY, data);
    else localStorage.removeItem(KEY);
  } catch {
    // Without room beside it, the clipboard alone has it.
  }
}

const sameWords = (a: string, b: string) => a.replace(/\s+/g, ' ').trim() === b.replace(/\s+/g, ' ').trim();

/** Parts that show files, which another course does not have. */
const MEDIA_NODES = new Set(['picture', 'gallery', 'clip', 'files']);

/** The same content without what it stands on, which another course does not have; files of media are left behind. */
function elsewhere(content: Fragment): Fragment {
  const nodes: PmNode[] = [];
  content.forEach((node) => {
    if (MEDIA_NODES.has(node.type.name)) return;
    const { evidence } = node.attrs as { evidence?: unknown };
    const bare = evidence ? node.type.create({ ...node.attrs, evidence: null }, node.content, node.marks) : node;
    const marked = bare.mark(bare.marks.filter((mark) => mark.type.name !== 'evidence'));
    nodes.push(marked.isText ? marked : marked.copy(elsewhere(marked.content)));
  });
  return Fragment.from(nodes);
}

/** Parts to be had a second time: each gets an id of its own, and checks, which are asked once, stay where they are. */
function anew(content: Fragment): Fragment {
  const nodes: PmNode[] = [];
  content.forEach((node) => {
    if (node.type.name === 'checkPlace') return;
    const named = 'id' in node.attrs && !node.isText;
    nodes.push(named ? node.type.create({ ...node.attrs, id: null }, node.content, node.marks) : node);
  });
  return Fragment.from(nodes);
}

/**
 * Parts copied from page to page keep what they stand on: this browser keeps them beside the clipboard, which has only
 * their words, so that no page of somebody else's can bring evidence along. In another course they are words alone.
 */
export const copiedParts = (course: () => string) =>
  Extension.create({
    name: 'copiedParts',
    addProseMirrorPlugins: () => [
      new Plugin({
        props: {
          handleDOMEvents: {
            copy: (view) => (keep(view, course()), false),
            cut: (view) => (keep(view, course()), false),
          },
          handlePaste(view, event) {
            const text = event.clipboardData?.getData('text/plain') ?? '';
            const html = event.clipboardData?.getData('text/html') ?? '';
            if (!html.includes('data-pm-slice')) return false;
            try {
              const kept = JSON.parse(localStorage.getItem(KEY) ?? 'null') as Copied | null;
              if (!kept || !sameWords(kept.text, text)) return false;
              const { content, openStart, openEnd } = Slice.fromJSON(view.state.schema, kept.slice as never);
              const own = anew(kept.course === course() ? content : elsewhere(content));
              const whole = own.childCount === content.childCount;
              const slice = new Slice(own, whole ? openStart : 0, whole ? openEnd : 0);
              view.dispatch(view.state.tr.replaceSelection(slice).scrollIntoView().setMeta('paste', true));
              return true;
            } catch {
              // Kept by another edition of the page: the clipboard has the words.
              return false;
            }
          },
        },
      }),
    ],
  });
