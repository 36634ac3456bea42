import type { Range } from '../pack';

const BRACKETED = /\s*[([](?:see|cf\.?|refer to|as (?:described|shown|listed|explained) (?:in|above|below))\s[^()[\]]*[)\]]|\s*\[\d{1,3}\]|\s*\((?:section|chapter|figure|table|appendix|page)\s+[\dA-Z][^()]*\)/gi;

/** Stretches of a sentence that only send the reader elsewhere and can be left out without a loss: "(see section 3)", "[12]". */
export function bracketedReferences(sentence: string): Range[] {
  return [...sentence.matchAll(BRACKETED)].map((match) => ({ from: match.index, to: match.index + match[0].length }));
}
