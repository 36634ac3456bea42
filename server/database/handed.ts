import type { HandedFile } from '../../core/checks/markings';
import type { Db } from './open';

/** Files that learners handed in: whose each is; the bytes lie under their hash. */
export function handedIn(db: Db) {
  const add = db.prepare(
    'insert or ignore into handed_file (learner_id, hash, name, bytes, received_at) values (?, ?, ?, ?, ?)',
  );
  const one = db.prepare<[string, string], HandedFile>(
    'select hash, name, bytes from handed_file where learner_id = ? and hash = ?',
  );
  const ofLearner = db.prepare<[string], HandedFile>(
    'select hash, name, bytes from handed_file where learner_id = ? order by received_at, hash',
  );
  const drop = db.prepare('delete from handed_file where learner_id = ? and hash = ?');
  const bytesOf = db
    .prepare<[string], number>('select coalesce(sum(bytes), 0) from handed_file where learner_id = ?')
    .pluck();
  const bytesIn = db
    .prepare<[string], number>(
      'select coalesce(sum(bytes), 0) from handed_file join learner on learner.id = learner_id where course_id = ?',
    )
    .pluck();
  const held = db.prepare<[], string>('select distinct hash from handed_file').pluck();
  return {
    add: (learner: string, { hash, name, bytes }: HandedFile, at: number) =>
      void add.run(learner, hash, name, bytes, at),
    get: (learner: string, hash: string) => one.get(learner, hash),
    ofLearner: (learner: string) => ofLearner.all(learner),
    drop: (learner: string, hash: string) => void drop.run(learner, hash),
    /** How many bytes a learner has handed in, and all learners of a course. */
    bytesOf: (learner: string) => bytesOf.get(learner)!,
    bytesIn: (course: string) => bytesIn.get(course)!,
    /** Every hash that somebody's file is under. */
    held: () => new Set(held.all()),
  };
}
