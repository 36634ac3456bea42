import { boolean, list, string } from '../../document/shape';
import { quoteShape, type CheckFrame, type Quote } from '../check';
import type { CheckForm } from '../form';

/** A statement to be judged: true or false. */
export interface TruthCheck extends CheckFrame {
  kind: 'truth';
  answer: boolean;
  /** What the source says to it. */
  quotes: Quote[];
  /** What is said to either answer, in the author's words. */
  why?: string;
}

export const truth: CheckForm<TruthCheck> = {
  fields: { required: { answer: boolean, quotes: list(quoteShape) }, optional: { why: string() } },
  reworded: ({ why }, change) => (why ? { why: change(why) } : {}),
  text: ({ stem, answer }) => `${stem}\n\u2713 ${String(answer)}`,
};
