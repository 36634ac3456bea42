import type { Course } from '../../core/course/course';
import { standsOn } from '../../core/course/standing';
import type { Newer } from '../desk/sources';

/** What a newer version means for a course: its changes, and what stood on passages that changed or are gone. */
export function meaningFor(course: Course, newer: Newer) {
  if (newer.same) return { same: true as const };
  const touched = new Set([...newer.change.changed, ...newer.change.gone].map((passage) => passage.id));
  const lessons = (id: string) => standsOn(course, (range) => range.id === id).lessons;
  const { same: kept, moved, added } = newer.change;
  return {
    same: false as const,
    kept,
    moved,
    added,
    ...standsOn(course, (range) => touched.has(range.id)),
    changed: newer.change.changed.map((each) => ({ ...each, lessons: lessons(each.id) })),
    gone: newer.change.gone.map((each) => ({ ...each, lessons: lessons(each.id) })),
  };
}
