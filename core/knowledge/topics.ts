import { Bm25, byStem } from '../language/similarity';
import { allSections } from '../source/source';
import type { Claim, Knowledge } from './index';
import { commonTerms } from './index';

/** A topic within a field, with what the sources hold on it. */
export interface Topic {
  /** As the sources write it. */
  label: string;
  passages: number;
  words: number;
  claims: Partial<Record<Claim['kind'], number>>;
  sourceIds: string[];
  /** Where most of it stands: headings. */
  headings: string[];
}

/** What the sources hold on a field, and the topics it falls into. */
export interface TopicView {
  /** Passages of the field, those that fit best first. */
  passages: { id: string; sourceId: string }[];
  words: number;
  claims: Partial<Record<Claim['kind'], number>>;
  topics: Topic[];
}

const MOST = 14;
/** A topic in fewer passages is a remark. */
const LEAST_PASSAGES = 2;
/** Two topics with this share of their passages in common are one. */
const SAME = 0.6;
/** A single word as common as this (Zipf) is everybody's. */
const EVERYDAY = 5.2;
/** A topic of several words says more than one word. */
const SEVERAL_WORDS = 1.6;
/** A topic that half of a field is about does not narrow it; a small field is as it is. */
const HALF = { share: 0.5, from: 12 };

/**
 * Topics of a field, from broad to narrow: `field` is what it was narrowed to so far, each step in the author's words
 * or a topic's; empty, it is all that the sources hold. A passage belongs to a field when it, or the heading above it,
 * has a word of each step. Terms that mark those passages are the topics, those with most on them first, each about
 * something of its own. Lexical, as everything here: what says the same in quite other words is not found.
 */
export function topicsOf(knowledge: readonly Knowledge[], field: readonly string[]): TopicView {
  const entries = knowledge.flatMap((each) => {
    const headings = headingsOf(each);
    return each.source.passages
      .filter((passage) => passage.kind !== 'code' && passage.kind !== 'footnote')
      .map((passage) => {
        const heading = headings.get(passage.id) ?? '';
        const own = (each.sentences.get(passage.id) ?? []).flatMap((sentence) => sentence.stems);
        return {
          id: passage.id,
          sourceId: each.source.id,
          heading,
          stems: new Set([...own, ...each.pack.stems(heading)]),
          words: (each.sentences.get(passage.id) ?? []).reduce((sum, sentence) => sum + sentence.words, 0),
        };
      });
  });
  const steps = field
    .map((words) => new Set(knowledge.flatMap((each) => each.pack.stems(words))))
    .filter((stems) => stems.size > 0);
  if (steps.length < field.length) return { passages: [], words: 0, claims: {}, topics: [] };
  const inField = entries.filter(({ stems }) => steps.every((step) => [...step].some((stem) => stems.has(stem))));
  const index = new Bm25(inField.map((entry) => [...entry.stems]));
  const ranked =
    steps.length > 0
      ? index.rank(steps.flatMap((step) => [...step])).map(({ document }) => inField[document])
      : inField;
  const claims = claimsByPassage(knowledge);
  const asked = new Set(steps.flatMap((step) => [...step]));

  const sharing = byStem(inField);
  const everywhere = byStem(entries);
  const candidates = termsOf(knowledge)
    .flatMap(({ key, label, weight }) => {
      const stems = key.split(' ');
      if (stems.every((stem) => asked.has(stem)) || isEveryday(label, knowledge)) return [];
      const found = (sharing.get(stems[0]) ?? []).filter((entry) => stems.every((stem) => entry.stems.has(stem)));
      if (found.length < LEAST_PASSAGES || (inField.length >= HALF.from && found.length > HALF.share * inField.length))
        return [];
      // What marks this field more than the rest of the sources comes first.
      const share = found.length / Math.max(...stems.map((stem) => everywhere.get(stem)?.length ?? 1));
      return [
        {
          label,
          found: new Set(found),
          score:
            Math.log2(1 + found.length) *
            Math.log(1 + inField.length / found.length) *
            weight *
            (0.4 + share) *
            (stems.length > 1 ? SEVERAL_WORDS : 1),
        },
      ];
    })
    .sort((a, b) => b.score - a.score || (a.label < b.label ? -1 : 1));

  const chosen: typeof candidates = [];
  for (const candidate of candidates) {
    if (chosen.length === MOST) break;
    const shared = (other: typeof candidate) => [...candidate.found].filter((entry) => other.found.has(entry)).length;
    if (!chosen.some((other) => shared(other) >= SAME * Math.max(candidate.found.size, other.found.size)))
      chosen.push(candidate);
  }
  const held = (list: Iterable<(typeof inField)[number]>) => {
    const all = [...list];
    return {
      words: all.reduce((sum, entry) => sum + entry.words, 0),
      claims: counted(all.flatMap((entry) => claims.get(entry.id) ?? [])),
    };
  };
  return {
    passages: ranked.map(({ id, sourceId }) => ({ id, sourceId })),
    ...held(inField),
    topics: chosen.map(({ label, found }) => ({
      label,
      passages: found.size,
      ...held(found),
      sourceIds: [...new Set([...found].map((entry) => entry.sourceId))],
      headings: commonest([...found].map((entry) => entry.heading)),
    })),
  };
}

/** A single word that everybody uses, or a number. */
function isEveryday(label: string, knowledge: readonly Knowledge[]): boolean {
  if (/\d/.test(label)) return true;
  return !/[\s-]/.test(label) && knowledge.some(({ pack }) => (pack.commonness(label.toLowerCase()) ?? 0) >= EVERYDAY);
}

/** Terms of all sources, language by language. */
function termsOf(knowledge: readonly Knowledge[]): { key: string; label: string; weight: number }[] {
  return [...new Set(knowledge.map((each) => each.pack.code))].flatMap((code) =>
    commonTerms(knowledge.filter((each) => each.pack.code === code)),
  );
}

function headingsOf({ source }: Knowledge): Map<string, string> {
  return new Map(
    allSections(source.root).flatMap((section) =>
      section.passages.map((id) => [id, section.level === 0 ? '' : section.title] as const),
    ),
  );
}

function claimsByPassage(knowledge: readonly Knowledge[]): Map<string, Claim[]> {
  const found = new Map<string, Claim[]>();
  for (const claim of knowledge.flatMap((each) => each.claims)) {
    const id = claim.ranges.at(-1)!.id;
    found.set(id, [...(found.get(id) ?? []), claim]);
  }
  return found;
}

function counted(claims: readonly Claim[]): Partial<Record<Claim['kind'], number>> {
  const counts: Partial<Record<Claim['kind'], number>> = {};
  for (const { kind } of claims) counts[kind] = (counts[kind] ?? 0) + 1;
  return counts;
}

function commonest(headings: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const heading of headings) if (heading) counts.set(heading, (counts.get(heading) ?? 0) + 1);
  return [...counts]
    .sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1))
    .slice(0, 2)
    .map(([heading]) => heading);
}
