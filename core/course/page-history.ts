import { checksOn } from '../blocks/forms';
import type { Check } from '../checks/forms';
import { sameData } from '../document/canonical';
import { allLessons, type Course, type Lesson } from './course';
import { pageOperations } from './lesson-changes';
import type { Operation } from './operations';

/** A lesson as it stood, with the checks that had their place on its page. */
export interface PageThen {
  lesson: Lesson;
  checks: Check[];
}

/** A lesson of a course with its checks; undefined where it has no such lesson. */
export function pageAt(course: Course, lessonId: string): PageThen | undefined {
  const lesson = allLessons(course).find(({ id }) => id === lessonId);
  if (!lesson) return undefined;
  const placed = new Set(checksOn(lesson));
  return { lesson, checks: course.checks.filter(({ id }) => placed.has(id)) };
}

/** Ids of all that ever stood on a lesson's page, by the page as it is and the changes that name the lesson. */
export function blockIdsOf(course: Course, lessonId: string, changes: readonly Operation[]): string[] {
  const now = allLessons(course).find(({ id }) => id === lessonId);
  const ids = new Set([...(now?.blocks ?? []).map(({ id }) => id), ...(now ? checksOn(now) : [])]);
  for (const operation of changes) {
    if (operation.type === 'insert') {
      if (operation.kind === 'block' && operation.parent === lessonId) ids.add(operation.node.id);
      if (operation.kind === 'lesson' && operation.node.id === lessonId)
        for (const { id } of (operation.node as Lesson).blocks) ids.add(id);
    } else if (operation.type === 'move' && operation.parent === lessonId) ids.add(operation.id);
  }
  return [...ids];
}

/**
 * The operations that bring a lesson's page, title and checks back to how they stood; everything else of the course
 * stays. Parts that lie in the bin come out of it.
 */
export function pageBack(course: Course, { lesson: then, checks }: PageThen): Operation[] {
  const now = allLessons(course).find(({ id }) => id === then.id);
  if (!now) return [];
  const known = new Map(course.checks.map((check) => [check.id, check]));
  let after = course.checks.at(-1)?.id ?? null;
  const asked = checks.flatMap((check): Operation[] => {
    const standing = known.get(check.id);
    if (!standing) {
      const operation: Operation = { type: 'insert', kind: 'check', parent: course.id, after, node: check };
      after = check.id;
      return [operation];
    }
    if (standing.kind !== check.kind) return [];
    const [was, is] = [standing, check] as unknown as Record<string, unknown>[];
    return [...new Set([...Object.keys(was), ...Object.keys(is)])]
      .filter((field) => field !== 'id' && field !== 'kind' && !sameData(was[field] ?? null, is[field] ?? null))
      .map((field) => ({ type: 'set', id: check.id, field, value: is[field] ?? null, was: was[field] ?? null }));
  });
  // A part that stands on another page by now stays there.
  const elsewhere = new Set(
    allLessons(course)
      .filter(({ id }) => id !== then.id)
      .flatMap(({ blocks }) => blocks.map(({ id }) => id)),
  );
  return [
    ...(now.title === then.title
      ? []
      : [{ type: 'set' as const, id: now.id, field: 'title', value: then.title, was: now.title }]),
    ...asked,
    ...pageOperations(
      now.id,
      now.blocks,
      then.blocks.filter(({ id }) => !elsewhere.has(id)),
    ),
  ];
}
