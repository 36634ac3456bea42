import type { Range } from '../pack';
import { anyOf } from '../phrases';

/** Sounds, and words that only hold the floor, with the comma or dots that set them off. */
const SOUNDS = String.raw`(?:u+h+m*|u+m+|e+r+m*|a+h+m*|hm+|mhm)`;
const FLOOR_HOLDERS = anyOf`
  you know | I mean | you see | sort of | kind of | let['’]s say | how shall I (?:put|say) (?:it|this)
  what (?:was|is|['’]s) it called | how do you say | I (?:won['’]t|can['’]t) say (?:who|where) | as I said
  like I said | I suppose | shall we say
`;
const FLOOR = FLOOR_HOLDERS;
const FILLED = new RegExp(
  String.raw`(?:(?<=^|[\s“"])${SOUNDS}\b[,.…]*\s*)|(?:,\s*${SOUNDS}\b(?=\s*[.?!,;]|\s|$)[,…]?)|(?:,\s+${FLOOR},)`,
  'gi',
);
/** "We don't, um, we don't ask": the same words twice, with nothing but a sound or a comma between. */
const TWICE = new RegExp(
  String.raw`\b((?:[\p{L}'’]+\s){0,3}[\p{L}'’]+)(?:,?\s+${SOUNDS},?\s+|,\s+|\s*[–—-]\s+|\.\.\.\s*|…\s*)(?=\1\b)`,
  'giu',
);
const AMOUNTS = anyOf`
  \d[\d.,]* | one | two | three | four | five | six | seven | eight | nine | ten | eleven | twelve | fifteen
  twenty | thirty | forty | fifty | sixty | ninety | hundred
`;
const AMOUNTS_AFTER = anyOf`
  \d | one | two | three | four | five | six | seven | eight | nine | ten | eleven | twelve | fifteen | twenty
  thirty | forty | fifty | sixty | ninety
`;
/** "ten, no, sorry, five minutes": of two figures the one that was taken back. */
const TAKEN_BACK = new RegExp(
  String.raw`\b${AMOUNTS}(?:\s\p{L}+)?,?\s+(?:no,?\s+(?:sorry,?\s+)?|sorry,\s+|I mean,?\s+|or rather,?\s+)(?=${AMOUNTS_AFTER}\b)`,
  'giu',
);
/** Said twice to say it firmly. */
const FIRM = /^(?:very|never|no|yes|please|always|more|stop|now|slowly|again|really|well)$/i;

/**
 * Stretches of spoken words that can be left out without a loss: sounds, words that hold the floor, a start that was
 * made twice. In order, none within another.
 */
export function hesitationsIn(text: string): Range[] {
  const found = [
    ...[...text.matchAll(TWICE)]
      .filter((match) => !FIRM.test(match[1]))
      .map((match) => ({ from: match.index, to: match.index + match[0].length })),
    ...[...text.matchAll(TAKEN_BACK)].map((match) => ({ from: match.index, to: match.index + match[0].length })),
    ...[...text.matchAll(FILLED)].map((match) => ({ from: match.index, to: match.index + match[0].length })),
  ].sort((a, b) => a.from - b.from || b.to - a.to);
  return found.filter((range, at) => !found.slice(0, at).some((other) => range.from < other.to));
}
