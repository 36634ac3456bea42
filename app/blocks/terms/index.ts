import type { TermsBody } from '~~/core/blocks/terms/form';
import { plainRun, textOf } from '~~/core/document/rich-text';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'terms',
  part: 'termEntry',
  title: 'termName',
  blockClass: 'up-terms',
  titleTag: 'b',
  titleClass: '',
  hint: 'Term',
  single: true,
  plainTitle: true,
};

export const terms: BlockNode<TermsBody> = {
  label: 'Terms',
  nodes: ['terms'],
  to: (body) =>
    toTitled(
      NAMES,
      body.terms.map(({ term, text }) => ({ title: plainRun(term), texts: [text] })),
    ),
  from: (node) => ({
    terms: fromTitled(node).map(({ title, texts: [text = []] }) => ({ term: textOf(title).trim() || '…', text })),
  }),
  extensions: () => titledNodes(NAMES),
  add: [{ label: 'Terms', body: () => ({ terms: [{ term: 'Term', text: [] }] }) }],
};
