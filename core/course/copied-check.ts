import type { Check } from '../checks/forms';
import type { Course } from './course';

/**
 * A question of another course as one of this one: under an id of its own, for a lesson of this course. Evidence stays
 * where this course stands on the same passages; words of sources stay as words. Its objective and its picture, which
 * are the other course's, stay behind.
 */
export function copiedCheck(check: Check, lessonId: string, id: string, known: (passage: string) => boolean): Check {
  const copy = JSON.parse(JSON.stringify(check), (key: string, value: unknown) => {
    // A quote says where it is from; where that is no source of this course, it is words alone.
    if (key !== 'passage' || typeof value !== 'object' || value === null) return value;
    return known((value as { id: string }).id) ? value : undefined;
  }) as Check;
  delete copy.objectiveId;
  delete copy.picture;
  delete copy.refused;
  return { ...copy, id, lessonId, evidence: copy.evidence.filter((range) => known(range.id)) };
}

/** Passages that a course stands on or plans: what is known to be its sources' without looking at them. */
export function passagesOf(course: Course): Set<string> {
  const planned = course.modules.flatMap(({ lessons }) => lessons.flatMap((lesson) => lesson.plannedPassages));
  return new Set([...planned, ...course.checks.flatMap(({ evidence }) => evidence.map((range) => range.id))]);
}
