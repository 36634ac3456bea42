import type { MediaFacts } from '../../core/media/file';
import type { Db } from './open';

/** A file of media that a course has. */
export interface MediaRow extends MediaFacts {
  name: string;
  /** `file`, or the id of the source it came out of. */
  origin: string;
}

const MEDIA = 'hash, type, width, height, seconds, bytes';

/** A row without what it has no value of. */
const bare = (row: MediaRow): MediaRow =>
  Object.fromEntries(Object.entries(row).filter(([, value]) => value !== null)) as unknown as MediaRow;

/** Media of a data folder. */
export function mediaIn(db: Db) {
  const add = db.prepare(
    'insert or ignore into media (hash, type, width, height, seconds, bytes, made_at) values (@hash, @type, @width, @height, @seconds, @bytes, @at)',
  );
  const attach = db.prepare(
    `insert or ignore into course_media (course_id, hash, name, origin, person_id, added_at)
     values (@course, @hash, @name, @origin, @person, @at)`,
  );
  const ofCourse = db.prepare<[string], MediaRow>(
    `select ${MEDIA}, name, origin from course_media join media using (hash) where course_id = ? order by added_at, hash`,
  );
  const one = db.prepare<[string, string], MediaRow>(
    `select ${MEDIA}, name, origin from course_media join media using (hash) where course_id = ? and hash = ?`,
  );
  const bytesOf = db
    .prepare<[string], number>(
      'select coalesce(sum(bytes), 0) from course_media join media using (hash) where course_id = ?',
    )
    .pluck();
  return {
    /** Notes a file and that a course has it; what is known already stays as it is. */
    add(course: string, row: MediaRow, person: string, at: number): void {
      add.run({ width: null, height: null, seconds: null, ...row, at });
      attach.run({ ...row, course, person, at });
    },
    ofCourse: (course: string): MediaRow[] => ofCourse.all(course).map(bare),
    get(course: string, hash: string): MediaRow | undefined {
      const row = one.get(course, hash);
      return row && bare(row);
    },
    /** How many bytes of media a course has. */
    bytesOf: (course: string) => bytesOf.get(course)!,
  };
}
