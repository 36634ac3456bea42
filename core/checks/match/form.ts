import { list, object, oneOf, string } from '../../document/shape';
import { CREDITS, idShape, quoteShape, type CheckFrame, type Credit, type Quote } from '../check';
import type { CheckForm } from '../form';
import { keyProblems } from '../options';

/** Pairs to be found: what stands on the left, and what belongs to it. */
export interface MatchCheck extends CheckFrame {
  kind: 'match';
  pairs: { id: string; left: string; right: string }[];
  /** What belongs to nothing. */
  others: { id: string; text: string }[];
  credit: Credit;
  /** What the source says to it. */
  quotes: Quote[];
}

const pair = object({ id: idShape, left: string({ min: 1 }), right: string({ min: 1 }) });
const other = object({ id: idShape, text: string({ min: 1 }) });

export const match: CheckForm<MatchCheck> = {
  fields: {
    required: {
      pairs: list(pair, { min: 2 }),
      others: list(other),
      credit: oneOf(...CREDITS),
      quotes: list(quoteShape),
    },
  },
  problems({ pairs, others }) {
    const ids = [...pairs, ...others].map(({ id }) => id);
    return keyProblems(ids, ids);
  },
  reworded: ({ pairs, others }, change) => ({
    pairs: pairs.map(({ id, left, right }) => ({ id, left: change(left), right: change(right) })),
    others: others.map(({ id, text }) => ({ id, text: change(text) })),
  }),
  text: ({ stem, pairs, others }) =>
    [
      stem,
      ...pairs.map(({ left, right }) => `\u2713 ${left} \u2192 ${right}`),
      ...others.map(({ text }) => `\u2013 ${text}`),
    ].join('\n'),
};
