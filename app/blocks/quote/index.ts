import { Node } from '@tiptap/core';
import type { QuoteBody } from '~~/core/blocks/quote/form';
import { fromInline, toParagraph } from '~/editor/rich';
import { box } from '../box';
import { children, lettersOf, type BlockNode } from '../node';

const By = Node.create({
  name: 'quoteBy',
  content: 'text*',
  marks: '',
  parseHTML: () => [{ tag: 'figcaption' }],
  renderHTML: () => ['figcaption', { 'data-hint': 'whose words' }, 0],
});

export const quote: BlockNode<QuoteBody> = {
  label: 'Quote',
  nodes: ['quote'],
  to: ({ paragraphs, by }) => ({
    type: 'quote',
    content: [...paragraphs.map(toParagraph), { type: 'quoteBy', content: by ? [{ type: 'text', text: by }] : [] }],
  }),
  from: (node) => {
    const by = lettersOf(children(node).find((part) => part.type === 'quoteBy')).trim();
    const paragraphs = children(node).filter((part) => part.type !== 'quoteBy');
    return { paragraphs: paragraphs.map((part) => fromInline(children(part))), ...(by && { by }) };
  },
  extensions: () => [box('quote', 'paragraph+ quoteBy', 'figure', { class: 'up-quote' }), By],
  add: [{ label: 'Quote', body: () => ({ paragraphs: [[]] }) }],
};
