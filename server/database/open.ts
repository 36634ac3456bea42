import Database from 'better-sqlite3';
import { chmodSync, existsSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { fail, ProblemError } from '../../core/document/problem';
import { sql as start } from './migrations/0001-start';
import { sql as learners } from './migrations/0002-learners';
import { sql as search } from './migrations/0003-search';
import { sql as understood } from './migrations/0004-understood';
import { sql as trust } from './migrations/0005-trust';
import { sql as responses } from './migrations/0006-responses';
import { sql as media } from './migrations/0007-media';
import { sql as jobs } from './migrations/0008-jobs';
import { sql as mail } from './migrations/0009-mail';
import { sql as quizzes } from './migrations/0010-quizzes';
import { sql as handIns } from './migrations/0011-hand-ins';
import { sql as surveys } from './migrations/0012-surveys';
import { sql as mediaOfAllSorts } from './migrations/0013-media-of-all-sorts';
import { troubleOf } from './trouble';

export type Db = Database.Database;

/** Every migration in order; only ever added to. The number of those done is the data folder's version. */
const MIGRATIONS: readonly string[] = [
  start,
  learners,
  search,
  understood,
  trust,
  responses,
  media,
  jobs,
  mail,
  quizzes,
  handIns,
  surveys,
  mediaOfAllSorts,
];

export const DATA_VERSION = MIGRATIONS.length;

const nameOf = (folder: string) => join(folder, 'uplift.sqlite');

/**
 * Opens the database of a data folder, making folder and tables when they are missing and bringing older ones up to
 * date. What lies in it is its user's alone. Throws `newer-data` when the folder was written by a newer version,
 * `data-missing` when there are files but no database or an empty one, and what is wrong with disk or database.
 */
export function openDatabase(folder: string): Db {
  try {
    mustNotBeLost(folder);
    for (const path of [folder, join(folder, 'files')]) mkdirSync(path, { recursive: true, mode: 0o700 });
    const db = new Database(nameOf(folder));
    db.pragma('journal_mode = WAL');
    db.pragma('synchronous = FULL');
    db.pragma('foreign_keys = ON');
    db.pragma('busy_timeout = 5000');
    migrate(db);
    keptToOneself(folder);
    return db;
  } catch (error) {
    const trouble = troubleOf(error);
    throw trouble ? new ProblemError({ ...trouble, place: folder }, error) : error;
  }
}

/** A folder that was in use is never begun anew because its database went: that would hide the loss. */
function mustNotBeLost(folder: string): void {
  const path = nameOf(folder);
  if (existsSync(path) && statSync(path).size === 0 && !existsSync(`${path}-wal`))
    fail('data-missing', undefined, path);
  const files = join(folder, 'files');
  if (!existsSync(path) && existsSync(files) && readdirSync(files).length > 0) fail('data-missing', undefined, path);
}

/** Takes from others of the machine what earlier versions, or a copy, left open to them. */
function keptToOneself(folder: string): void {
  for (const [path, mode] of [
    [folder, 0o700],
    [join(folder, 'files'), 0o700],
    ...['', '-wal', '-shm'].map((end) => [`${nameOf(folder)}${end}`, 0o600] as const),
  ] as const) {
    try {
      if (existsSync(path) && (statSync(path).mode & 0o077) !== 0) chmodSync(path, mode);
    } catch {
      // Somebody else's folder, or a file system without rights: it works as it is.
    }
  }
}

/** Opens it for reading only, as workers do. */
export function openForReading(folder: string): Db {
  const db = new Database(nameOf(folder), { readonly: true });
  db.pragma('busy_timeout = 5000');
  return db;
}

function migrate(db: Db): void {
  const version = db.pragma('user_version', { simple: true }) as number;
  if (version > MIGRATIONS.length)
    throw new ProblemError({ code: 'newer-data', parameters: { version, known: MIGRATIONS.length } });
  for (let done = version; done < MIGRATIONS.length; done++) {
    db.transaction(() => {
      db.exec(MIGRATIONS[done]);
      db.pragma(`user_version = ${done + 1}`);
    })();
  }
}
