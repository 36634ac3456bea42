import type { Block } from '../forms';
import { idFrom } from '../../document/id';
import type { Matter, Part } from '../../lesson/parts';
import { richSentence } from '../../lesson/rich';
import { edited, type UsedSentence } from '../../unit/shown';

const LEAST_WORDS = 260;
const LONGEST_POINT = 28;
const WORTH = { definition: 3, rule: 2.5, warning: 2.5, figure: 2 } as const;

/**
 * Two to four sentences worth taking along from a longer lesson: its strongest rules, definitions and figures that
 * stand alone. None for short lessons, nor where it cannot be told surely what stands alone.
 */
export function summaryOf(parts: readonly Part[], matter: Matter, place: string): Block | undefined {
  const words = parts.reduce((sum, part) => sum + part.words, 0);
  if (words < LEAST_WORDS) return undefined;
  const candidates = parts.flatMap((part, order) =>
    part.kind !== 'text'
      ? []
      : part.items
          .flatMap((item) => item.sentences)
          .flatMap((used) => {
            const score = worthOf(used, matter);
            return score > 0 ? [{ used, order, score }] : [];
          }),
  );
  const best = candidates
    .sort((a, b) => b.score - a.score || a.order - b.order)
    .slice(0, Math.min(4, Math.floor(words / 110)));
  if (best.length < 2) return undefined;
  const id = idFrom('b', place);
  return {
    id,
    kind: 'summary',
    body: { points: best.sort((a, b) => a.order - b.order).map(({ used }) => richSentence(used, id)) },
  };
}

function worthOf(used: UsedSentence, matter: Matter): number {
  const { sentence } = used;
  const { facts } = sentence;
  if (
    !facts ||
    !matter.of(sentence.passage.id).pack.understands ||
    facts.leaning ||
    facts.pointsWithin ||
    facts.words > LONGEST_POINT ||
    facts.words < 6 ||
    /[?:]$|[[\]`{}<>]|https?:|\bmore information\b/i.test(edited(used))
  )
    return 0;
  const kinds = (matter.claims.get(sentence.passage.id) ?? [])
    .filter((claim) => claim.ranges.some((range) => range.from >= sentence.from && range.to <= sentence.to))
    .map((claim) => WORTH[claim.kind as keyof typeof WORTH] ?? 0);
  return kinds.length === 0 ? 0 : Math.max(...kinds) + (kinds.length - 1) * 0.2;
}
