import Database from 'better-sqlite3';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Course } from '../../core/course/course';
import { fail, ProblemError } from '../../core/document/problem';
import { replayAll } from '../../core/course/operations';
import { mended } from '../../core/course/upgrade';
import { validateCourse } from '../../core/course/validate';
import { validateSource } from '../../core/source/validate';
import { coursesIn } from '../database/courses';
import { releasesIn } from '../database/releases';
import { DATA_VERSION, type Db } from '../database/open';
import { troubleOf } from '../database/trouble';
import { sourcesIn } from '../database/sources';
import { leftovers } from '../desk/leftovers';
import { say } from '../words/problems';

/** Something that is wrong with a data folder: what it is about, and what is wrong, in words. */
export interface Finding {
  about: string;
  what: string;
  /** What `repair` does about it. */
  mend?:
    | { kind: 'course'; id: string }
    | { kind: 'source'; id: string; version: string }
    | { kind: 'leftover'; path: string }
    | { kind: 'references' }
    | { kind: 'database' };
}

/**
 * Looks a data folder through, reading only: the database as such, every course with its log, versions and releases,
 * every source, every file.
 */
export function checkFolder(folder: string): Finding[] {
  const path = join(folder, 'uplift.sqlite');
  if (!existsSync(path)) return [{ about: folder, what: 'there is no database in it.' }];
  let db: Db;
  try {
    db = new Database(path, { readonly: true });
    const version = db.pragma('user_version', { simple: true }) as number;
    if (version > DATA_VERSION)
      return [{ about: folder, what: say({ code: 'newer-data', parameters: { version, known: DATA_VERSION } }) }];
    if (version < DATA_VERSION)
      return [
        {
          about: folder,
          what: `it was written by an older version (${version}); start the desk once, which brings it up to date.`,
        },
      ];
  } catch (error) {
    return [{ about: 'database', what: wordsOf(error), mend: { kind: 'database' } }];
  }
  try {
    return [
      ...databaseFindings(db),
      ...courseFindings(db),
      ...sourceFindings(db),
      ...fileFindings(db, folder),
      ...leftovers(folder).map((left): Finding => ({
        about: left,
        what: 'was left when a server stopped.',
        mend: { kind: 'leftover', path: left },
      })),
    ];
  } catch (error) {
    return [{ about: 'database', what: wordsOf(error), mend: { kind: 'database' } }];
  } finally {
    db.close();
  }
}

function databaseFindings(db: Db): Finding[] {
  const sound = db.pragma('integrity_check', { simple: true });
  const references = db.pragma('foreign_key_check') as { table: string }[];
  return [
    ...(sound === 'ok'
      ? []
      : [
          {
            about: 'database',
            what: `it is damaged (${String(sound).split('\n')[0]}).`,
            mend: { kind: 'database' } as const,
          },
        ]),
    ...(references.length > 0
      ? [
          {
            about: 'database',
            what: `${references.length} rows point to what is not there (${[...new Set(references.map((row) => row.table))].join(', ')}).`,
            mend: { kind: 'references' } as const,
          },
        ]
      : []),
  ];
}

function courseFindings(db: Db): Finding[] {
  const courses = coursesIn(db);
  const releases = releasesIn(db);
  return courses.ids().flatMap((id): Finding[] => {
    const course = attempt(() => courseFrom(db, id));
    const wrong: Finding[] =
      'wrong' in course ? [{ about: `course ${id}`, what: course.wrong, mend: { kind: 'course', id } }] : [];
    if ('made' in course) {
      const [problem] = validateCourse(course.made);
      if (problem)
        wrong.push({
          about: `course ${id} (${course.made.title})`,
          what: `its document is not sound (${problem.code} at ${problem.place ?? ''}).`,
          mend: { kind: 'course', id },
        });
    }
    const versions = courses.versions(id).flatMap((version): Finding[] => {
      const then = attempt(() => courses.snapshotAt(id, version.revision) ?? fail('no-such-version'));
      return 'wrong' in then ? [{ about: `version “${version.name}” of course ${id}`, what: then.wrong }] : [];
    });
    const frozen = releases.ofCourse(id).flatMap((row): Finding[] => {
      const document = attempt(() => releases.document(row.id));
      return 'wrong' in document ? [{ about: `release ${row.number} of course ${id}`, what: document.wrong }] : [];
    });
    return [...wrong, ...versions, ...frozen];
  });
}

