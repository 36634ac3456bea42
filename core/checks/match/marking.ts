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

/** Ids of the right side tell nothing of the left. */
const other = (id: string) => `${id} right`;

/** The response is an id of the right side for each of the left. */
export const match: CheckMarking<MatchCheck, MatchView, PairingSecret, Pairing> = {
  view: ({ pairs, others }, mix) => ({
    from: pairs.map(({ id, left }) => ({ id: mix(id), text: left })),
    to: mixed([
      ...pairs.map(({ id, right }) => ({ id: mix(other(id)), text: right })),
      ...others.map(({ id, text }) => ({ id: mix(id), text })),
    ]),
  }),
  secret: ({ pairs, others, credit, quotes }, mix) => ({
    pairs: Object.fromEntries(pairs.map(({ id }) => [mix(id), mix(other(id))])),
    to: [...pairs.map(({ id }) => mix(other(id))), ...others.map(({ id }) => mix(id))].sort(byLetters),
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
