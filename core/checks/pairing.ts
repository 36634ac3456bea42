import type { Credit } from './check';
import type { Feedback, Mark } from './marking';

/** What belongs to what, by ids; the right pairs and what is said to them. */
export interface PairingSecret {
  pairs: Record<string, string>;
  /** Everything that can be chosen. */
  to: string[];
  credit: Credit;
  quotes: string[];
}

/** A response that gives each thing a place: ids by ids. */
export type Pairing = Record<string, string>;

/** A pairing as it came from outside; undefined where a thing has no place, or one that does not exist. */
export function readPairing(response: unknown, { pairs, to }: PairingSecret): Pairing | undefined {
  if (typeof response !== 'object' || response === null || Array.isArray(response)) return undefined;
  const given = response as Pairing;
  const from = Object.keys(pairs);
  if (Object.keys(given).length !== from.length) return undefined;
  return from.every((id) => Object.hasOwn(given, id) && to.includes(given[id])) ? given : undefined;
}

/** What a pairing is worth: in parts the share of right pairs. */
export function markPairing({ pairs, credit, quotes }: PairingSecret, response: Pairing): Mark {
  const parts = Object.entries(pairs).map(([id, place]) => (response[id] === place ? 1 : 0));
  const share = parts.filter(Boolean).length / parts.length;
  return {
    score: share === 1 ? 1 : credit === 'each' ? share : 0,
    state: 'marked',
    parts,
    feedback: share === 1 ? rightOf(quotes) : { code: 'own', quotes: [] },
  };
}

/** What is said to what is right. */
export const rightOf = (quotes: string[]): Feedback => ({ code: 'right', quotes });
