import { syllable } from 'syllable';
import { segmentSentences } from '../segment';

/** So many characters tell a text's grade as well as all of it. */
const SAMPLE = 8_000;
/** Syllables of words met: most come again. */
const known = new Map<string, number>();
const MOST_KNOWN = 50_000;

function syllablesOf(word: string): number {
  const said = known.get(word);
  if (said !== undefined) return said;
  if (known.size >= MOST_KNOWN) known.clear();
  const count = Math.max(1, syllable(word));
  known.set(word, count);
  return count;
}

/** School grade by Flesch and Kincaid (1975): 0.39 x words per sentence + 11.8 x syllables per word - 15.59. */
export function fleschKincaid(text: string): number {
  const sample = text.slice(0, SAMPLE);
  const sentences = Math.max(1, segmentSentences(sample, 'en').length);
  const words = sample.match(/[A-Za-z][A-Za-z'’-]*/g) ?? [];
  if (words.length === 0) return 0;
  const syllables = words.reduce((sum, word) => sum + syllablesOf(word), 0);
  return 0.39 * (words.length / sentences) + 11.8 * (syllables / words.length) - 15.59;
}
