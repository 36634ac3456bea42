import type { Knowledge } from '../knowledge';
import { cosine } from '../language/similarity';
import { passagesOf, type Dropped, type Scope } from './scope';
import type { ScopeGroup } from './scopes';

/** From this likeness on (cosine of weighted stems) a part of another source belongs to a lesson's topic; read on pairs of the demo's and the test documents. */
const ALIKE = 0.1;
/** A part that is clearly more like one lesson than like any other belongs to it from here on. */
const CLEARLY = { alike: 0.06, ahead: 1.6 };
/** Less than this a part has to do with no module: it begins one of its own. */
const RELATED = 0.015;
/** A lesson of its own has so many words; a smaller part that fits no topic stands with its neighbour of the same source. */
const LESSON = 60;

/** A source cut into parts that each are about one thing. */
interface Part {
  knowledge: Knowledge;
  groups: ScopeGroup[];
}

/**
 * Brings several sources together by topic. The leading source gives the skeleton. A part of another goes to the lesson whose topic
 * it shares; what shares none becomes a lesson of its own behind the lesson that it is most like, whichever document it comes
 * from; what has nothing to do with any is a module, called by its content. A source that only supports makes none, and what of it
 * fits nowhere is left out.
 */
export function bringTogether(parts: readonly Part[], leading: number, dropped: Dropped[]): ScopeGroup[] {
  const result = parts[leading].groups.map((group) => ({ ...group, scopes: [...group.scopes] }));
  const others = parts.filter((_, index) => index !== leading);
  if (others.length === 0) return result;
  const vectors = weightedStems(parts.flatMap((part) => part.groups.flatMap((group) => group.scopes.map((scope) => ({ scope, stems: stemsOf(scope, part.knowledge) })))));
  const homes = result.flatMap((group) => group.scopes.map((scope) => ({ group, scope })));
  const additions = new Map<Scope, { scope: Scope; told: boolean }[]>();
  const behind = new Map<Scope, Scope[]>();
  const alone: ScopeGroup[] = [];
  for (const { knowledge, groups } of others) {
    const told = knowledge.source.passages.some((passage) => passage.kind === 'utterance' || passage.locator.question !== undefined);
    let last: Scope | undefined;
    for (const scope of groups.flatMap((group) => group.scopes)) {
      const ranked = homes.map((home) => ({ home, score: cosine(vectors.get(scope)!, vectors.get(home.scope)!) })).sort((a, b) => b.score - a.score);
      const [best, second] = ranked;
      const fits = best.score >= ALIKE || (best.score >= CLEARLY.alike && best.score >= (second?.score ?? 0) * CLEARLY.ahead);
      if (fits) {
        additions.set(best.home.scope, [...(additions.get(best.home.scope) ?? []), { scope, told }]);
        last = best.home.scope;
      } else if (knowledge.supporting) dropped.push({ passages: passagesOf(scope), reason: 'supporting' });
      else if (scope.words < LESSON && last) additions.set(last, [...(additions.get(last) ?? []), { scope, told }]);
      else if (best.score >= RELATED) behind.set(best.home.scope, [...(behind.get(best.home.scope) ?? []), scope]);
      else alone.push({ title: scope.title, scopes: [scope] });
    }
  }
  return [
    ...result.map((group) => ({ ...group, scopes: group.scopes.flatMap((scope) => [withAdded(scope, additions.get(scope) ?? []), ...(behind.get(scope) ?? [])]) })),
    ...alone,
  ];
}

/** Within a lesson the rule comes first, from whichever document, and what somebody tells of it last. */
function withAdded(scope: Scope, added: readonly { scope: Scope; told: boolean }[]): Scope {
  const order = [...added].sort((a, b) => Number(a.told) - Number(b.told)).map((each) => each.scope);
  return {
    ...scope, sections: [...scope.sections, ...order.flatMap((each) => each.sections)],
    words: scope.words + order.reduce((sum, each) => sum + each.words, 0), weight: scope.weight + order.reduce((sum, each) => sum + each.weight, 0),
  };
}

/** The source to lead: of those not only to support, the one with most words under headings of its own; the first given among equals. */
export function leadingSource(parts: readonly Part[]): number {
  const standing = parts.map(({ knowledge, groups }) => {
    const words = groups.reduce((sum, group) => sum + group.scopes.reduce((inner, scope) => inner + scope.words, 0), 0);
    return (knowledge.source.root.sections.length >= 3 ? words : words / 4) / (knowledge.supporting ? 1e6 : 1);
  });
  return standing.indexOf(Math.max(...standing));
}

function stemsOf(scope: Scope, { pack, sentences }: Knowledge): string[] {
  const heading = scope.sections.flatMap((section) => pack.stems(section.title));
  return [...heading, ...heading, ...passagesOf(scope).flatMap((id) => (sentences.get(id) ?? []).flatMap((sentence) => sentence.stems))];
}

function weightedStems(entries: readonly { scope: Scope; stems: string[] }[]): Map<Scope, Map<string, number>> {
  const spread = new Map<string, number>();
  for (const { stems } of entries) for (const stem of new Set(stems)) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  return new Map(
    entries.map(({ scope, stems }) => {
      const counts = stems.reduce((map, stem) => map.set(stem, (map.get(stem) ?? 0) + 1), new Map<string, number>());
      return [scope, new Map([...counts].map(([stem, count]) => [stem, (1 + Math.log(count)) * Math.log((1 + entries.length) / spread.get(stem)!)]))];
    }),
  );
}
