import { mergeAttributes, Node, type Editor, type Extensions, type JSONContent } from '@tiptap/core';
import type { Node as PmNode, ResolvedPos } from '@tiptap/pm/model';
import { TextSelection } from '@tiptap/pm/state';
import { VueNodeViewRenderer } from '@tiptap/vue-3';
import type { Component } from 'vue';
import type { RichText } from '~~/core/document/rich-text';
import { fromInline, toInline, toParagraph } from '~/editor/rich';
import { box } from './box';
import { children, paragraphsOf } from './node';

/** What stands under a title: terms, cards, panels, sides and figures are made of such parts. */
export interface Titled {
  title: RichText;
  texts: RichText[];
}

export interface TitledNames {
  /** The block's node, its parts, and the title of a part. */
  block: string;
  part: string;
  title: string;
  /** Classes and marks of what they are shown by. */
  blockClass: string;
  titleTag: string;
  titleClass: string;
  /** What stands in an empty title. */
  hint: string;
  /** A part holds one text only. */
  single?: true;
  /** So many parts and no others. */
  parts?: number;
  /** A title is letters alone. */
  plainTitle?: true;
  attributes?: Record<string, { default: unknown; mark: string }>;
  /** What shows the block, where there is more to it than its parts. */
  view?: Component;
}

/** Parts under titles as a node of the editor. */
export function toTitled(names: TitledNames, parts: readonly Titled[], attrs?: JSONContent['attrs']): JSONContent {
  return {
    type: names.block,
    ...(attrs && { attrs }),
    content: parts.map(({ title, texts }) => ({
      type: names.part,
      content: [{ type: names.title, content: toInline(title) }, ...(texts.length > 0 ? texts : [[]]).map(toParagraph)],
    })),
  };
}

/** The parts of a node, with their titles. */
export const fromTitled = (node: JSONContent): Titled[] =>
  children(node).map((part) => {
    const [title, ...texts] = children(part);
    return { title: fromInline(children(title)), texts: paragraphsOf({ content: texts }) };
  });

/** The nodes of the editor's schema for parts under titles, with the keys that make and leave them. */
export function titledNodes(names: TitledNames): Extensions {
  const { block, part, title, single, parts, plainTitle, attributes = {}, view } = names;
  const content = parts ? Array.from({ length: parts }, () => part).join(' ') : `${part}+`;
  const outer = box(block, content, 'section', { class: names.blockClass }).extend({
    addAttributes: () =>
      Object.fromEntries(
        Object.entries(attributes).map(([name, { default: value, mark }]) => [
          name,
          {
            default: value,
            parseHTML: (element: HTMLElement) => element.getAttribute(mark) ?? value,
            renderHTML: (own: Record<string, unknown>) => ({ [mark]: own[name] as string }),
          },
        ]),
      ),
    ...(view && { addNodeView: () => VueNodeViewRenderer(view) }),
    addKeyboardShortcuts() {
      return {
        Enter: () => enter(this.editor, names),
        Backspace: () => backspace(this.editor, names),
      };
    },
  });
  const simple = (name: string, inside: string, tag: string, mark: string, own: Record<string, string> = {}) =>
    Node.create({
      name,
      content: inside,
      defining: true,
      ...(name === title && plainTitle && { marks: '' }),
      parseHTML: () => [{ tag: `${tag}[${mark}]`, priority: 70 }],
      renderHTML: ({ HTMLAttributes }) => [tag, mergeAttributes(HTMLAttributes, { [mark]: '' }, own), 0],
    });
  return [
    outer,
    simple(part, `${title} paragraph${single ? '' : '+'}`, 'div', `data-${part.toLowerCase()}`),
    simple(title, 'text*', names.titleTag, `data-${title.toLowerCase()}`, {
      class: `${names.titleClass} titled`,
      'data-hint': names.hint,
    }),
  ];
}

/** The part that a place is in, and where it begins. */
function partAt($at: ResolvedPos, { part }: TitledNames): { node: PmNode; at: number; depth: number } | undefined {
  for (let depth = $at.depth; depth > 0; depth--)
    if ($at.node(depth).type.name === part) return { node: $at.node(depth), at: $at.before(depth), depth };
  return undefined;
}

/**
 * Enter goes from a title to what stands under it, and from an empty last line to the next part; from a part with
 * nothing in it, out of the block.
 */
function enter(editor: Editor, names: TitledNames): boolean {
  const { state, view } = editor;
  const { $from, empty } = state.selection;
  const found = empty ? partAt($from, names) : undefined;
  if (!found) return false;
  const { node, at, depth } = found;
  const { tr } = state;
  const go = (place: number) => {
    view.dispatch(tr.setSelection(TextSelection.near(tr.doc.resolve(place))).scrollIntoView());
    return true;
  };
  const outer = $from.node(depth - 1);
  const index = $from.index(depth - 1);
  const isLast = index === outer.childCount - 1;
  const leave = () => {
    const behind = $from.after(depth - 1);
    const place = tr.mapping.map(behind);
    tr.insert(place, state.schema.nodes.paragraph!.create());
    return go(place + 1);
  };
  // A part with nothing in it is left behind; the block's only one stays.
  if (node.textContent === '' && isLast && !names.parts && outer.childCount > 1) {
    tr.delete(at, at + node.nodeSize);
    return leave();
  }
  if ($from.parent.type.name === names.title) return go(at + 1 + node.child(0).nodeSize + 1);
  const lastLine = $from.parent === node.lastChild && $from.parentOffset === $from.parent.content.size;
  const blank = $from.parent.content.size === 0;
  if (!lastLine || (!names.single && !blank)) return false;
  if (blank && node.childCount > 2) tr.delete($from.before(), $from.after());
  const behind = tr.mapping.map(at + node.nodeSize);
  if (!isLast) return go(behind + 2);
  if (names.parts) return leave();
  const fresh = state.schema.nodes[names.part]!.createAndFill()!;
  tr.insert(behind, fresh);
  return go(behind + 2);
}

/** Backspace in a part with nothing in it takes it away. */
function backspace(editor: Editor, names: TitledNames): boolean {
  const { state, view } = editor;
  const { $from, empty } = state.selection;
  const found = empty ? partAt($from, names) : undefined;
  if (!found || names.parts || found.node.textContent !== '' || $from.parent.type.name !== names.title) return false;
  const { node, at, depth } = found;
  const { tr } = state;
  const alone = $from.node(depth - 1).childCount === 1;
  if (alone) {
    const from = $from.before(depth - 1);
    tr.replaceWith(from, $from.after(depth - 1), state.schema.nodes.paragraph!.create());
    tr.setSelection(TextSelection.near(tr.doc.resolve(from + 1)));
  } else {
    tr.delete(at, at + node.nodeSize);
    tr.setSelection(TextSelection.near(tr.doc.resolve(at), -1));
  }
  view.dispatch(tr.scrollIntoView());
  return true;
}
