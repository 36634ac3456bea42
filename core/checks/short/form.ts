import { list, oneOf, string } from '../../document/shape';
import { quoteShape, type CheckFrame, type Quote } from '../check';
import type { CheckForm } from '../form';

/** How near what is typed must be: letter by letter, or with slips of the keyboard forgiven. Case never counts. */
export const SPELLINGS = ['exact', 'close'] as const;

/** What is typed is as long as this at most, and what is accepted, too. */
export const LONGEST_SHORT = 200;

/** A few words to be typed in. */
export interface ShortCheck extends CheckFrame {
  kind: 'short';
  /** Any of these is right; the first is shown as the answer. */
  accepted: string[];
  spelling: (typeof SPELLINGS)[number];
  /** What the source says to it. */
  quotes: Quote[];
}

export const short: CheckForm<ShortCheck> = {
  fields: {
    required: {
      accepted: list(string({ min: 1, max: LONGEST_SHORT }), { min: 1 }),
      spelling: oneOf(...SPELLINGS),
      quotes: list(quoteShape),
    },
  },
  reworded: ({ accepted }, change) => ({ accepted: accepted.map(change) }),
  text: ({ stem, accepted }) => [stem, ...accepted.map((each) => `\u2713 ${each}`)].join('\n'),
};
