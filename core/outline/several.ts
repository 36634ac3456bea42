import type { Knowledge } from '../knowledge';
import { cosine } from '../language/similarity';
import { cleanTitle } from './titles';
import { passagesOf, type Dropped, type Scope } from './scope';
import { joinSmall, joinScopes, type ScopeGroup } from './scopes';

/** Two scopes this alike (cosine of weighted stems) are about the same thing. Found by reading pairs of the demo's and the test documents. */
const ALIKE = 0.2;
/** What only supports and finds no place is left out: there less is enough. Read on the demo's pairs: from here on they fit. */
const SUPPORTS = 0.11;

/** A source with fewer words left over than this gives one module. */
const LITTLE = 1500;
const LEFTOVER = { most: 420, least: 110 };

/**
 * Brings several sources together. The leading source gives the modules; scopes of the others go to the scope they are
 * most like, behind its own matter; what is like nothing keeps the groups of its source, behind the leading one's, or is
 * dropped when its source is only to support.
 */
export function bringTogether(parts: readonly { knowledge: Knowledge; groups: ScopeGroup[] }[], leading: number, dropped: Dropped[]): ScopeGroup[] {
  const result = parts[leading].groups.map((group) => ({ ...group, scopes: [...group.scopes] }));
  const others = parts.filter((_, index) => index !== leading);
  if (others.length === 0) return result;
  const vectors = weightedStems(parts.flatMap((part) => part.groups.flatMap((group) => group.scopes.map((scope) => ({ scope, stems: stemsOf(scope, part.knowledge) })))));
  const homes = result.flatMap((group, at) => group.scopes.map((scope, index) => ({ group: at, index, scope })));
  const additions = new Map<Scope, Scope[]>();
  for (const part of others) {
    const leftovers: ScopeGroup[] = [];
    for (const group of part.groups) {
      const left: Scope[] = [];
      for (const scope of group.scopes) {
        const ranked = homes
          .map((home) => ({ home, score: cosine(vectors.get(scope)!, vectors.get(home.scope)!) }))
          .sort((a, b) => b.score - a.score || a.home.group - b.home.group || a.home.index - b.home.index);
        const [best] = ranked;
        if (best && best.score >= (part.knowledge.supporting ? SUPPORTS : ALIKE)) additions.set(best.home.scope, [...(additions.get(best.home.scope) ?? []), scope]);
        else left.push(scope);
      }
      if (left.length > 0) leftovers.push({ title: group.title, scopes: left });
    }
    if (part.knowledge.supporting) {
      for (const scope of leftovers.flatMap((group) => group.scopes)) dropped.push({ passages: passagesOf(scope), reason: 'supporting' });
    } else result.push(...together(leftovers, part.knowledge));
  }
  for (const { group, index, scope } of homes) {
    const more = additions.get(scope);
    if (more) {
      result[group].scopes[index] = {
        ...scope, sections: [...scope.sections, ...more.flatMap((each) => each.sections)],
        words: scope.words + more.reduce((sum, each) => sum + each.words, 0), weight: scope.weight + more.reduce((sum, each) => sum + each.weight, 0),
      };
    }
  }
  return result;
}

/** What is left of a source: one group under its title when it is little, with its small scopes joined to lesson size. */
function together(groups: readonly ScopeGroup[], knowledge: Knowledge): ScopeGroup[] {
  const words = groups.reduce((sum, group) => sum + group.scopes.reduce((inner, scope) => inner + scope.words, 0), 0);
  if (words === 0) return [];
  const whole = words < LITTLE ? [{ title: cleanTitle(knowledge.source.title, [], ''), scopes: groups.flatMap((group) => group.scopes) }] : groups;
  return whole.map((group) => ({ ...group, scopes: joinSmall(group.scopes, LEFTOVER, (a, b) => joinScopes(a, b, undefined, knowledge)) }));
}

/** The source to lead: of those not only to support, the one with most words under headings of its own; the first given among equals. */
export function leadingSource(parts: readonly { knowledge: Knowledge; groups: ScopeGroup[] }[]): number {
  const standing = parts.map(({ knowledge, groups }) => {
    const words = groups.reduce((sum, group) => sum + group.scopes.reduce((inner, scope) => inner + scope.words, 0), 0);
    return (knowledge.source.root.sections.length >= 3 ? words : words / 4) / (knowledge.supporting ? 1e6 : 1);
  });
  return standing.indexOf(Math.max(...standing));
}

function stemsOf(scope: Scope, knowledge: Knowledge): string[] {
  const heading = scope.sections.flatMap((section) => knowledge.pack.stems(section.title));
  return [...heading, ...heading, ...scope.sections.flatMap((section) => section.passages.flatMap((id) => (knowledge.sentences.get(id) ?? []).flatMap((sentence) => sentence.stems)))];
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
