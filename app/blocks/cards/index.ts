import type { CardsBody } from '~~/core/blocks/cards/form';
import type { BlockNode } from '../node';
import { fromTitled, titledNodes, toTitled, type TitledNames } from '../titled';

const NAMES: TitledNames = {
  block: 'cards',
  part: 'card',
  title: 'cardFront',
  blockClass: 'up-cards',
  titleTag: 'p',
  titleClass: 'up-front',
  hint: 'Front',
};

export const cards: BlockNode<CardsBody> = {
  label: 'Cards',
  nodes: ['cards'],
  to: (body) =>
    toTitled(
      NAMES,
      body.cards.map(({ front, back }) => ({ title: front, texts: back })),
    ),
  from: (node) => ({ cards: fromTitled(node).map(({ title, texts }) => ({ front: title, back: texts })) }),
  extensions: () => titledNodes(NAMES),
  add: [{ label: 'Cards with two faces', body: () => ({ cards: [{ front: [], back: [[]] }] }) }],
};