/** A course out of its log, as the desk reads it. Throws what keeps it from being read. */
export function courseFrom(db: Db, id: string, until = Infinity): Course {
  const courses = coursesIn(db);
  const snapshot = courses.snapshot(id) ?? fail('bad-log', { reason: 'no-snapshot' }, id);
  const changes = courses.changesAfter(id, snapshot.revision).filter((change) => change.revision <= until);
  const replayed = replayAll(
    snapshot.course,
    changes.map(({ operation, inverse }) =>
      operation.type === 'set' && inverse.type === 'set' ? { ...operation, was: inverse.value } : operation,
    ),
  );
  if (!replayed.ok) return fail('bad-log', { reason: replayed.problem.code }, id);
  return snapshot.version < 2 ? mended(replayed.course) : replayed.course;
}

function sourceFindings(db: Db): Finding[] {
  const sources = sourcesIn(db);
  const rows = db
    .prepare<[], { id: string; version: string }>(
      'select source_id as id, version from source_version order by source_id, serial',
    )
    .all();
  return rows.flatMap(({ id, version }): Finding[] => {
    const held = attempt(() => sources.read(id, version)!.source);
    if ('wrong' in held) return [{ about: `source ${id}`, what: held.wrong, mend: { kind: 'source', id, version } }];
    const problem = validateSource(held.made).find((each) => each.code !== 'version-differs');
    return problem
      ? [
          {
            about: `source ${id} (${held.made.title})`,
            what: `what was read of it is not sound (${problem.code} at ${problem.place ?? ''}).`,
            mend: { kind: 'source', id, version },
          },
        ]
      : [];
  });
}

/** Files that are missing or are not what their name says. What was read of a source is in the database and stays. */
function fileFindings(db: Db, folder: string): Finding[] {
  const files = join(folder, 'files');
  const names = new Set(existsSync(files) ? readdirSync(files).filter((name) => /^[0-9a-f]{64}$/.test(name)) : []);
  const changed = [...names].filter(
    (name) =>
      createHash('sha256')
        .update(readFileSync(join(files, name)))
        .digest('hex') !== name,
  );
  // What was put together of pages, or typed as answers, has no file: its version stands in its place.
  const wanted = db
    .prepare<[], { file_hash: string; file_name: string }>(
      'select file_hash, file_name from source_version where file_hash != version',
    )
    .all();
  const missing = wanted.filter((row) => !names.has(row.file_hash));
  const lost = mediaWanted(db).filter((row) => !names.has(row.hash));
  return [
    ...lost.map((row): Finding => ({
      about: `picture “${row.name}” of course ${row.course_id}`,
      what: 'its file is missing: give it to the course again.',
    })),
    ...changed.map((name): Finding => ({
      about: `file ${name.slice(0, 12)}`,
      what: 'it was changed since it was kept.',
    })),
    ...missing.map((row): Finding => ({
      about: row.file_name,
      what: 'the file that was given is missing; what was read of it is there.',
    })),
  ];
}

/** Pictures that courses have. */
const mediaWanted = (db: Db) =>
  db
    .prepare<[], { hash: string; name: string; course_id: string }>('select hash, name, course_id from course_media')
    .all();

function attempt<T>(work: () => T): { made: T } | { wrong: string } {
  try {
    return { made: work() };
  } catch (error) {
    if (troubleOf(error)) throw error;
    return { wrong: wordsOf(error) };
  }
}

function wordsOf(error: unknown): string {
  if (error instanceof ProblemError)
    return `${say({ ...error.problem, place: undefined })} (${String(error.problem.parameters?.reason ?? error.problem.code)})`;
  const trouble = troubleOf(error);
  return trouble ? say(trouble) : `it cannot be read (${(error as Error).message.split('\n')[0]}).`;
}
