import { richText, type RichText } from '../../document/rich-text';
import { list, object } from '../../document/shape';
import { headed } from '../entry';
import type { BlockForm } from '../form';

/** Cards with two faces: what is asked or named, and what stands behind it. */
export interface CardsBody {
  cards: { front: RichText; back: RichText[] }[];
}

export const cards: BlockForm<CardsBody> = {
  body: object({ cards: list(object({ front: richText, back: list(richText, { min: 1 }) }), { min: 1 }) }),
  texts: (body) => body.cards.flatMap(({ front, back }) => [front, ...back]),
  mapTexts: (body, change) => ({
    cards: body.cards.map(({ front, back }) => ({ front: change(front), back: back.map(change) })),
  }),
  framed: true,
  entries: (body) => body.cards.map(({ front, back }) => ({ lead: front, texts: back })),
  fromEntries: (entries) => [
    { cards: entries.map(headed).map(({ lead, texts }) => ({ front: lead, back: texts.length > 0 ? texts : [[]] })) },
  ],
};
