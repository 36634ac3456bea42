import type { LeftOut, MissingReason, SaidCounts, SaidKind } from '../course/left-out';
import type { Use } from '../course/uses';
import type { Claim, Knowledge } from '../knowledge';
import { roughWords } from '../source/words';
import { facetsOf, facetsOfText } from '../unit/facets';

/** One line of the list of what is not in the course: words that stand together in a source, with what they say. */
export interface LeftOutLine {
  sourceId: string;
  /** The heading they stand under. */
  topic: string;
  reason: MissingReason;
  passages: LeftOut['passages'];
  text: string;
  words: number;
  kinds: SaidCounts;
}

/** What drafting left out and no evidence covers since, in the order of the sources. */
export function leftOutLines(
  leftOut: readonly (Omit<LeftOut, 'reason'> & { reason: MissingReason })[],
  uses: ReadonlyMap<string, readonly Use[]>,
  knowledge: readonly Knowledge[],
): LeftOutLine[] {
  const owner = new Map(
    knowledge.flatMap((each) => each.source.passages.map((passage) => [passage.id, each] as const)),
  );
  const claims = claimsByPassage(knowledge);
  return leftOut.flatMap(({ passages, reason }): LeftOutLine[] => {
    const open = passages.filter(
      ({ id, from, to }) =>
        owner.has(id) && !(uses.get(id) ?? []).some((use) => use.check === undefined && use.from < to && use.to > from),
    );
    const [first] = open;
    if (!first) return [];
    const each = owner.get(first.id)!;
    const text = open.map(({ id, from, to }) => owner.get(id)!.passages.get(id)!.text.slice(from, to)).join(' ');
    const own = new Set(
      open.flatMap(({ id, from, to }) =>
        (claims.get(id) ?? []).filter((claim) =>
          claim.ranges.some((range) => range.id === id && range.from < to && range.to > from),
        ),
      ),
    );
    return [
      {
        sourceId: each.source.id,
        topic: each.passages.get(first.id)!.locator.path.at(-1) ?? each.source.title,
        reason,
        passages: open,
        text,
        words: roughWords(text),
        kinds: kindsOf(own, each, text, open.length),
      },
    ];
  });
}

function kindsOf(
  claims: ReadonlySet<Claim>,
  { pack }: Knowledge,
  text: string,
  passages: number,
): LeftOutLine['kinds'] {
  const counts: LeftOutLine['kinds'] = {};
  if (claims.size === 0) for (const facet of facetsOfText(text, pack)) counts[facet] = 1;
  for (const claim of claims) for (const kind of saidKinds(claim, pack)) counts[kind] = (counts[kind] ?? 0) + 1;
  return Object.keys(counts).length > 0 ? counts : { passage: passages };
}

/** What a claim says, for counting: its facets, and its kind where it has none. */
export function saidKinds(claim: Claim, pack: Knowledge['pack']): SaidKind[] {
  const facets = facetsOf(claim, pack);
  return facets.length > 0 ? facets : [claim.kind];
}

function claimsByPassage(knowledge: readonly Knowledge[]): Map<string, Claim[]> {
  const found = new Map<string, Claim[]>();
  for (const claim of knowledge.flatMap((each) => each.claims))
    for (const id of new Set(claim.ranges.map((range) => range.id))) found.set(id, [...(found.get(id) ?? []), claim]);
  return found;
}
