import type { CourseRole } from '../database/people';

/** Who may call a route. `author`, `reader`: by their role in the course the route names. */
export type Right = 'anyone' | 'signed-in' | 'owner' | 'author' | 'reader';

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
  return right === 'author' ? role === 'author' : role === 'author' || role === 'reviewer';
}
