import type { SummaryBody } from '~~/core/blocks/summary/form';
import { box } from '../box';
import { ofParagraphs, paragraphsOf, type BlockNode } from '../node';

export const summary: BlockNode<SummaryBody> = {
  label: 'Points to take along',
  nodes: ['summary'],
  to: ({ points }) => ofParagraphs('summary', points),
  from: (node) => ({ points: paragraphsOf(node) }),
  extensions: (words) => [box('summary', 'paragraph+', 'section', { class: 'up-summary' }, words.summary)],
  add: [{ label: 'Points to take along', body: () => ({ points: [[]] }) }],
};
