import { list, object, oneOf, string } from '../../document/shape';
import { CREDITS, idShape, quoteShape, type CheckFrame, type Credit, type Quote } from '../check';
import type { CheckForm } from '../form';
import { keyProblems } from '../options';

/** Things to be put in order; they stand in the right one. */
export interface OrderCheck extends CheckFrame {
  kind: 'order';
  items: { id: string; text: string }[];
  credit: Credit;
  /** What the source says to it. */
  quotes: Quote[];
}

const item = object({ id: idShape, text: string({ min: 1 }) });

export const order: CheckForm<OrderCheck> = {
  fields: { required: { items: list(item, { min: 2 }), credit: oneOf(...CREDITS), quotes: list(quoteShape) } },
  problems({ items }) {
    const ids = items.map(({ id }) => id);
    return keyProblems(ids, ids);
  },
  reworded: ({ items }, change) => ({ items: items.map(({ id, text }) => ({ id, text: change(text) })) }),
  text: ({ stem, items }) => [stem, ...items.map(({ text }, at) => `\u2713 ${at + 1}. ${text}`)].join('\n'),
};
