import type { CodeBody } from '~~/core/blocks/code/form';
import { lettersOf, type BlockNode } from '../node';

export const code: BlockNode<CodeBody> = {
  label: 'Code',
  nodes: ['codeBlock'],
  to: (body) => ({ type: 'codeBlock', content: [{ type: 'text', text: body.code }] }),
  from: (node) => ({ code: lettersOf(node) || ' ' }),
  add: [{ label: 'Code', body: () => ({ code: ' ' }) }],
};
