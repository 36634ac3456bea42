import type { Course, Settlement } from './course';
import type { Operation } from './operations';
import type { PassageRange } from '../document/rich-text';

/** Settles a contradiction, or settles it anew. `sides` are the words of the two, in order. */
export function settle(
  course: Course,
  id: string,
  holds: Settlement['holds'],
  sides: readonly [PassageRange[], PassageRange[]],
  words = '',
): Operation[] {
  const gone = holds === 'both' ? [] : sides[holds === 'first' ? 1 : 0];
  const said = words.trim();
  const next = [
    ...(course.settled ?? []).filter((each) => each.id !== id),
    { id, holds, gone, ...(said && { words: said }) },
  ];
  return [{ type: 'set', id: course.id, field: 'settled', value: next, was: course.settled ?? null }];
}

/** Opens a settled contradiction again. */
export function unsettle(course: Course, id: string): Operation[] {
  const left = (course.settled ?? []).filter((each) => each.id !== id);
  return [
    { type: 'set', id: course.id, field: 'settled', value: left.length > 0 ? left : null, was: course.settled ?? null },
  ];
}

/** The words that the author found not to hold. */
export function goneWords(course: Pick<Course, 'settled'>): PassageRange[] {
  return (course.settled ?? []).flatMap((each) => each.gone);
}
