import { labelsFor } from './labels';
import type { LanguagePack } from './pack';
import { segmentSentences } from './segment';
import { wordsFor } from './words';

/** The pack of a language that is read and extracted, but not understood. */
export function plainPack(language: string): LanguagePack {
  return {
    code: language,
    understands: false,
    sentences: (text) => segmentSentences(text, language),
    ...wordsFor(language),
    commonness: () => undefined,
    labels: labelsFor(language),
  };
}
