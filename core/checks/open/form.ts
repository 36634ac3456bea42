import { list, oneOf, string } from '../../document/shape';
import { quoteShape, type CheckFrame, type Quote } from '../check';
import type { CheckForm } from '../form';

/** Who marks it: a person, or the learner, who compares it with a good answer. */
export const MARKED_BY = ['person', 'learner'] as const;

/** What is written is as long as this at most. */
export const LONGEST_OPEN = 5000;

/** A question that is answered in one's own words. */
export interface OpenCheck extends CheckFrame {
  kind: 'open';
  by: (typeof MARKED_BY)[number];
  /** A good answer. */
  model: string;
  /** What a good answer names. */
  looksFor: string[];
  /** What the source says to it. */
  quotes: Quote[];
}

export const open: CheckForm<OpenCheck> = {
  fields: {
    required: {
      by: oneOf(...MARKED_BY),
      model: string({ max: LONGEST_OPEN }),
      looksFor: list(string({ min: 1, max: 500 })),
      quotes: list(quoteShape),
    },
  },
  reworded: ({ model, looksFor }, change) => ({ model: model && change(model), looksFor: looksFor.map(change) }),
  text: ({ stem, model, looksFor }) =>
    [stem, ...[model].filter(Boolean), ...looksFor].map((each, at) => (at === 0 ? each : `\u2713 ${each}`)).join('\n'),
};
