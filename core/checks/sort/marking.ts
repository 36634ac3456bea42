import type { CheckMarking } from '../marking';
import { mixed } from '../options';
import { placeIn, putPairs, takePairs } from '../packing';
import { markPairing, readPairing, rightOf, type Pairing, type PairingSecret } from '../pairing';
import type { SortCheck } from './form';

export interface SortView {
  groups: { id: string; text: string }[];
  /** In an order that says nothing. */
  items: { id: string; text: string }[];
}

/** The response is the id of a group for each thing. */
export const sort: CheckMarking<SortCheck, SortView, PairingSecret, Pairing> = {
  view: ({ groups, items }, mix) => ({
    groups: groups.map(({ id, text }) => ({ id: mix(id), text })),
    items: mixed(items.map(({ id, text }) => ({ id: mix(id), text }))),
  }),
  reordered: (view, order) => ({ ...view, items: order(view.items) }),
  secret: ({ groups, items, credit, quotes }, mix) => ({
    pairs: Object.fromEntries(items.map(({ id, group }) => [mix(id), mix(group)])),
    to: groups.map(({ id }) => mix(id)),
    credit,
    quotes: quotes.map(({ text }) => text),
  }),
  read: readPairing,
  mark: markPairing,
  solution: ({ pairs, quotes }) => ({ response: pairs, feedback: rightOf(quotes) }),
  pack: ({ groups, items }, response, bits) => putPairs(items, groups, response, bits),
  unpack: ({ groups, items }, bits) => takePairs(items, groups, bits),
  interaction: ({ groups, items }, response) => ({
    type: 'matching',
    response: Object.entries(response).flatMap(([item, group]): [string, string][] => {
      const [a, b] = [placeIn(items, item), placeIn(groups, group)];
      return a && b ? [[a, b]] : [];
    }),
  }),
  said: ({ groups, items }, response) =>
    items.map(({ id, text }) => `${text} \u2192 ${groups.find((each) => each.id === response[id])?.text ?? ''}`),
};
