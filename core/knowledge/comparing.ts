import { idFrom } from '../document/id';
import type { PassageRange } from '../document/rich-text';
import { byStem, stemWeights, weighed } from '../language/similarity';
import type { Claim } from './claim';
import type { Knowledge, Sentence } from './index';

/** A sentence of one of two documents, where it stands. */
export interface Said {
  text: string;
  range: PassageRange;
  path: string[];
  /** Kinds of claims it makes. */
  kinds: Claim['kind'][];
}

/** Two documents set side by side. */
export interface Comparison {
  same: number;
  /** What both say, differently, in the order of the first; as claims of kind comparison they can be taught from. */
  differs: { claim: Claim; sides: [Said, Said]; likeness: number }[];
  /** What only one of them says. */
  onlyFirst: Said[];
  onlySecond: Said[];
}

/**
 * From this likeness on (share of the weighted stems in common) two sentences are about the same; read on pairs of the
 * demo's and the test documents.
 */
const ALIKE = 0.5;
/** Stems in more sentences than this find no partner. */
const COMMON = 120;
const LEAST_STEMS = 3;

interface Entry {
  said: Said;
  stems: Set<string>;
  key: string;
  weight: number;
}

/**
 * Compares two documents of one kind (old and new, ours and another's) sentence by sentence: what both say letter by
 * letter, what both say differently, and what only one says. A sentence has one partner at most, the most alike first.
 */
export function compareDocuments(first: Knowledge, second: Knowledge): Comparison {
  const [left, right] = [entriesOf(first), entriesOf(second)];
  const theirs = new Map<string, Entry[]>();
  for (const entry of right) theirs.set(entry.key, [...(theirs.get(entry.key) ?? []), entry]);
  const taken = new Set<Entry>();
  let same = 0;
  const open = left.filter((entry) => {
    const twin = theirs.get(entry.key)?.find((other) => !taken.has(other));
    if (!twin) return true;
    taken.add(twin);
    same++;
    return false;
  });
  const rest = right.filter((entry) => !taken.has(entry));
  const weights = stemWeights([...left, ...right]);
  for (const entry of [...open, ...rest]) entry.weight = weighed(entry.stems, weights);
  const pairs = pairsOf(open, rest, weights);
  const done = new Set<Entry>();
  const chosen = new Map<Entry, { other: Entry; likeness: number }>();
  for (const { entry, other, likeness } of pairs) {
    if (done.has(entry) || done.has(other)) continue;
    done.add(entry).add(other);
    chosen.set(entry, { other, likeness });
  }
  return {
    same,
    differs: open.flatMap((entry) => {
      const found = chosen.get(entry);
      if (!found) return [];
      const sides: [Said, Said] = [entry.said, found.other.said];
      const ranges = sides.map((side) => side.range);
      const claim: Claim = {
        id: idFrom('c', 'comparison', ...ranges.flatMap((range) => [range.id, range.from, range.to])),
        kind: 'comparison',
        sourceId: first.source.id,
        ranges,
        text: sides.map((side) => side.text).join(' / '),
      };
      return [{ claim, sides, likeness: Math.round(found.likeness * 100) / 100 }];
    }),
    onlyFirst: open.filter((entry) => !done.has(entry)).map((entry) => entry.said),
    onlySecond: rest.filter((entry) => !done.has(entry)).map((entry) => entry.said),
  };
}

/** Sentences, those apart that only introduce what follows. */
function entriesOf({ source, sentences, claims }: Knowledge): Entry[] {
  const kinds = new Map<string, Set<Claim['kind']>>();
  for (const claim of claims)
    for (const range of claim.ranges)
      kinds.set(`${range.id}/${range.from}`, (kinds.get(`${range.id}/${range.from}`) ?? new Set()).add(claim.kind));
  const said = (sentence: Sentence): Said => ({
    text: sentence.text,
    range: { id: sentence.passage.id, from: sentence.from, to: sentence.to },
    path: sentence.passage.locator.path,
    kinds: [...(kinds.get(`${sentence.passage.id}/${sentence.from}`) ?? [])],
  });
  return source.passages
    .flatMap((passage) =>
      (sentences.get(passage.id) ?? []).map((sentence): Entry => ({
        said: said(sentence),
        stems: new Set(sentence.stems),
        key: sentence.text
          .toLowerCase()
          .replace(/[^\p{L}\p{N}]+/gu, ' ')
          .trim(),
        weight: 0,
      })),
    )
    .filter((entry) => entry.key !== '' && !/[:：]$/.test(entry.said.text));
}

/** Pairs that are alike enough, the most alike first. */
function pairsOf(left: readonly Entry[], right: readonly Entry[], weights: ReadonlyMap<string, number>) {
  const sharing = byStem(right.filter((entry) => entry.stems.size >= LEAST_STEMS));
  const place = new Map([...left, ...right].map((entry, at) => [entry, at]));
  return left
    .flatMap((entry) => {
      if (entry.stems.size < LEAST_STEMS) return [];
      const others = new Set(
        [...entry.stems].flatMap((stem) =>
          (sharing.get(stem)?.length ?? 0) <= COMMON ? (sharing.get(stem) ?? []) : [],
        ),
      );
      return [...others].flatMap((other) => {
        const shared = weighed(
          [...entry.stems].filter((stem) => other.stems.has(stem)),
          weights,
        );
        const likeness = shared / (entry.weight + other.weight - shared);
        return likeness >= ALIKE ? [{ entry, other, likeness }] : [];
      });
    })
    .sort(
      (a, b) =>
        b.likeness - a.likeness ||
        place.get(a.entry)! - place.get(b.entry)! ||
        place.get(a.other)! - place.get(b.other)!,
    );
}
