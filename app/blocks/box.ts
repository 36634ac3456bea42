import { mergeAttributes, Node } from '@tiptap/core';

/** A top node that holds other nodes; `label` is a line over them that cannot be typed in. */
export function box(
  name: string,
  content: string,
  tag: string,
  attributes: Record<string, unknown> = {},
  label?: string,
): Node {
  return Node.create({
    name,
    group: 'block',
    content,
    defining: true,
    // Before what stands for the tag alone: steps are no list.
    parseHTML: () => [{ tag: `${tag}[data-${name}]`, priority: 60, contentElement: wordsWithin }],
    renderHTML: ({ HTMLAttributes }) => {
      const own = mergeAttributes(HTMLAttributes, { [`data-${name}`]: '' }, attributes);
      return label ? [tag, own, labelOver(label), ['div', 0]] : [tag, own, 0];
    },
  });
}

/** Where the words stand in what was copied from a page: not the line over them. */
export const wordsWithin = (element: unknown): HTMLElement =>
  (element as HTMLElement).querySelector<HTMLElement>(':scope > .up-label + div') ?? (element as HTMLElement);

/** What stands over a block's words and is said by us, as the page is shown in the editor. */
export const labelOver = (words: string): [string, Record<string, string>, string] => [
  'p',
  { class: 'up-label', contenteditable: 'false' },
  words,
];
