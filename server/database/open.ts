import Database from 'better-sqlite3';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { ProblemError } from '../../core/course/problem';
import { sql as start } from './migrations/0001-start';
import { sql as learners } from './migrations/0002-learners';
import { sql as search } from './migrations/0003-search';
import { sql as understood } from './migrations/0004-understood';

export type Db = Database.Database;

/** Every migration in order; only ever added to. The number of those done is the data folder's version. */
const MIGRATIONS: readonly string[] = [start, learners, search, understood];

export const DATA_VERSION = MIGRATIONS.length;

/**
 * Opens the database of a data folder, making folder and tables when they are missing and bringing older ones up to
 * date. Throws `newer-data` when the folder was written by a newer version.
 */
export function openDatabase(folder: string): Db {
  mkdirSync(join(folder, 'files'), { recursive: true });
  const db = new Database(join(folder, 'uplift.sqlite'));
  db.pragma('journal_mode = WAL');
  db.pragma('synchronous = FULL');
  db.pragma('foreign_keys = ON');
  db.pragma('busy_timeout = 5000');
  migrate(db);
  return db;
}

/** Opens it for reading only, as workers do. */
export function openForReading(folder: string): Db {
  const db = new Database(join(folder, 'uplift.sqlite'), { readonly: true });
  db.pragma('busy_timeout = 5000');
  return db;
}

function migrate(db: Db): void {
  const version = db.pragma('user_version', { simple: true }) as number;
  if (version > MIGRATIONS.length) throw new ProblemError({ code: 'newer-data', parameters: { version, known: MIGRATIONS.length } });
  for (let done = version; done < MIGRATIONS.length; done++) {
    db.transaction(() => {
      db.exec(MIGRATIONS[done]);
      db.pragma(`user_version = ${done + 1}`);
    })();
  }
}
