import type { Range } from '../pack';
import { anyOf } from '../phrases';

const BRACKETED =
  /\s*[([](?:see|cf\.?|refer to|as (?:described|shown|listed|explained) (?:in|above|below))\s[^()[\]]*[)\]]|\s*\[\d{1,3}\]|\s*\((?:section|chapter|figure|table|appendix|page)\s+[\dA-Z][^()]*\)/gi;

/** The number of a note that stuck to the end of a sentence or a clause: "what ten metres weigh.2 Read it". */
const GLUED = /(?<=\p{Ll}{4}[.,;!?)”"])\d{1,2}(?=\s+[\p{Lu}“"(]|\s*$)/gu;

/**
 * Stretches of a sentence that only send the reader elsewhere and can be left out without a loss: "(see section 3)",
 * "[12]".
 */
export function bracketedReferences(sentence: string): Range[] {
  return [...sentence.matchAll(BRACKETED), ...sentence.matchAll(GLUED)].map((match) => ({
    from: match.index,
    to: match.index + match[0].length,
  }));
}

const TREATED = anyOf`
  described | explained | covered | discussed | documented | listed | detailed | outlined | mentioned | shown
  given | found | information | details | more
`;
const SENDS = new RegExp(
  String.raw`\b(?:see|refer to|consult|read|${TREATED} (?:in|about|at|under|on))\s+(?:also\s+)?(?:the\s+(?:section|chapter|part)\s+(?:on\s+|about\s+)?)?["“‘'«]?`,
  'gi',
);

/** Whether a sentence names one of the source's own sections as the place to go on reading, outside of brackets. */
export function sendsToSection(sentence: string, titles: readonly string[]): boolean {
  for (const match of sentence.matchAll(SENDS)) {
    const before = sentence.slice(0, match.index);
    if ((before.match(/\(/g)?.length ?? 0) > (before.match(/\)/g)?.length ?? 0)) continue;
    const rest = sentence.slice(match.index + match[0].length);
    if (titles.some((title) => rest.startsWith(title) && !/^[\p{L}\p{N}]/u.test(rest.slice(title.length)))) return true;
  }
  return false;
}
