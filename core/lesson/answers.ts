import type { Sentence } from '../knowledge';
import type { Passage } from '../source/source';

/** A paragraph of an answer up to this many words is taken whole. */
const LONGEST_ANSWER = 120;

/** What was written down for this course is not cut, unless it is a talk or long: a story is told to its end. */
export function isAnsweredWhole({ kind, callout, locator }: Passage, sentences: readonly Sentence[]): boolean {
  const words = sentences.reduce((sum, sentence) => sum + sentence.words, 0);
  return locator.question !== undefined && kind === 'paragraph' && (callout === 'experience' || words <= LONGEST_ANSWER);
}
