import type { Knowledge, Sentence } from '../knowledge';
import { roughWords } from '../source/words';
import type { UsedSentence } from './piece';

/** Which sentences can stand in a lesson, and with which words. */

/** "Only in the cab, never in the load area.": no sentence, but an answer. */
export function shortAnswer(sentence: Sentence): UsedSentence | undefined {
  const leaning = sentence.facts?.leaning;
  return (leaning === 'not-a-sentence' || leaning === 'too-short') && isEnded(sentence) && /^\p{Lu}/u.test(sentence.text) ? { sentence, edits: [] } : undefined;
}

/**
 * A sentence that can stand in a lesson, if need be with its cross-references dropped; undefined when it cannot.
 * `amongOthers`: in a paragraph of several, where two words may do ("False alarms happen.").
 */
export function usable(sentence: Sentence, knowledge: Knowledge, amongOthers = false): UsedSentence | undefined {
  const changes = edits(sentence, knowledge);
  const used = { sentence, edits: changes };
  if (!knowledge.pack.understands) return used;
  const facts = changes.length > 0 && knowledge.pack.facts ? knowledge.pack.facts(edited(used), []) : sentence.facts;
  if (/\b(?:FIXME|TODO|TBD)\b/.test(sentence.text)) return undefined;
  // A sentence too long to be understood is not taught by a pack that understands.
  if (!facts) return knowledge.pack.facts ? undefined : used;
  switch (facts.leaning) {
    case undefined:
    case 'points-back':
    case 'joins-on':
      return isEnded(sentence) && (facts.words >= 4 || amongOthers) && isClosed(edited(used)) ? used : undefined;
    case 'too-short':
      return amongOthers && isEnded(sentence) && (facts.imperative || hasVerb(sentence)) && /^["“‘']?\p{Lu}/u.test(sentence.text) && isClosed(edited(used)) ? used : undefined;
    case 'too-long':
      return facts.words <= 60 && isClosed(edited(used)) && isEnded(sentence) ? used : undefined;
    default:
      return undefined;
  }
}

function isEnded(sentence: Sentence): boolean {
  return /[.!?]["'”’»)\]]*$/.test(sentence.text);
}

function hasVerb(sentence: Sentence): boolean {
  return sentence.tags.some((word) => word.tag === 'AUX' || word.tag === 'VERB');
}

/** Only sends the reader elsewhere. */
export function isPointer({ facts }: Sentence): boolean {
  return facts?.leaning === 'points-elsewhere' || facts?.leaning === 'about-document';
}

/** Its cross-references, to be dropped. */
export function edits(sentence: Sentence, knowledge: Knowledge): UsedSentence['edits'] {
  return (knowledge.pack.references?.(sentence.text) ?? []).map((range) => ({ from: sentence.from + range.from, to: sentence.from + range.to, with: '' }));
}

/** The words of a used sentence after its changes. */
export function edited({ sentence, edits: changes }: UsedSentence): string {
  let text = '';
  let at = sentence.from;
  const { text: all } = sentence.passage;
  for (const change of changes) {
    text += all.slice(at, change.from) + change.with;
    at = change.to;
  }
  return text + all.slice(at, sentence.to);
}

function isClosed(text: string): boolean {
  const count = (pattern: RegExp) => text.match(pattern)?.length ?? 0;
  return count(/\(/g) === count(/\)/g) && count(/“/g) === count(/”/g);
}

/** Words of a used sentence after its changes. */
export function wordsOf(used: UsedSentence): number {
  return used.edits.length > 0 ? roughWords(edited(used)) : used.sentence.words;
}
