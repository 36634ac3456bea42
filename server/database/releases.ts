import { FROZEN_VERSION, upgradeFrozen, type FrozenCourse } from '../../core/learning/view';
import type { Rules } from '../../core/learning/rules';
import type { LearnerEvent } from '../../core/learning/state';
import type { Db } from './open';

/** Who may take a release: people of this installation, anyone with the link by name only, nobody. */
export type Access = 'people' | 'link' | 'nobody';

/** What a list says of a release without opening it. */
export interface ReleaseFigures {
  minutes: number;
  lessons: number;
  checks: number;
}

export interface ReleaseRow {
  id: string;
  course_id: string;
  number: number;
  note: string;
  figures: ReleaseFigures;
  rules: Rules;
  access: Access;
  made_at: number;
  withdrawn_at: number | null;
}

export interface LearnerRow {
  id: string;
  course_id: string;
  release_id: string;
  person_id: string | null;
  name: string;
  begun_at: number;
  seen_at: number;
}

export interface AttemptRow {
  id: string;
  release_id: string;
  kind: LearnerEvent['kind'];
  lesson_id: string;
  check_id: string | null;
  answer: string | null;
  made_at: number;
  received_at: number;
}

type Stored = Omit<ReleaseRow, 'figures' | 'rules'> & { figures: string; rules: string };
const opened = (row: Stored): ReleaseRow => ({
  ...row,
  figures: JSON.parse(row.figures) as ReleaseFigures,
  rules: JSON.parse(row.rules) as Rules,
});

