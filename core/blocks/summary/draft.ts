import type { Block } from '../forms';
import { idFrom } from '../../document/id';
import type { Matter, Part } from '../../lesson/parts';
import { richSentence } from '../../lesson/rich';
import { facetsOf, type Facet } from '../../unit/facets';
import { edited, type UsedSentence } from '../../unit/shown';

const LEAST_WORDS = 180;
const LONGEST_POINT = 28;
const SHORTEST_POINT = 6;
/** A point for so many words of a lesson, and no more than this. */
const POINTS = { each: 90, fewest: 2, most: 5 };
/** What weighs in a claim: above all what must not be missed, then how firmly it is said. */
const WEIGHT: Record<Facet, number> = { emergency: 4, prohibition: 3, limit: 3, deadline: 3, exception: 2.5 };
const FIRM = { must: 1, should: 0.5, may: 0.25 };
const KINDS = { warning: 2.5, rule: 2, figure: 2, definition: 1 } as const;
/** A second point of one part is worth less than the first of another. */
const AGAIN = 0.6;

/**
 * What to take along from a longer lesson: its heaviest claims in the order taught, from as many of its parts as can
 * be. Whole sentences that stand alone; none for short lessons, nor where it cannot be told surely what stands alone.
 */
export function summaryOf(parts: readonly Part[], matter: Matter, place: string): Block | undefined {
  const words = parts.reduce((sum, part) => sum + part.words, 0);
  if (words < LEAST_WORDS) return undefined;
  const candidates = parts.flatMap((part, order) =>
    part.kind === 'text' || part.kind === 'list' || part.kind === 'steps'
      ? part.items
          .flatMap((item) => item.sentences)
          .map((used, at) => ({ used, order, at, score: worthOf(used, matter) }))
          .filter(({ score }) => score > 0)
      : [],
  );
  const most = Math.min(POINTS.most, Math.max(POINTS.fewest, Math.floor(words / POINTS.each)));
  const taken: typeof candidates = [];
  while (taken.length < most && taken.length < candidates.length) {
    const worth = ({ order, score }: (typeof candidates)[number]) =>
      score * AGAIN ** taken.filter((other) => other.order === order).length;
    const open = candidates.filter((each) => !taken.includes(each));
    taken.push(open.reduce((best, each) => (worth(each) > worth(best) ? each : best)));
  }
  if (taken.length < POINTS.fewest) return undefined;
  const id = idFrom('b', place);
  const inOrder = taken.sort((a, b) => a.order - b.order || a.at - b.at);
  return { id, kind: 'summary', body: { points: inOrder.map(({ used }) => richSentence(used, id)) } };
}

function worthOf(used: UsedSentence, matter: Matter): number {
  const { sentence } = used;
  const { facts } = sentence;
  const { pack } = matter.of(sentence.passage.id);
  if (
    !facts ||
    !pack.understands ||
    facts.leaning ||
    facts.pointsWithin ||
    facts.past ||
    facts.firstPerson ||
    facts.words > LONGEST_POINT ||
    facts.words < SHORTEST_POINT ||
    !/[.!]["'”’)]*$/.test(edited(used)) ||
    /[[\]`{}<>]|https?:/.test(edited(used))
  )
    return 0;
  const claims = (matter.claims.get(sentence.passage.id) ?? []).filter((claim) =>
    claim.ranges.some((range) => range.from >= sentence.from && range.to <= sentence.to),
  );
  if (claims.length === 0) return 0;
  const facets = new Set(claims.flatMap((claim) => facetsOf(claim, pack)));
  const kinds = claims.map(({ kind }) => KINDS[kind as keyof typeof KINDS] ?? 0);
  const firm = claims.map(({ rule }) => (rule ? FIRM[rule.strength] : 0));
  const heaviest = Math.max(0, ...kinds, ...[...facets].map((facet) => WEIGHT[facet]));
  return heaviest === 0 ? 0 : heaviest + Math.max(0, ...firm) + (facets.size > 1 ? 0.5 * (facets.size - 1) : 0);
}
