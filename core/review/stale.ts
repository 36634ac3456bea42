import type { PassageRange } from '../document/rich-text';
import type { Use } from '../course/uses';
import type { LanguagePack } from '../language/pack';
import { overlap } from '../language/similarity';
import type { Passage } from '../source/source';

/** A passage that the course stands on and that its source does not hold any more as it was. */
export interface Stale {
  id: string;
  sourceId: string;
  /** Of the source. */
  title: string;
  before: string;
  /** What it became; absent when it is gone. */
  after?: { id: string; text: string };
  /** What each stretch that is used became: a sentence of the passage as it is now. */
  now: { from: number; to: number; text: string; range: PassageRange }[];
}

/** A sentence less alike than this to what was used is another. */
const LEAST_ALIKE = 0.3;

/** For each stretch of a passage that is used, the sentence of the passage as it is now that says it. */
export function sentencesNow(before: string, after: Passage, uses: readonly Use[], pack: LanguagePack): Stale['now'] {
  const words = (text: string) =>
    text
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .filter(Boolean);
  const sentences = pack
    .sentences(after.text)
    .map((range) => ({ ...range, text: after.text.slice(range.from, range.to) }));
  const seen = new Set<string>();
  return uses.flatMap(({ from, to }) => {
    if (seen.has(`${from}/${to}`)) return [];
    seen.add(`${from}/${to}`);
    const used = words(before.slice(from, to));
    const [best] = sentences
      .map((sentence) => ({ sentence, likeness: overlap(used, words(sentence.text)) }))
      .sort((a, b) => b.likeness - a.likeness || a.sentence.from - b.sentence.from);
    if (!best || best.likeness < LEAST_ALIKE) return [];
    return [
      { from, to, text: best.sentence.text, range: { id: after.id, from: best.sentence.from, to: best.sentence.to } },
    ];
  });
}
