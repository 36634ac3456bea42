import type { Knowledge } from './index';

/**
 * A name is written with its capital so often inside of sentences, and at most this share as often in small letters
 * ("dovecot" is a command, too).
 */
const LEAST = 2;
const SMALL = 0.34;
const INSIDE = /(?<=[\p{L}\p{N},;:)] )\p{Lu}\p{Ll}[\p{L}\p{N}]*/gu;

const kept = new WeakMap<Knowledge, ReadonlyMap<string, string>>();

/**
 * Words that a source writes with a capital wherever they stand within a sentence, by the same in small letters:
 * "dovecot" is "Dovecot" there. For languages in which only names have capitals.
 */
export function namesIn(knowledge: Knowledge): ReadonlyMap<string, string> {
  const known = kept.get(knowledge);
  if (known) return known;
  const found = names(knowledge);
  kept.set(knowledge, found);
  return found;
}

function names({ sentences }: Knowledge): Map<string, string> {
  const counts = new Map<string, { written: string; times: number }>();
  const texts = [...sentences.values()].flatMap((own) => own.map(({ text }) => text));
  for (const text of texts)
    for (const [written] of text.matchAll(INSIDE)) {
      const entry = counts.get(written.toLowerCase());
      if (entry) entry.times++;
      else counts.set(written.toLowerCase(), { written, times: 1 });
    }
  const small = new Map<string, number>();
  for (const text of texts)
    for (const [word] of text.matchAll(WORD)) if (counts.has(word)) small.set(word, (small.get(word) ?? 0) + 1);
  return new Map(
    [...counts]
      .filter(([word, { times }]) => times >= LEAST && (small.get(word) ?? 0) <= times * SMALL)
      .map(([word, { written }]) => [word, written]),
  );
}

/** A word in small letters that is no part of a path, address or option. */
const WORD = /(?<![\p{L}\p{N}/._-])\p{Ll}[\p{L}\p{N}]*(?![\p{L}\p{N}/_-]|\.\p{L})/gu;

/** A text with the capitals that its names have in the source. */
export const withNames = (text: string, known: ReadonlyMap<string, string>): string =>
  known.size === 0 ? text : text.replace(WORD, (word) => known.get(word) ?? word);
