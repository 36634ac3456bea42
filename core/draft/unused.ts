import { allLessons, type Course } from '../course/course';
import { isHarmless } from '../course/left-out-words';
import { usesOf } from '../course/uses';
import type { Claim, Knowledge } from '../knowledge';
import { Bm25 } from '../language/similarity';
import type { Matter } from '../lesson/parts';
import type { DraftContext } from './context';

/** Passages looked for when a lesson's author named none. */
const MOST_FOUND = 14;
/** A passage that scores below this share of the best one is about something else. */
const CLOSE_ENOUGH = 0.35;

/** Passages that pages or placed questions stand on, or that were left out by name. */
function shownIn(course: Course): Set<string> {
  const named = (course.leftOut ?? [])
    .filter(({ reason }) => isHarmless(reason))
    .flatMap(({ passages }) => passages.map(({ id }) => id));
  return new Set([...usesOf(course).keys(), ...named]);
}

/** Passages that have their place: shown, left out by name, planned for a lesson or given to one. */
export function placedIn(course: Course): Set<string> {
  const waiting = allLessons(course).flatMap(({ plannedPassages, given = [] }) => [...plannedPassages, ...given]);
  return new Set([...shownIn(course), ...waiting]);
}

/** A passage that no lesson uses, with how well it fits a topic (a score to rank by, no probability). */
export interface UnusedPassage {
  id: string;
  sourceId: string;
  score: number;
  /** What it says, by kind of claim. */
  kinds: Claim['kind'][];
}

/** How many passages stand or fall with a passage, by its id; those that stand alone are none. */
export function companions(ids: readonly string[], { unitOf }: Pick<Matter, 'unitOf'>): Map<string, number> {
  return new Map(ids.map((id) => [id, unitOf(id).passages.length] as const).filter(([, count]) => count > 1));
}

/**
 * Passages of the sources that no page and no placed question stands on yet, those that fit a lesson best first; what
 * was left out by name is none.
 */
export function unusedFor(
  course: Course,
  lessonId: string,
  knowledge: readonly Knowledge[],
  most = 12,
): UnusedPassage[] {
  const lesson = allLessons(course).find((each) => each.id === lessonId);
  if (!lesson) return [];
  const used = shownIn(course);
  const planned = lesson.plannedPassages.flatMap((id) =>
    knowledge.flatMap((each) => each.sentences.get(id)?.flatMap((sentence) => sentence.stems) ?? []),
  );
  const stems = knowledge[0]?.pack.stems(lesson.title) ?? [];
  return rankedPassages([...stems, ...stems, ...planned], knowledge, used).slice(0, most);
}

/** What the sources hold on a topic, of what is not used: for a lesson that nothing is planned for. */
export function fittingPassages(
  topic: string,
  { knowledge, matter }: Pick<DraftContext, 'knowledge' | 'matter'>,
  used: ReadonlySet<string>,
): string[] {
  const found = rankedPassages(knowledge[0]?.pack.stems(topic) ?? [], knowledge, used).filter(
    (each) => !matter.unitOf(each.id).noise,
  );
  return found
    .filter((each) => each.score >= found[0].score * CLOSE_ENOUGH)
    .slice(0, MOST_FOUND)
    .map((each) => each.id);
}

/** Passages by how well they fit some stems (BM25), best first; `used` ones are none. */
export function rankedPassages(
  stems: readonly string[],
  knowledge: readonly Knowledge[],
  used: ReadonlySet<string>,
): UnusedPassage[] {
  const passages = knowledge.flatMap((each) =>
    each.source.passages
      .filter((passage) => !used.has(passage.id) && passage.kind !== 'code' && passage.kind !== 'footnote')
      .map((passage) => ({ passage, each })),
  );
  const index = new Bm25(
    passages.map(({ passage, each }) => (each.sentences.get(passage.id) ?? []).flatMap((sentence) => sentence.stems)),
  );
  const kinds = new Map<string, Set<Claim['kind']>>();
  for (const claim of knowledge.flatMap((each) => each.claims))
    for (const range of claim.ranges) kinds.set(range.id, (kinds.get(range.id) ?? new Set()).add(claim.kind));
  return index.rank(stems).map(({ document, score }) => {
    const { passage, each } = passages[document];
    return {
      id: passage.id,
      sourceId: each.source.id,
      score: Math.round(score * 100) / 100,
      kinds: [...(kinds.get(passage.id) ?? [])],
    };
  });
}
