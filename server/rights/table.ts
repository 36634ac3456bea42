import type { CourseRole } from '../database/people';
import type { BodyKind } from './limits';

/** Who may call a route. `author`, `reader`: by their role in the course the route names. */
export type Right = 'anyone' | 'signed-in' | 'owner' | 'author' | 'reader';

/**
 * Every route of the server with the right it asks for, and how large its body may be where it is no form. A route that
 * is not here is refused to everybody.
 */
export const RIGHTS: readonly [method: string, pattern: string, right: Right, body?: BodyKind][] = [
  ['GET', '/api/start', 'anyone'],
  ['GET', '/api/health', 'anyone'],
  ['POST', '/api/sign-in', 'anyone'],
  ['POST', '/api/sign-in-as', 'anyone'],
  ['POST', '/api/first-owner', 'anyone'],
  ['POST', '/api/sign-out', 'signed-in'],
  ['GET', '/api/people', 'owner'],
  ['POST', '/api/people', 'owner'],
  ['PUT', '/api/people/:person', 'owner'],
  ['DELETE', '/api/people/:person', 'owner'],
  ['GET', '/api/audit', 'owner'],
  ['GET', '/api/orphans', 'owner'],
  ['POST', '/api/orphans/:orphan', 'owner'],
  ['PUT', '/api/me/password', 'signed-in'],
  ['GET', '/api/me/sessions', 'signed-in'],
  ['DELETE', '/api/me/sessions', 'signed-in'],
  ['DELETE', '/api/me/sessions/:session', 'signed-in'],
  ['GET', '/api/invitations', 'signed-in'],
  ['POST', '/api/invitations/:invitation', 'signed-in'],
  ['GET', '/api/bin', 'signed-in'],
  ['GET', '/api/lately', 'signed-in'],
  ['POST', '/api/bin/:removed', 'signed-in'],
  ['GET', '/api/courses', 'signed-in'],
  ['POST', '/api/courses', 'signed-in'],
  ['POST', '/api/archives', 'signed-in', 'file'],
  ['GET', '/api/courses/:course', 'reader'],
  ['DELETE', '/api/courses/:course', 'author'],
  ['POST', '/api/courses/:course/copy', 'author'],
  ['POST', '/api/courses/:course/operations', 'author', 'operations'],
  ['POST', '/api/courses/:course/undo', 'author'],
  ['POST', '/api/courses/:course/redo', 'author'],
  ['GET', '/api/courses/:course/members', 'author'],
  ['PUT', '/api/courses/:course/members', 'author'],
  ['DELETE', '/api/courses/:course/membership', 'reader'],
  ['GET', '/api/courses/:course/figures', 'reader'],
  ['GET', '/api/courses/:course/account', 'reader'],
  ['GET', '/api/courses/:course/passages', 'reader'],
  ['GET', '/api/courses/:course/archive', 'reader'],
  ['GET', '/api/courses/:course/versions', 'reader'],
  ['POST', '/api/courses/:course/versions', 'author'],
  ['GET', '/api/courses/:course/versions/:version', 'reader'],
  ['POST', '/api/courses/:course/versions/:version/back', 'author'],
  ['POST', '/api/courses/:course/outline', 'author'],
  ['GET', '/api/courses/:course/changes', 'reader'],
  ['GET', '/api/courses/:course/events', 'reader'],
  ['GET', '/api/courses/:course/jobs', 'reader'],
  ['POST', '/api/courses/:course/jobs', 'author', 'list'],
  ['POST', '/api/courses/:course/jobs/:job', 'author'],
  ['DELETE', '/api/courses/:course/jobs/:job', 'author'],
  ['GET', '/api/courses/:course/lessons/:lesson/unused', 'reader'],
  ['POST', '/api/courses/:course/media', 'author', 'file'],
  ['GET', '/api/courses/:course/media/pictures', 'reader'],
  ['POST', '/api/courses/:course/media/pictures', 'author'],
  ['GET', '/api/courses/:course/media/:hash', 'reader'],
  ['GET', '/api/courses/:course/sources/:source/pictures/:hash', 'reader'],
  ['GET', '/api/courses/:course/releases', 'reader'],
  ['POST', '/api/courses/:course/releases', 'author'],
  ['PUT', '/api/courses/:course/releases/:release', 'author'],
  ['GET', '/api/courses/:course/releases/:release/package', 'author'],
  ['GET', '/api/courses/:course/learners', 'author'],
  ['DELETE', '/api/courses/:course/learners/:learner', 'author'],
  ['GET', '/api/learn/:link', 'anyone'],
  ['POST', '/api/learn/:link/begin', 'anyone'],
  ['POST', '/api/learn/:link/return', 'anyone'],
  ['GET', '/api/learn/:link/course', 'anyone'],
  ['POST', '/api/learn/:link/events', 'anyone', 'events'],
  ['POST', '/api/learn/:link/leave', 'anyone'],
  ['GET', '/api/learn/:link/media/:hash', 'anyone'],
  ['GET', '/api/courses/:course/sources', 'reader'],
  ['PUT', '/api/courses/:course/sources', 'author', 'file'],
  ['POST', '/api/courses/:course/sources', 'author', 'text'],
  ['GET', '/api/courses/:course/sources/:source', 'reader'],
  ['PUT', '/api/courses/:course/sources/:source', 'author', 'file'],
  ['GET', '/api/courses/:course/sources/:source/versions', 'reader'],
  ['PUT', '/api/courses/:course/sources/:source/version', 'author'],
  ['DELETE', '/api/courses/:course/sources/:source', 'author'],
  ['POST', '/api/courses/:course/sources/:source/again', 'author'],
  ['GET', '/api/courses/:course/contradictions', 'reader'],
  ['GET', '/api/courses/:course/search', 'reader'],
  ['GET', '/api/courses/:course/stale', 'reader'],
  ['POST', '/api/courses/:course/topics', 'reader'],
  ['GET', '/api/courses/:course/comparison', 'reader'],
  ['POST', '/api/courses/:course/shelf', 'author', 'list'],
  ['GET', '/api/shelf', 'signed-in'],
  ['GET', '/api/shelf/search', 'signed-in'],
  ['PUT', '/api/shelf/:source', 'signed-in'],
  ['GET', '/api/shelf/:source/people', 'signed-in'],
  ['PUT', '/api/shelf/:source/people', 'signed-in'],
  ['GET', '/api/courses/:course/answers', 'reader'],
  ['POST', '/api/courses/:course/answers', 'author'],
  ['GET', '/api/courses/:course/links', 'author'],
  ['POST', '/api/courses/:course/links', 'author'],
  ['POST', '/api/courses/:course/videos', 'author', 'text'],
];