/** Releases of courses, those who learn by them, and what they did. */
export function releasesIn(db: Db) {
  const columns = 'id, course_id, number, note, figures, rules, access, made_at, withdrawn_at';
  const add = db.prepare(
    'insert into release (id, course_id, number, note, document, figures, rules, access, person_id, made_at, version) values (@id, @course_id, @number, @note, @document, @figures, @rules, @access, @person, @made_at, ' +
      FROZEN_VERSION +
      ')',
  );
  const get = db.prepare<[string], Stored>(`select ${columns} from release where id = ?`);
  const document = db.prepare<[string], { document: string; version: number }>(
    'select document, version from release where id = ?',
  );
  const ofCourse = db.prepare<[string], Stored>(
    `select ${columns} from release where course_id = ? order by number desc`,
  );
  const newest = db.prepare<[string], Pick<ReleaseRow, 'number' | 'made_at' | 'withdrawn_at'>>(
    'select number, made_at, withdrawn_at from release where course_id = ? order by number desc limit 1',
  );
  const learning = db.prepare<[string], { count: number }>('select count(*) as count from learner where course_id = ?');
  const setAccess = db.prepare('update release set access = ?, withdrawn_at = ? where id = ?');
  const link = db.prepare<[string], { link: string }>('select link from course_link where course_id = ?');
  const addLink = db.prepare('insert into course_link (course_id, link) values (?, ?)');
  const byLink = db.prepare<[string], { course_id: string }>(
    'select course_id from course_link join course on course.id = course_id where link = ? and removed_at is null',
  );
  const learner = 'id, course_id, release_id, person_id, name, begun_at, seen_at';
  const addLearner = db.prepare(
    'insert into learner (id, course_id, release_id, person_id, name, key_hash, begun_at, seen_at) values (@id, @course_id, @release_id, @person_id, @name, @key, @begun_at, @begun_at)',
  );
  const byPerson = db.prepare<[string, string], LearnerRow>(
    `select ${learner} from learner where course_id = ? and person_id = ?`,
  );
  const byKey = db.prepare<[string, string], LearnerRow>(
    `select ${learner} from learner where course_id = ? and key_hash = ?`,
  );
  const learners = db.prepare<[string], LearnerRow>(
    `select ${learner} from learner where course_id = ? order by seen_at desc, id`,
  );
  const newestLearners = db.prepare<[string, number], LearnerRow>(
    `select ${learner} from learner where course_id = ? order by seen_at desc, id limit ?`,
  );
  const seen = db.prepare('update learner set seen_at = ? where id = ?');
  const moveAll = db.prepare('update learner set release_id = ? where course_id = ?');
  const drop = db.prepare('delete from learner where course_id = ? and id = ?');
  const unname = db.prepare(
    "update learner set name = '', person_id = null, key_hash = ? where course_id = ? and id = ?",
  );
  const countOf = db.prepare<[string, string], { count: number }>(
    'select count(attempt.serial) as count from learner left join attempt on learner_id = learner.id where course_id = ? and learner.id = ? group by learner.id',
  );
  const attempt = 'id, release_id, kind, lesson_id, check_id, answer, made_at, received_at';
  const attempts = db.prepare<[string], AttemptRow>(
    `select ${attempt} from attempt where learner_id = ? order by serial`,
  );
  const keeping = db.prepare<[], LearnerRow>(
    `select ${learner
      .split(', ')
      .map((each) => `learner.${each}`)
      .join(', ')} from learner join course on course.id = course_id where removed_at is null`,
  );
  const answersTo = db.prepare<[string, string], AttemptRow>(
    `select ${attempt} from attempt where learner_id = ? and check_id = ? and kind in ('answer', 'mark') order by serial`,
  );
  const whole = db.prepare<[string, string], AttemptRow & { serial: number; learner_id: string }>(
    `select serial, learner_id, ${attempt} from attempt where learner_id = ? and id = ?`,
  );
  const dropAttempt = db.prepare('delete from attempt where learner_id = ? and id = ?');
  const restoreAttempt = db.prepare(
    'insert into attempt (serial, id, learner_id, release_id, kind, lesson_id, check_id, answer, made_at, received_at) values (@serial, @id, @learner_id, @release_id, @kind, @lesson_id, @check_id, @answer, @made_at, @received_at)',
  );
  const addAttempt = db.prepare(
    'insert or ignore into attempt (id, learner_id, release_id, kind, lesson_id, check_id, answer, made_at, received_at) values (@id, @learner, @release_id, @kind, @lesson_id, @check_id, @answer, @made_at, @received_at)',
  );
  return {
    add: ({
      document: frozen,
      figures,
      rules,
      ...row
    }: Omit<ReleaseRow, 'withdrawn_at'> & { document: FrozenCourse; person: string }) =>
      void add.run({
        ...row,
        document: JSON.stringify(frozen),
        figures: JSON.stringify(figures),
        rules: JSON.stringify(rules),
      }),
    get(id: string) {
      const row = get.get(id);
      return row && opened(row);
    },
    /** What was frozen. */
    document(id: string): FrozenCourse | undefined {
      const row = document.get(id);
      return row && upgradeFrozen(JSON.parse(row.document), row.version);
    },
    /** Newest first. */
    ofCourse: (courseId: string) => ofCourse.all(courseId).map(opened),
    /** The newest release, and how many learn by any. */
    standing: (courseId: string) => ({ newest: newest.get(courseId), learners: learning.get(courseId)!.count }),
    setAccess: (id: string, access: Access, withdrawnAt: number | null) => void setAccess.run(access, withdrawnAt, id),
    link: (courseId: string) => link.get(courseId)?.link,
    addLink: (courseId: string, value: string) => void addLink.run(courseId, value),
    courseOf: (value: string) => byLink.get(value)?.course_id,
    addLearner: (row: Omit<LearnerRow, 'seen_at'> & { key: string }) => void addLearner.run(row),
    learnerByPerson: (courseId: string, person: string) => byPerson.get(courseId, person),
    learnerByKey: (courseId: string, keyHash: string) => byKey.get(courseId, keyHash),
    learners: (courseId: string) => learners.all(courseId),
    /** Those seen last. */
    newestLearners: (courseId: string, most: number) => newestLearners.all(courseId, most),
    seen: (id: string, at: number) => void seen.run(at, id),
    moveAll: (courseId: string, releaseId: string) => void moveAll.run(releaseId, courseId),
    /**
     * Takes a learner out, or only their name (with the hash of a key nobody has); gives how many attempts they made,
     * undefined for nobody.
     */
    removeLearner(courseId: string, id: string, keyHash: string | undefined): number | undefined {
      const found = countOf.get(courseId, id);
      if (found && keyHash === undefined) drop.run(courseId, id);
      else if (found) unname.run(keyHash, courseId, id);
      return found?.count;
    },
    attempts: (learnerId: string) => attempts.all(learnerId),
    /** All learners of courses that stand. */
    keeping: () => keeping.all(),
    /** What a learner answered to a check, and the marks of it. */
    answersTo: (learnerId: string, check: string) => answersTo.all(learnerId, check),
    /**
     * Puts another answer in the place of one that may no longer be kept. Attempts are only ever added, and cannot be
     * changed: the old one goes, the new one has its place among the others.
     */
    emptyAnswer(learnerId: string, id: string, answer: string): void {
      const row = whole.get(learnerId, id);
      if (!row) return;
      dropAttempt.run(learnerId, id);
      restoreAttempt.run({ ...row, answer });
    },
    /** Adds what a learner did; the same id of a learner twice is added once. Says whether it was new. */
    addAttempt: (learnerId: string, row: AttemptRow) => addAttempt.run({ ...row, learner: learnerId }).changes > 0,
  };
}

export type Releases = ReturnType<typeof releasesIn>;
