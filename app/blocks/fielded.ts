import { Node, type Extensions } from '@tiptap/core';
import { VueNodeViewRenderer } from '@tiptap/vue-3';
import type { Component } from 'vue';
import { BLOCKS, type BlockBodies, type BlockKind } from '~~/core/blocks/forms';
import type { Problem } from '~~/core/document/problem';
import type { BlockNode } from './node';

/**
 * What the editor's schema needs for a kind whose body is edited in fields of its own, not as running text: the whole
 * body is one attribute. From the clipboard, what is none by its form is an empty one.
 */
export function fieldedNode<Kind extends BlockKind>(
  kind: Kind,
  empty: BlockBodies[Kind],
  view: Component,
): Pick<BlockNode<BlockBodies[Kind]>, 'nodes' | 'to' | 'from' | 'extensions'> {
  const parsed = (element: HTMLElement): BlockBodies[Kind] => {
    try {
      const body: unknown = JSON.parse(element.getAttribute(`data-${kind}`) ?? '');
      const problems: Problem[] = [];
      BLOCKS[kind].body.check(body, '', problems);
      return problems.length === 0 ? (body as BlockBodies[Kind]) : empty;
    } catch {
      return empty;
    }
  };
  const extensions = (): Extensions => [
    Node.create({
      name: kind,
      group: 'block',
      atom: true,
      draggable: true,
      isolating: true,
      addAttributes: () => ({
        body: {
          default: empty,
          parseHTML: parsed,
          renderHTML: ({ body }) => ({ [`data-${kind}`]: JSON.stringify(body) }),
        },
      }),
      parseHTML: () => [{ tag: `section[data-${kind}]` }],
      renderHTML: ({ HTMLAttributes }) => ['section', HTMLAttributes],
      addNodeView: () => VueNodeViewRenderer(view),
    }),
  ];
  return {
    nodes: [kind],
    to: (body) => ({ type: kind, attrs: { body } }),
    from: (node) => node.attrs!.body as BlockBodies[Kind],
    extensions,
  };
}
