import { asSet } from '../source/words';

export { overlap } from '../source/words';

/** Share of the first list's stems that the second has too, 0 to 1. */
export function contained(part: Iterable<string>, whole: Iterable<string>): number {
  const left = asSet(part);
  const right = asSet(whole);
  if (left.size === 0) return 0;
  let shared = 0;
  for (const stem of left) if (right.has(stem)) shared++;
  return shared / left.size;
}

/** How telling each stem is: the fewer of some texts have it, the more. */
export function stemWeights(texts: readonly { stems: ReadonlySet<string> }[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { stems } of texts) for (const stem of stems) counts.set(stem, (counts.get(stem) ?? 0) + 1);
  return new Map([...counts].map(([stem, count]) => [stem, Math.log(1 + texts.length / count)]));
}

/** The weights of some stems together. */
export const weighed = (stems: Iterable<string>, weights: ReadonlyMap<string, number>): number =>
  [...stems].reduce((total, stem) => total + (weights.get(stem) ?? 0), 0);

/** How often each stem stands in a list. */
export function countsOf(stems: Iterable<string>): Map<string, number> {
  const found = new Map<string, number>();
  for (const stem of stems) found.set(stem, (found.get(stem) ?? 0) + 1);
  return found;
}

/** How alike two texts are by their stems' weights, 0 to 1. */
export function cosine(a: ReadonlyMap<string, number>, b: ReadonlyMap<string, number>): number {
  const norm = (map: ReadonlyMap<string, number>) =>
    Math.sqrt([...map.values()].reduce((sum, value) => sum + value * value, 0));
  let dot = 0;
  for (const [stem, value] of a) dot += value * (b.get(stem) ?? 0);
  return dot / Math.max(1e-9, norm(a) * norm(b));
}

/** Texts by the stems they have. */
export function byStem<Text extends { stems: ReadonlySet<string> }>(texts: readonly Text[]): Map<string, Text[]> {
  const found = new Map<string, Text[]>();
  for (const text of texts) {
    for (const stem of text.stems) {
      const list = found.get(stem);
      if (list) list.push(text);
      else found.set(stem, [text]);
    }
  }
  return found;
}

/**
 * Ranks documents (lists of stems) against a query by Okapi BM25 (k1 1.2, b 0.75; Robertson and Zaragoza 2009).
 */
export class Bm25 {
  private readonly postings = new Map<string, { document: number; count: number }[]>();
  private readonly lengths: number[] = [];

  constructor(documents: readonly (readonly string[])[]) {
    documents.forEach((stems, document) => {
      this.lengths.push(stems.length);
      const counts = new Map<string, number>();
      for (const stem of stems) counts.set(stem, (counts.get(stem) ?? 0) + 1);
      for (const [stem, count] of counts) {
        const list = this.postings.get(stem);
        if (list) list.push({ document, count });
        else this.postings.set(stem, [{ document, count }]);
      }
    });
  }

  /** Documents with their scores, best first; those without a common stem are left out. */
  rank(query: readonly string[]): { document: number; score: number }[] {
    const mean = this.lengths.reduce((sum, length) => sum + length, 0) / Math.max(1, this.lengths.length);
    const scores = new Map<number, number>();
    for (const stem of new Set(query)) {
      const list = this.postings.get(stem) ?? [];
      const idf = Math.log(1 + (this.lengths.length - list.length + 0.5) / (list.length + 0.5));
      for (const { document, count } of list) {
        const weight = (idf * count * 2.2) / (count + 1.2 * (0.25 + (0.75 * this.lengths[document]) / mean));
        scores.set(document, (scores.get(document) ?? 0) + weight);
      }
    }
    return [...scores]
      .map(([document, score]) => ({ document, score }))
      .sort((a, b) => b.score - a.score || a.document - b.document);
  }
}
