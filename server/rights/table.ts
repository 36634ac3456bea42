import type { CourseRole } from '../database/people';

/** Who may call a route. `author`, `reader`: by their role in the course the route names. */
export type Right = 'anyone' | 'signed-in' | 'owner' | 'author' | 'reader';

/** Every route of the server with the right it asks for. A route that is not here is refused to everybody. */
export const RIGHTS: readonly [method: string, pattern: string, right: Right][] = [
  ['GET', '/api/start', 'anyone'],
  ['POST', '/api/sign-in', 'anyone'],
  ['POST', '/api/sign-in-as', 'anyone'],
  ['POST', '/api/first-owner', 'anyone'],
  ['POST', '/api/sign-out', 'signed-in'],
  ['GET', '/api/people', 'owner'],
  ['POST', '/api/people', 'owner'],
  ['GET', '/api/courses', 'signed-in'],
  ['POST', '/api/courses', 'signed-in'],
  ['POST', '/api/archives', 'signed-in'],
  ['GET', '/api/courses/:course', 'reader'],
  ['DELETE', '/api/courses/:course', 'author'],
  ['POST', '/api/courses/:course/operations', 'author'],
  ['POST', '/api/courses/:course/undo', 'author'],
  ['POST', '/api/courses/:course/redo', 'author'],
  ['GET', '/api/courses/:course/members', 'author'],
  ['PUT', '/api/courses/:course/members', 'author'],
  ['GET', '/api/courses/:course/figures', 'reader'],
  ['GET', '/api/courses/:course/passages', 'reader'],
  ['GET', '/api/courses/:course/archive', 'reader'],
  ['GET', '/api/courses/:course/versions', 'reader'],
  ['POST', '/api/courses/:course/versions', 'author'],
  ['POST', '/api/courses/:course/versions/:version/back', 'author'],
  ['POST', '/api/courses/:course/outline', 'author'],
  ['GET', '/api/courses/:course/changes', 'reader'],
  ['GET', '/api/courses/:course/events', 'reader'],
  ['GET', '/api/courses/:course/jobs', 'reader'],
  ['POST', '/api/courses/:course/jobs', 'author'],
  ['DELETE', '/api/courses/:course/jobs/:job', 'author'],
  ['GET', '/api/courses/:course/lessons/:lesson/unused', 'reader'],
  ['GET', '/api/courses/:course/releases', 'reader'],
  ['POST', '/api/courses/:course/releases', 'author'],
  ['PUT', '/api/courses/:course/releases/:release', 'author'],
  ['GET', '/api/courses/:course/releases/:release/package', 'author'],
  ['GET', '/api/courses/:course/learners', 'author'],
  ['GET', '/api/learn/:link', 'anyone'],
  ['POST', '/api/learn/:link/begin', 'anyone'],
  ['POST', '/api/learn/:link/return', 'anyone'],
  ['GET', '/api/learn/:link/course', 'anyone'],
  ['POST', '/api/learn/:link/events', 'anyone'],
  ['GET', '/api/courses/:course/sources', 'reader'],
  ['PUT', '/api/courses/:course/sources', 'author'],
  ['POST', '/api/courses/:course/sources', 'author'],
  ['GET', '/api/courses/:course/sources/:source', 'reader'],
  ['PUT', '/api/courses/:course/sources/:source', 'author'],
  ['DELETE', '/api/courses/:course/sources/:source', 'author'],
  ['POST', '/api/courses/:course/sources/:source/again', 'author'],
  ['GET', '/api/courses/:course/contradictions', 'reader'],
  ['GET', '/api/courses/:course/search', 'reader'],
  ['GET', '/api/courses/:course/stale', 'reader'],
  ['POST', '/api/courses/:course/topics', 'reader'],
  ['GET', '/api/courses/:course/comparison', 'reader'],
  ['POST', '/api/courses/:course/shelf', 'author'],
  ['GET', '/api/shelf', 'signed-in'],
  ['GET', '/api/shelf/search', 'signed-in'],
  ['PUT', '/api/shelf/:source', 'signed-in'],
  ['GET', '/api/courses/:course/answers', 'reader'],
  ['POST', '/api/courses/:course/answers', 'author'],
  ['GET', '/api/courses/:course/links', 'author'],
  ['POST', '/api/courses/:course/links', 'author'],
  ['POST', '/api/courses/:course/videos', 'author'],
];

const RULES = RIGHTS.map(([method, pattern, right]) => ({ method, right, pattern: new RegExp(`^${pattern.replace(/:(\w+)/g, '(?<$1>[a-z][a-z0-9]{9,15})')}$`) }));

/** The right a request asks for, and the course it names; undefined when no route of ours fits. */
export function rightFor(method: string, path: string): { right: Right; course?: string } | undefined {
  for (const rule of RULES) {
    const match = rule.method === method ? rule.pattern.exec(path) : null;
    if (match) return { right: rule.right, ...(match.groups?.course && { course: match.groups.course }) };
  }
  return undefined;
}

/** Whether somebody has a right. `role` is theirs in the course at hand; an installation's owner may not read others' courses. */
export function mayCall(right: Right, person: { role: 'owner' | 'member' } | undefined, role: CourseRole | undefined): boolean {
  if (right === 'anyone') return true;
  if (!person) return false;
  if (right === 'signed-in') return true;
  if (right === 'owner') return person.role === 'owner';
  return right === 'author' ? role === 'author' : role === 'author' || role === 'reviewer';
}
