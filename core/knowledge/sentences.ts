import type { LanguagePack, SentenceFacts, TaggedWord } from '../language/pack';
import { roughWords } from '../source/words';
import { allSections, type Passage, type Source } from '../source/source';

/** A sentence of a passage, with what the language pack sees in it. */
export interface Sentence {
  passage: Passage;
  /** Its place in the passage: characters, and the how-manieth sentence. */
  from: number;
  to: number;
  index: number;
  text: string;
  words: number;
  stems: string[];
  tags: TaggedWord[];
  facts?: SentenceFacts;
  /** Mostly names, symbols or program text: no prose to teach from. */
  technical: boolean;
}

/** All sentences of a source by passage. Code has none; a table row is one. */
export function sentencesOf(source: Source, pack: LanguagePack): Map<string, Sentence[]> {
  const found = new Map<string, Sentence[]>();
  const titles = namedSections(source);
  for (const passage of source.passages) {
    if (passage.kind === 'code') continue;
    const ranges = passage.kind === 'row' ? [{ from: 0, to: passage.text.length }] : pack.sentences(passage.text);
    found.set(
      passage.id,
      ranges.map((range, index) => sentenceAt(passage, range, index, pack, titles)),
    );
  }
  return found;
}

/** Longer than this in characters, it is no sentence of a person: neither understood nor compared. */
const LONGEST_SENTENCE = 1500;

/** Whether a text is longer than any sentence of a person. */
export const isOverlong = (text: string): boolean => text.length >= LONGEST_SENTENCE;

/**
 * Titles of sections as they may be named in a sentence ("see Handling bugs"): of two words or more, or one long one.
 */
function namedSections(source: Source): string[] {
  const titles = allSections(source.root)
    .slice(1)
    .map((section) => section.title.replace(/[.?!:]+$/, ''))
    .filter((title) => title.length >= 6 && (title.includes(' ') || title.length >= 9));
  return [...new Set(titles)];
}

function sentenceAt(
  passage: Passage,
  { from, to }: { from: number; to: number },
  index: number,
  pack: LanguagePack,
  titles: readonly string[],
): Sentence {
  const text = passage.text.slice(from, to);
  const readable = !isOverlong(text);
  // A row is cells, not a sentence, and nothing but its figures is looked for in it.
  const tags = pack.tags && passage.kind !== 'row' && readable ? pack.tags(text) : [];
  const facts = pack.facts && readable ? pack.facts(text, tags) : undefined;
  if (facts && !facts.leaning && pack.sendsTo?.(text, titles)) facts.leaning = 'points-elsewhere';
  return {
    passage,
    from,
    to,
    index,
    text,
    words: roughWords(text),
    stems: readable ? pack.stems(text) : [],
    tags,
    ...(facts && { facts }),
    technical: readable && isTechnical(text),
  };
}

/** More symbols than prose has. */
export function isTechnical(text: string): boolean {
  const letters = text.match(/[\p{L}\s]/gu)?.length ?? 0;
  const symbols = text.match(/[{}[\]<>=|\\;$#@^~*_/+]/g)?.length ?? 0;
  return symbols > 0.09 * letters || /\b[a-z]+\([a-z]*\)\s*[;{]|&&|\|\||=>|[<>]{2}|\s--?[a-z]\S*\s--?[a-z]/.test(text);
}
