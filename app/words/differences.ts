import { diffWordsWithSpace } from 'diff';

/** A stretch of a text, and whether the other text has it too. */
export interface Stretch {
  text: string;
  own: boolean;
}

/** Two texts, each cut where it differs from the other. */
export function differences(before: string, after: string): { before: Stretch[]; after: Stretch[] } {
  const parts = diffWordsWithSpace(before, after);
  return {
    before: parts.filter((part) => !part.added).map((part) => ({ text: part.value, own: part.removed })),
    after: parts.filter((part) => !part.removed).map((part) => ({ text: part.value, own: part.added })),
  };
}

/** Two texts as one: what went, what came, what both have. */
export const changedWords = (before: string, after: string): { tag: 'del' | 'ins' | 'span'; text: string }[] =>
  diffWordsWithSpace(before, after).map(({ value, added, removed }) => ({
    tag: removed ? 'del' : added ? 'ins' : 'span',
    text: value,
  }));
