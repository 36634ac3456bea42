import { syllable } from 'syllable';
import { segmentSentences } from '../segment';

/** School grade by Flesch and Kincaid (1975): 0.39 x words per sentence + 11.8 x syllables per word - 15.59. */
export function fleschKincaid(text: string): number {
  const sentences = Math.max(1, segmentSentences(text.slice(0, 20_000), 'en').length);
  const words = text.slice(0, 20_000).match(/[A-Za-z][A-Za-z'’-]*/g) ?? [];
  if (words.length === 0) return 0;
  const syllables = words.reduce((sum, word) => sum + Math.max(1, syllable(word)), 0);
  return 0.39 * (words.length / sentences) + 11.8 * (syllables / words.length) - 15.59;
}
