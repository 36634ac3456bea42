import type { Check } from '../checks/forms';

/** Questions that were brought along, and what of them could not be taken, each with where it stands. */
export interface GivenQuestions {
  checks: Check[];
  /** `place`: a line, a row or a file, as its reader finds it; `words`: what stands there. */
  left: LeftQuestion[];
}

/** Questions out of a file, with the bytes of the pictures they name, by hash. */
export interface BroughtQuestions extends GivenQuestions {
  media: Map<string, Uint8Array>;
}

export interface LeftQuestion {
  code: LeftCode;
  place: string;
  words: string;
}

/**
 * Why something was not taken: it has no answer that is right; of what is said to be right nothing stands there; it has
 * too few answers; it is of a kind that is not known; it is no question; a picture stayed behind; it cannot be read.
 */
export const LEFT_CODES = [
  'no-key',
  'key-unknown',
  'too-few-answers',
  'kind-unknown',
  'no-question',
  'picture-left',
  'broken',
] as const;
export type LeftCode = (typeof LEFT_CODES)[number];

/** What makes ids for what is brought along, and whose it will be. */
export interface Bringing {
  lessonId: string;
  id: (letter: string) => string;
}

/** The frame of a question that was brought along. */
export const framed = ({ lessonId, id }: Bringing, stem: string) => ({
  id: id('k'),
  lessonId,
  stem: stem.trim(),
  evidence: [],
  level: 'apply' as const,
  difficulty: 0.5,
});
