import type { Change, ChangeKind } from '../../change';
import type { SentenceFacts } from '../../pack';
import { bracketedReferences } from '../references';
import type { WordList } from '../lexicon';
import { contracted, expanded } from './contractions';
import { orders } from './order';
import { briefWords, plainWords } from './plain-words';
import { splits } from './split';

const LEAST_WORDS = 4;

/** Every kind of change, asked of a sentence; `facts` are the sentence's. */
export const englishRewriting = (
  words: WordList,
): Record<ChangeKind, (sentence: string, facts: SentenceFacts) => Change[]> => ({
  reference: (sentence) =>
    // The mark of a note that stands alone is a place, no aside.
    sentence.split(/\s+/).length < LEAST_WORDS
      ? []
      : bracketedReferences(sentence).map((range) => ({ ...range, with: '', kind: 'reference' as const })),
  brief: briefWords,
  plain: plainWords,
  contract: (sentence, { rule }) => contracted(sentence, rule?.negative ?? false),
  expand: expanded,
  order: (sentence) => orders(sentence, words),
  split: splits,
});