/** What stands in an address: an id of ours; a file of media is called by its hash. */
const ID = '[a-z][a-z0-9]{9,15}';
const FORMS: Record<string, string> = { hash: '[0-9a-f]{64}' };

const RULES = RIGHTS.map(([method, pattern, right, body = 'form']) => ({
  method,
  right,
  body,
  pattern: new RegExp(`^${pattern.replace(/:(\w+)/g, (_, name: string) => `(?<${name}>${FORMS[name] ?? ID})`)}$`),
}));

/** What a request's address asks for: the right, the course it names, and how large its body may be. */
export interface Asked {
  right: Right;
  course?: string;
  body: BodyKind;
}

/** The right a request asks for, and the course it names; undefined when no route of ours fits. */
export function rightFor(method: string, path: string): Asked | undefined {
  for (const rule of RULES) {
    const match = rule.method === method ? rule.pattern.exec(path) : null;
    if (match)
      return { right: rule.right, body: rule.body, ...(match.groups?.course && { course: match.groups.course }) };
  }
  return undefined;
}

/** Signs that no address of ours has: those by which two readers of one address could come to different places. */
const STRANGE = /[\\%\p{Cc}]|\/\/|\/\.{1,2}(?:\/|$)/u;

/**
 * The path of a request as the router reads it, without its query; undefined where it is written in a way that others
 * might read otherwise. Guard and router go by this one.
 */
export function pathOf(address: string): string | undefined {
  const path = address.split(/[?#]/, 1)[0];
  return path.startsWith('/') && !STRANGE.test(path) ? path : undefined;
}

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
