import { weighed } from '../language/similarity';
import type { OwnLesson } from '../own/own';
import { isGlossary } from './titles';

/** A heading that a point of a lesson names counts a little less than one that its title names. */
const POINT = 0.9;
/** A word that no source has weighs so much more than the rarest of theirs. */
const UNKNOWN = 1.5;
/** Words of a lesson's title count so much more than its objective's and points'. */
const TITLE = 3;
/** Shorter words in letters alone end many others. */
const SHORTEST = 6;

/** A title or heading, to be held against others. */
export interface Said {
  letters: string;
  stems: ReadonlySet<string>;
  /** It heads words and their meanings. */
  isGlossary: boolean;
}

/** A lesson of an author's outline, to be held against headings and texts. */
export interface SaidLesson {
  title: Said;
  points: Said[];
  /** All its stems, those of the title so often as they count. */
  all: string[];
}

/** What some words say. */
export const saidIn = (text: string, stems: (text: string) => string[]): Said => ({
  letters: text.toLowerCase().replace(/[^\p{L}\p{N}]+/gu, ''),
  stems: new Set(stems(text)),
  isGlossary: isGlossary(text),
});

/** What a lesson says. */
export function saidLesson(
  { title, objective = '', points }: OwnLesson,
  stems: (text: string) => string[],
): SaidLesson {
  const own = stems(title);
  return {
    title: saidIn(title, stems),
    points: points.map((point) => saidIn(point, stems)),
    all: [...Array.from({ length: TITLE }, () => own).flat(), ...stems([objective, ...points].join(' '))],
  };
}

/** How much of some words, by weight, others have, 0 to 1. */
export type Share = (words: ReadonlySet<string>, among: ReadonlySet<string>) => number;

/** Weighs shares by how telling each stem is; a word that no source has tells most. */
export function sharesBy(weights: ReadonlyMap<string, number>): Share {
  const unknown = [...weights.values()].reduce((most, weight) => Math.max(most, weight), 1) * UNKNOWN;
  return (words, among) => {
    const own = [...words];
    const all = own.reduce((sum, stem) => sum + (weights.get(stem) ?? unknown), 0);
    const shared = own.filter((stem) => among.has(stem));
    return all === 0 ? 0 : weighed(shared, weights) / all;
  };
}

/** How surely a lesson's title or points name what stands under a heading, 0 to 1. */
export function naming({ title, points }: SaidLesson, heading: Said, share: Share): number {
  const one = (words: Said): number => {
    if (words.isGlossary && heading.isGlossary) return 1;
    // "Needle stick", "needlestick".
    if (heading.letters.length >= SHORTEST && words.letters.endsWith(heading.letters)) return 1;
    return Math.max(share(heading.stems, words.stems), share(words.stems, heading.stems));
  };
  return points.reduce((best, point) => Math.max(best, one(point) * POINT), one(title));
}
