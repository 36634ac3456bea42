import type { JSONContent } from '@tiptap/core';
import type { ListBody } from '~~/core/blocks/list/form';
import { fromInline, toParagraph } from '~/editor/rich';
import { children, type BlockNode } from '../node';

export const list: BlockNode<ListBody> = {
  label: 'List',
  nodes: ['bulletList', 'orderedList'],
  to: ({ ordered, items }) => nested(items, ordered ? 'orderedList' : 'bulletList'),
  from: (node) => ({ ordered: node.type === 'orderedList', items: flat(node, 0) }),
  add: [{ label: 'List', body: () => ({ ordered: false, items: [{ depth: 0, text: [] }] }) }],
};

/** Items with depths as lists in lists. A jump of depth is taken one level at a time. */
function nested(items: ListBody['items'], type: string): JSONContent {
  const root: JSONContent = { type, content: [] };
  const open: JSONContent[] = [root];
  for (const { depth, text } of items) {
    while (open.length > depth + 1) open.pop();
    if (open.length < depth + 1 && open.at(-1)!.content!.length > 0) {
      const inner: JSONContent = { type, content: [] };
      open.at(-1)!.content!.at(-1)!.content!.push(inner);
      open.push(inner);
    }
    open.at(-1)!.content!.push({ type: 'listItem', content: [toParagraph(text)] });
  }
  return root;
}

function flat(list: JSONContent, depth: number): ListBody['items'] {
  return children(list).flatMap((item) => [
    { depth: Math.min(8, depth), text: fromInline(children(children(item)[0])) },
    ...children(item)
      .slice(1)
      .flatMap((inner) => flat(inner, depth + 1)),
  ]);
}
