import type { Edit, PassageRange } from '../document/rich-text';
import type { Knowledge, Sentence } from '../knowledge';
import { isSpoken } from './noise';
import { roughWords } from '../source/words';

/** A sentence as it stands in a lesson, with the changes made to it (characters of its passage). */
export interface UsedSentence {
  sentence: Sentence;
  edits: Edit[];
  /** Where else the sources say the same. */
  also?: PassageRange[];
}

/**
 * A sentence as a lesson shows it: without its bracketed cross-references and, where it was spoken, without what only
 * filled the time.
 */
export function shown(sentence: Sentence, { pack }: Knowledge): UsedSentence {
  const { text, from, passage } = sentence;
  const gone = [
    ...(pack.references?.(text) ?? []),
    ...(isSpoken(passage) ? (pack.hesitations?.(text) ?? []) : []),
  ].sort((a, b) => a.from - b.from);
  const edits = gone
    .filter((range, at) => at === 0 || range.from >= gone[at - 1].to)
    .map((range): Edit => ({ from: from + range.from, to: from + range.to, with: '' }));
  const [first] = edits;
  // Nor does a sentence begin with the gap behind what went.
  if (first?.from === from) first.to += /^\s*/.exec(passage.text.slice(first.to))![0].length;
  // What begins the sentence now takes the capital of what began it before.
  const next = first?.from === from ? passage.text.slice(first.to, first.to + 1) : '';
  if (/\p{Ll}/u.test(next) && (edits[1] === undefined || edits[1].from > first.to))
    edits[0] = { from, to: first.to + 1, with: next.toUpperCase() };
  // "Note: do not open …" without its label begins with a capital.
  if (passage.callout && from === 0 && /^\p{Ll}/u.test(text) && (edits.length === 0 || edits[0].from > 0))
    edits.unshift({ from: 0, to: 1, with: text.charAt(0).toUpperCase() });
  const used = { sentence, edits };
  return /[\p{L}\p{N}]/u.test(edited(used)) ? used : { sentence, edits: [] };
}

/** The words of a used sentence after its changes. */
export function edited({ sentence, edits }: UsedSentence): string {
  let text = '';
  let at = sentence.from;
  const { text: all } = sentence.passage;
  for (const change of edits) {
    text += all.slice(at, change.from) + change.with;
    at = change.to;
  }
  return text + all.slice(at, sentence.to);
}

/** Words of a used sentence after its changes. */
export function wordsOf(used: UsedSentence): number {
  return used.edits.length > 0 ? roughWords(edited(used)) : used.sentence.words;
}
