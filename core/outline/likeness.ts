import type { Knowledge } from '../knowledge';
import { passagesOf, type Scope } from './scope';

/** The stems of a scope's headings, twice, and of all it says. */
export function stemsOf(scope: Pick<Scope, 'sections'>, { pack, sentences }: Knowledge): string[] {
  const heading = scope.sections.flatMap((section) => pack.stems(section.title));
  return [
    ...heading,
    ...heading,
    ...passagesOf(scope).flatMap((id) => (sentences.get(id) ?? []).flatMap((sentence) => sentence.stems)),
  ];
}

/** How much each stem tells of each of some things: the more often in it and the rarer in all, the more (tf-idf). */
export function weightedStems<Key>(
  entries: readonly { of: Key; stems: readonly string[] }[],
): Map<Key, Map<string, number>> {
  const spread = new Map<string, number>();
  for (const { stems } of entries) for (const stem of new Set(stems)) spread.set(stem, (spread.get(stem) ?? 0) + 1);
  return new Map(
    entries.map(({ of, stems }) => {
      const counts = stems.reduce((map, stem) => map.set(stem, (map.get(stem) ?? 0) + 1), new Map<string, number>());
      return [
        of,
        new Map(
          [...counts].map(([stem, count]) => [
            stem,
            (1 + Math.log(count)) * Math.log((1 + entries.length) / spread.get(stem)!),
          ]),
        ),
      ];
    }),
  );
}
