// Whether what was built is younger than all it is built from.
import { existsSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

const newest = (path) =>
  statSync(path).isDirectory()
    ? Math.max(0, ...readdirSync(path).map((name) => newest(join(path, name))))
    : statSync(path).mtimeMs;

/** True when `built` is there and nothing in the given folders and files is younger. */
export function isFresh(built, parts) {
  return (
    existsSync(built) &&
    parts.filter((part) => existsSync(part)).every((part) => newest(part) <= statSync(built).mtimeMs)
  );
}
