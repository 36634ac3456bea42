import type { Credit } from '../check';
import type { CheckMarking } from '../marking';
import { mixed } from '../options';
import { placeIn, PLACE_BITS, putPlace } from '../packing';
import type { OrderCheck } from './form';

export interface OrderView {
  /** In an order that is not the right one. */
  items: { id: string; text: string }[];
}

export interface OrderSecret {
  order: string[];
  credit: Credit;
  quotes: string[];
}

/**
 * The response is the ids in order. In parts, each that stands directly behind the one it belongs behind counts, so
 * that one misplaced thing costs its neighbours, not everything.
 */
export const order: CheckMarking<OrderCheck, OrderView, OrderSecret, string[]> = {
  view({ items }, mix) {
    const right = items.map(({ id, text }) => ({ id: mix(id), text }));
    const shown = mixed(right);
    const isRight = shown.every(({ id }, at) => id === right[at].id);
    return { items: isRight ? [...shown.slice(1), shown[0]] : shown };
  },
  secret: ({ items, credit, quotes }, mix) => ({
    order: items.map(({ id }) => mix(id)),
    credit,
    quotes: quotes.map(({ text }) => text),
  }),
  read(response, { order: right }) {
    if (!Array.isArray(response) || response.length !== right.length) return undefined;
    return right.every((id) => response.includes(id)) ? (response as string[]) : undefined;
  },
  mark({ order: right, credit, quotes }, response) {
    const kept = right.slice(1).filter((id, at) => response[response.indexOf(right[at]) + 1] === id).length;
    const share = kept / (right.length - 1);
    const isAll = share === 1;
    return {
      score: isAll ? 1 : credit === 'each' ? share : 0,
      state: 'marked',
      parts: right.map((id, at) => (response[at] === id ? 1 : 0)),
      feedback: isAll ? { code: 'right', quotes } : { code: 'own', quotes: [] },
    };
  },
  solution: ({ order: right, quotes }) => ({ response: right, feedback: { code: 'right', quotes } }),
  pack({ items }, response, bits) {
    for (const id of response) putPlace(items, id, bits);
  },
  unpack({ items }, bits) {
    const ids = items.map(() => items[bits(PLACE_BITS) - 1]?.id);
    return new Set(ids).size === items.length && !ids.includes(undefined!) ? ids : undefined;
  },
  interaction: ({ items }, response) => ({
    type: 'sequencing',
    response: response.flatMap((id) => placeIn(items, id) ?? []),
  }),
  said: ({ items }, response) =>
    response.flatMap((id, at) => items.filter((each) => each.id === id).map(({ text }) => `${at + 1}. ${text}`)),
};
