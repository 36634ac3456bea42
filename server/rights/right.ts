import type { CourseRole } from '../database/people';

/** Who may call a route. `author`, `marker`, `reader`: by their role in the course the route names. */
export type Right = 'anyone' | 'signed-in' | 'owner' | 'author' | 'marker' | 'reader';

/** The roles that have each right in a course. */
const HAVE: Record<'author' | 'marker' | 'reader', readonly CourseRole[]> = {
  author: ['author'],
  marker: ['author', 'marker'],
  reader: ['author', 'reviewer', 'marker'],
};

/**
 * Whether somebody has a right. `role` is theirs in the course at hand; an installation's owner may not read others'
 * courses.
 */
export function mayCall(
  right: Right,
  person: { role: 'owner' | 'member' } | undefined,
  role: CourseRole | undefined,
): boolean {
  if (right === 'anyone') return true;
  if (!person) return false;
  if (right === 'signed-in') return true;
  if (right === 'owner') return person.role === 'owner';
  return role !== undefined && HAVE[right].includes(role);
}
