import type { ReadingBody } from '~~/core/blocks/reading/form';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'reading',
  part: 'readingPart',
  title: 'readingTitle',
  blockClass: 'up-reading',
  titleTag: 'p',
  titleClass: 'up-side',
  hint: 'What to read',
  single: true,
};

export const reading: BlockNode<ReadingBody> = {
  label: 'Further reading',
  nodes: ['reading'],
  to: ({ items }) =>
    toTitled(
      NAMES,
      items.map(({ title, text }) => ({ title, texts: [text] })),
    ),
  from: (node) => ({ items: fromTitled(node).map(({ title, texts: [text = []] }) => ({ title, text })) }),
  extensions: () => titledNodes(NAMES),
  add: [{ label: 'Further reading', body: () => ({ items: [{ title: [], text: [] }] }) }],
};
