import type { FiguresBody } from '~~/core/blocks/figures/form';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'figures',
  part: 'figurePart',
  title: 'figureValue',
  blockClass: 'up-figures',
  titleTag: 'p',
  titleClass: 'up-value',
  hint: 'Figure',
  single: true,
};

export const figures: BlockNode<FiguresBody> = {
  label: 'Key figures',
  nodes: ['figures'],
  to: (body) =>
    toTitled(
      NAMES,
      body.figures.map(({ value, text }) => ({ title: value, texts: [text] })),
    ),
  from: (node) => ({
    figures: fromTitled(node).map(({ title, texts: [text = []] }) => ({ value: title, text })),
  }),
  extensions: () => titledNodes(NAMES),
  add: [{ label: 'Key figures', body: () => ({ figures: [{ value: [], text: [] }] }) }],
};
