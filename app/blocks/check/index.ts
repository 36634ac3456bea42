import type { CheckBody } from '~~/core/blocks/check/form';
import type { BlockNode } from '../node';

/** The place of a check; its node comes with the editor, which shows the check itself there. */
export const check: BlockNode<CheckBody> = {
  label: 'Check',
  nodes: ['checkPlace'],
  to: ({ checkId }) => ({ type: 'checkPlace', attrs: { checkId } }),
  from: (node) => ({ checkId: String(node.attrs?.checkId) }),
  add: [],
};
