import type { Knowledge, Sentence } from '../knowledge';
import type { Passage } from '../source/source';

/** A paragraph of an answer up to this many words is taken whole. */
const LONGEST_ANSWER = 120;

/** The heading over an answer, and whether it is the first thing under it. */
export interface Answering {
  heading: string;
  first: boolean;
}

/** Undefined for what answers no question of the author's interview. */
export function answering({ locator }: Passage, heading: string, first: boolean): Answering | undefined {
  return locator.question === undefined ? undefined : { heading, first };
}

/** An answer may begin with what its heading says: "No, never." under a question, "They …" under a heading about somebody. */
export function leansOnHeading(sentence: Sentence, { heading, first }: Answering, { pack }: Knowledge): boolean {
  if (!sentence.facts?.leaning) return false;
  return (first && /[?？]$/.test(heading)) || ((pack.pointsAtPersons?.(sentence.text) ?? false) && (pack.aboutPerson?.(heading) ?? false));
}

/** What was written down for this course is not cut, unless it is a talk or long: a story is told to its end. */
export function isAnsweredWhole({ kind, callout }: Passage, sentences: readonly Sentence[]): boolean {
  const words = sentences.reduce((sum, sentence) => sum + sentence.words, 0);
  return kind === 'paragraph' && (callout === 'experience' || words <= LONGEST_ANSWER);
}
