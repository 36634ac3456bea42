import Database from 'better-sqlite3';
import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { DOCUMENT_VERSION, mended as mendedCourse } from '../../core/course/upgrade';
import { validateCourse } from '../../core/course/validate';
import { coursesIn } from '../database/courses';
import type { Db } from '../database/open';
import { checkFolder, courseFrom, type Finding } from './check';

/**
 * Mends what can be mended in a data folder that nobody works on. The database as it was is kept beside it (`copy`),
 * and so is everything that is taken out. `mended` says what was done, `left` what could not be.
 */
export async function repairFolder(folder: string): Promise<{ copy: string; mended: string[]; left: Finding[] }> {
  const path = join(folder, 'uplift.sqlite');
  const aside = join(folder, `repaired-${Date.now()}`);
  mkdirSync(aside, { recursive: true });
  for (const end of ['', '-wal'])
    if (existsSync(`${path}${end}`)) copyFileSync(`${path}${end}`, join(aside, `uplift.sqlite${end}`));
  const mended: string[] = [];
  // One mend can lay open what stood behind it: looked through again until nothing more can be done.
  for (let round = 0, findings = checkFolder(folder); round < 5; round++, findings = checkFolder(folder)) {
    const before = mended.length;
    for (const finding of findings) {
      const line = mend(path, aside, finding);
      if (line) mended.push(`${finding.about}: ${line}`);
    }
    if (mended.length === before) break;
  }
  return { copy: aside, mended, left: checkFolder(folder) };
}

function mend(path: string, aside: string, { mend: how }: Finding): string | undefined {
  if (!how) return undefined;
  if (how.kind === 'leftover') {
    rmSync(how.path, { force: true });
    return 'taken away.';
  }
  if (how.kind === 'database') return rebuilt(path, aside);
  const db = new Database(path);
  try {
    if (how.kind === 'references') return withoutDangling(db, aside);
    if (how.kind === 'course') return mendCourse(db, how.id, aside);
    return withoutSource(db, how);
  } finally {
    db.close();
  }
}

/**
 * Brings a course to the newest state that can be read of it: what of its log cannot be read is kept in a file and
 * taken out.
 */
function mendCourse(db: Db, id: string, aside: string): string | undefined {
  const courses = coursesIn(db);
  const revisions = db
    .prepare<[string], { revision: number }>('select revision from change where course_id = ? order by revision desc')
    .all(id)
    .map((row) => row.revision);
  const snapshots = db
    .prepare<[string], { revision: number }>('select revision from snapshot where course_id = ? order by revision desc')
    .all(id)
    .map((row) => row.revision);
  for (const snapshot of snapshots) {
    // Without the newer snapshots, which may be what is damaged, from the newest change backwards.
    const found = db.transaction(() => {
      db.prepare('delete from snapshot where course_id = ? and revision > ?').run(id, snapshot);
      for (const until of [...revisions.filter((each) => each >= snapshot), snapshot]) {
        const course = tried(() => mendedCourse(courseFrom(db, id, until)));
        if (course && validateCourse(course).length === 0) return { course, until };
      }
      return undefined;
    });
    const good = (() => {
      try {
        return found();
      } catch {
        return undefined;
      }
    })();
    if (!good) continue;
    const lost = db.prepare('select * from change where course_id = ? and revision > ?').all(id, good.until);
    writeFileSync(join(aside, `course-${id}-changes.json`), JSON.stringify(lost, undefined, 1));
    db.transaction(() => {
      db.prepare('delete from change where course_id = ? and revision > ?').run(id, good.until);
      db.prepare(
        'delete from change_group where course_id = ? and not exists (select 1 from change where change.course_id = change_group.course_id and change.group_id = change_group.group_id)',
      ).run(id);
      db.prepare('insert or replace into snapshot (course_id, revision, document, version) values (?, ?, ?, ?)').run(
        id,
        good.until,
        JSON.stringify(good.course),
        DOCUMENT_VERSION,
      );
      courses.advance(good.course, good.until, Date.now());
    })();
    return lost.length > 0
      ? `brought back to its newest good state; ${lost.length} changes that could not be read are kept in ${aside}.`
      : 'brought to a good state; no change was lost.';
  }
  return undefined;
}

/** Takes out a source's version that cannot be read, unless it is the only one. */
function withoutSource(db: Db, { id, version }: { id: string; version: string }): string | undefined {
  const others = db
    .prepare<[string, string], { version: string }>(
      'select version from source_version where source_id = ? and version != ? order by serial desc',
    )
    .all(id, version);
  if (others.length === 0) return undefined;
  db.transaction(() => {
    db.prepare('update course_source set version = ? where source_id = ? and version = ?').run(
      others[0].version,
      id,
      version,
    );
    db.prepare('delete from source_version where source_id = ? and version = ?').run(id, version);
  })();
  return 'its damaged version was taken out; courses use the one before.';
}

/** Takes out rows that point to what is not there; they are kept in a file. */
function withoutDangling(db: Db, aside: string): string {
  const rows = db.pragma('foreign_key_check') as { table: string; rowid: number | null }[];
  const lost: unknown[] = [];
  db.pragma('foreign_keys = OFF');
  db.transaction(() => {
    for (const { table, rowid } of rows) {
      if (rowid === null) continue;
      const name = `"${table.replaceAll('"', '""')}"`;
      lost.push({ table, row: db.prepare(`select * from ${name} where rowid = ?`).get(rowid) });
      db.prepare(`delete from ${name} where rowid = ?`).run(rowid);
    }
  })();
  writeFileSync(join(aside, 'rows.json'), JSON.stringify(lost, undefined, 1));
  return `${lost.length} rows that pointed nowhere are kept in ${aside}.`;
}

/** Writes the database anew out of what can be read of it. */
function rebuilt(path: string, aside: string): string | undefined {
  const fresh = join(aside, 'rebuilt.sqlite');
  try {
    rmSync(fresh, { force: true });
    const db = new Database(path);
    db.exec('reindex');
    db.prepare('vacuum into ?').run(fresh);
    db.close();
    const sound = new Database(fresh, { readonly: true });
    const good = sound.pragma('integrity_check', { simple: true }) === 'ok';
    sound.close();
    if (!good) return undefined;
    for (const end of ['-wal', '-shm']) rmSync(`${path}${end}`, { force: true });
    renameSync(fresh, path);
    return 'written anew out of what can be read of it.';
  } catch {
    return undefined;
  }
}

function tried<T>(work: () => T): T | undefined {
  try {
    return work();
  } catch {
    return undefined;
  }
}
