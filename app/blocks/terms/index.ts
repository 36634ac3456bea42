import { Node } from '@tiptap/core';
import type { TermsBody } from '~~/core/blocks/terms/form';
import { fromInline, toParagraph } from '~/editor/rich';
import { box } from '../box';
import { children, lettersOf, type BlockNode } from '../node';

const part = (name: string, content: string, tag: string, mark: string, marks?: string) =>
  Node.create({
    name,
    content,
    ...(marks !== undefined && { marks }),
    parseHTML: () => [{ tag: `${tag}[${mark}]` }],
    renderHTML: () => [tag, { [mark]: '' }, 0],
  });

export const terms: BlockNode<TermsBody> = {
  label: 'Terms',
  nodes: ['terms'],
  to: (body) => ({
    type: 'terms',
    content: body.terms.map(({ term, text }) => ({
      type: 'termEntry',
      content: [{ type: 'termName', content: term ? [{ type: 'text', text: term }] : [] }, toParagraph(text)],
    })),
  }),
  from: (node) => ({
    terms: children(node).map((entry) => {
      const [name, meaning] = children(entry);
      return { term: lettersOf(name).trim() || '…', text: fromInline(children(meaning)) };
    }),
  }),
  extensions: () => [
    box('terms', 'termEntry+', 'section', { class: 'up-terms' }),
    part('termEntry', 'termName paragraph', 'div', 'data-term'),
    part('termName', 'text*', 'b', 'data-name', ''),
  ],
  add: [{ label: 'Terms', body: () => ({ terms: [{ term: 'Term', text: [] }] }) }],
};
