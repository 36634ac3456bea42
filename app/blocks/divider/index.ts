import { Node } from '@tiptap/core';
import type { DividerBody } from '~~/core/blocks/divider/form';
import type { BlockNode } from '../node';

export const divider: BlockNode<DividerBody> = {
  label: 'Divider',
  nodes: ['divider'],
  to: () => ({ type: 'divider' }),
  from: () => ({}),
  extensions: () => [
    Node.create({
      name: 'divider',
      group: 'block',
      parseHTML: () => [{ tag: 'hr' }],
      renderHTML: ({ HTMLAttributes }) => ['hr', { ...HTMLAttributes, class: 'up-divider' }],
    }),
  ],
  add: [{ label: 'Divider', body: () => ({}) }],
};
