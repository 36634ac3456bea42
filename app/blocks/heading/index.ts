import type { HeadingBody } from '~~/core/blocks/heading/form';
import { fromInline, toInline } from '~/editor/rich';
import { children, type BlockNode } from '../node';

export const heading: BlockNode<HeadingBody> = {
  label: 'Heading',
  nodes: ['heading'],
  to: ({ level, text }) => ({ type: 'heading', attrs: { level }, content: toInline(text) }),
  from: (node) => ({ level: node.attrs?.level === 3 ? 3 : 2, text: fromInline(children(node)) }),
  add: [{ label: 'Heading', body: () => ({ level: 2, text: [] }) }],
};
