import type { Problem } from '../../core/document/problem';

/** What is wrong with disk or database, by the codes of SQLite and of the system. */
const CODES: [RegExp, string][] = [
  [/^(SQLITE_FULL|ENOSPC|EDQUOT)/, 'disk-full'],
  [/^(SQLITE_READONLY|EROFS)/, 'disk-read-only'],
  [/^(SQLITE_CORRUPT|SQLITE_NOTADB)/, 'data-damaged'],
  [/^(SQLITE_CANTOPEN|SQLITE_PERM|EACCES|EPERM|SQLITE_IOERR)/, 'data-unreadable'],
  [/^ENOENT/, 'data-missing'],
];

/** A fault of disk or database as a problem; undefined for any other. */
export function troubleOf(error: unknown): Problem | undefined {
  const { code } = (error ?? {}) as { code?: unknown };
  const known = typeof code === 'string' ? CODES.find(([pattern]) => pattern.test(code)) : undefined;
  return known && { code: known[1] };
}
