import type { TaggedWord } from '../pack';
import type { WordList } from './lexicon';
import { isIrregularPast } from './regular';

const PAST = /^(?:was|were|had|did|wasn['’]t|weren['’]t|hadn['’]t|didn['’]t)$/i;
/** What follows gives a reason, in whatever tense. */
const REASONED = /,?\s+(?:because|since|so that)\b/i;
const OPENS_CLAUSE = /^(?:if|when|whenever|once|after|before|until|unless|while|where)\b/i;
const RELATIVE = /^(?:who|which|that|whom|whose)$/i;

/**
 * Whether a sentence only says what happened: its main clause is in the simple past, and nothing in it is said of now.
 * A present tense, a modal or a command anywhere means it may be a rule in other words ("Nobody walks across the
 * line"), and so does any doubt.
 */
export function tellsPast(sentence: string, tagged: readonly TaggedWord[], words: WordList): boolean {
  const end = REASONED.exec(sentence)?.index ?? sentence.length;
  const start = OPENS_CLAUSE.test(sentence) ? sentence.indexOf(',') + 1 || end : 0;
  let past = false;
  for (const [at, { text, tag, from }] of tagged.entries()) {
    if (from >= end) break;
    const before = tagged[at - 1];
    const own = from >= start && !RELATIVE.test(before?.text ?? '');
    if (tag === 'AUX') {
      if (PAST.test(text)) past ||= own;
      else if (!/^(?:be|been|being)$/i.test(text)) return false;
    } else if (tag === 'VERB') {
      if (/ing$/i.test(text) || /^to$/i.test(before?.text ?? '')) continue;
      if (/ed$/i.test(text) || isIrregularPast(text)) past ||= own;
      else if (!tagged.slice(0, at).some((word) => /^did/i.test(word.text))) return false;
    } else if (
      /[^s]s$/.test(text) &&
      words.isVerb(text.slice(0, -1)) &&
      /^(?:NOUN|PROPN|PRON)$/.test(before?.tag ?? '')
    )
      return false;
  }
  return past;
}
