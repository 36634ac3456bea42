import type { TextBody } from '~~/core/blocks/text/form';
import { fromInline, toParagraph } from '~/editor/rich';
import { children, type BlockNode } from '../node';

export const text: BlockNode<TextBody> = {
  label: 'Paragraph',
  nodes: ['paragraph'],
  to: (body) => toParagraph(body.text),
  from: (node) => ({ text: fromInline(children(node)) }),
  add: [{ label: 'Paragraph', body: () => ({ text: [] }) }],
};
