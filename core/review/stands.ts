import type { SaidCounts } from '../course/left-out';
import type { Knowledge } from '../knowledge';
import { saidKinds } from './left-out';

/** What a lesson of an outline stands on, for an author who decides whether to take it. */
export interface Stands {
  /** Sources by title, each with the headings the lesson's passages stand under there. */
  places: { source: string; headings: string[] }[];
  /** What those passages say, by kind. */
  kinds: SaidCounts;
  /** The words it begins with, each with the id of its passage. */
  first: { id: string; text: string }[];
}

/** So many passages are shown of a lesson. */
const SHOWN = 3;

/** What each lesson stands on, by its id. */
export function standsOn(
  lessons: readonly { id: string; plannedPassages: readonly string[] }[],
  knowledge: readonly Knowledge[],
): Record<string, Stands> {
  const owner = new Map(knowledge.flatMap((each) => [...each.passages.keys()].map((id) => [id, each] as const)));
  const claims = new Map<string, SaidCounts>();
  for (const { claims: all, pack } of knowledge)
    for (const claim of all) {
      const id = claim.ranges[0].id;
      const counts = claims.get(id) ?? {};
      for (const kind of saidKinds(claim, pack)) counts[kind] = (counts[kind] ?? 0) + 1;
      claims.set(id, counts);
    }
  return Object.fromEntries(
    lessons.map(({ id, plannedPassages }) => {
      const own = plannedPassages.filter((passage) => owner.has(passage));
      const places = new Map<string, Set<string>>();
      const kinds: SaidCounts = {};
      for (const passage of own) {
        const { source, passages } = owner.get(passage)!;
        const headings = places.get(source.title) ?? new Set<string>();
        const heading = passages.get(passage)!.locator.path.at(-1);
        if (heading) headings.add(heading);
        places.set(source.title, headings);
        for (const [kind, count] of Object.entries(claims.get(passage) ?? {}) as [keyof SaidCounts, number][])
          kinds[kind] = (kinds[kind] ?? 0) + count;
      }
      return [
        id,
        {
          places: [...places].map(([source, headings]) => ({ source, headings: [...headings] })),
          kinds,
          first: own
            .slice(0, SHOWN)
            .map((passage) => ({ id: passage, text: owner.get(passage)!.passages.get(passage)!.text })),
        },
      ];
    }),
  );
}
