import { ROUTES } from '../route-list';

/** What stands in an address: an id of ours; a file of media is called by its hash. */
const ID = '[a-z][a-z0-9]{9,15}';
const FORMS: Record<string, string> = { hash: '[0-9a-f]{64}' };

const PATTERNS = Object.keys(ROUTES).map(
  (key) => new RegExp(`^${key.replace(/:(\w+)/g, (_, name: string) => FORMS[name] ?? ID)}$`),
);

/** Whether a request is one to a route of ours, its parts of the right form. */
export function isRoute(method: string, path: string): boolean {
  return PATTERNS.some((pattern) => pattern.test(`${method} ${path}`));
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
