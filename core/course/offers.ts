import type { Check } from '../checks/forms';
import { placedChecks, type Course } from './course';

/** Questions that stand in no lesson and were not refused: what can be taken, in the order of the course. */
export function offersOf(course: Course): Check[] {
  const placed = new Set(placedChecks(course).map(({ id }) => id));
  return course.checks.filter(({ id, refused }) => !placed.has(id) && !refused);
}

/** Questions that were refused and stand nowhere. */
export function refusedIn(course: Course): Check[] {
  const placed = new Set(placedChecks(course).map(({ id }) => id));
  return course.checks.filter(({ id, refused }) => refused && !placed.has(id));
}

/**
 * Whether a drafted question may be offered after what was refused: not itself or its words again; nothing on a passage
 * that does not matter to its lesson; not in a form of asking that is not wanted.
 */
export function mayBeOffered(check: Check, refused: readonly Check[]): boolean {
  return refused.every((other) => {
    if (other.id === check.id || other.stem.toLowerCase() === check.stem.toLowerCase()) return false;
    switch (other.refused?.because) {
      case 'aside':
        return (
          other.lessonId !== check.lessonId ||
          !other.evidence.some(({ id }) => check.evidence.some((range) => range.id === id))
        );
      case 'form':
        return other.drafted === undefined || other.drafted.form !== check.drafted?.form;
      default:
        return true;
    }
  });
}
