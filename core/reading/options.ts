import type { KnownWord } from '../source/line-ends';
import { detectLanguage } from './language';

/** What a reader may use besides the file. */
export interface ReadOptions {
  /**
   * The word list of a language, where there is one: it tells a word broken at a line's end from one that has a hyphen.
   */
  wordsIn?: (language: string) => KnownWord | undefined;
}

/** The word list for a text, where its language has one: found and loaded when the first word is asked for. */
export function wordList(text: string, wordsIn: ReadOptions['wordsIn']): { isWord?: KnownWord } {
  if (!wordsIn || !/\p{L}[-\u00ad]\n/u.test(text)) return {};
  const words = wordsIn(detectLanguage([{ kind: 'paragraph', text }]));
  return words ? { isWord: words } : {};
}
