import type { CheckMarking } from '../marking';
import { byLetters, mixed } from '../options';
import { placeIn, putPairs, takePairs } from '../packing';
import { markPairing, readPairing, rightOf, type Pairing, type PairingSecret } from '../pairing';
import type { MatchCheck } from './form';

export interface MatchView {
  from: { id: string; text: string }[];
  /** What can belong to it, in an order that says nothing. */
  to: { id: string; text: string }[];
}

/** The right side by its words: what is there twice is one thing to choose, and ids tell nothing of the left. */
const side = (text: string) => `right ${text.trim()}`;
const once = <Item extends { id: string }>(items: readonly Item[]): Item[] => [
  ...new Map(items.map((item) => [item.id, item])).values(),
];

/** The response is an id of the right side for each of the left. */
export const match: CheckMarking<MatchCheck, MatchView, PairingSecret, Pairing> = {
  view: ({ pairs, others }, mix) => ({
    from: pairs.map(({ id, left }) => ({ id: mix(id), text: left })),
    to: mixed(
      once(
        [...pairs.map(({ right }) => right), ...others.map(({ text }) => text)].map((text) => ({
          id: mix(side(text)),
          text,
        })),
      ),
    ),
  }),
  reordered: (view, order) => ({ ...view, to: order(view.to) }),
  secret: ({ pairs, others, credit, quotes }, mix) => ({
    pairs: Object.fromEntries(pairs.map(({ id, right }) => [mix(id), mix(side(right))])),
    to: [
      ...new Set(
        [...pairs.map(({ right }) => right), ...others.map(({ text }) => text)].map((text) => mix(side(text))),
      ),
    ].sort(byLetters),
    credit,
    quotes: quotes.map(({ text }) => text),
  }),
  read: readPairing,
  mark: markPairing,
  solution: ({ pairs, quotes }) => ({ response: pairs, feedback: rightOf(quotes) }),
  pack: ({ from, to }, response, bits) => putPairs(from, to, response, bits),
  unpack: ({ from, to }, bits) => takePairs(from, to, bits),
  interaction: ({ from, to }, response) => ({
    type: 'matching',
    response: Object.entries(response).flatMap(([left, right]): [string, string][] => {
      const [a, b] = [placeIn(from, left), placeIn(to, right)];
      return a && b ? [[a, b]] : [];
    }),
  }),
  said: ({ from, to }, response) =>
    from.map(({ id, text }) => `${text} \u2192 ${to.find((each) => each.id === response[id])?.text ?? ''}`),
};
