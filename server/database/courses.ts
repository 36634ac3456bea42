import type { Course } from '../../core/course/course';
import type { Change, Operation } from '../../core/course/operations';
import { DOCUMENT_VERSION, upgradeCourse, upgradeOperation } from '../../core/course/upgrade';
import type { Db } from './open';

export interface CourseRecord {
  id: string;
  title: string;
  revision: number;
  created_at: number;
  changed_at: number;
}

export interface ChangeRow {
  revision: number;
  id: string;
  group_id: string;
  person_id: string;
  made_at: number;
  operation: Operation;
  inverse: Operation;
}

export interface GroupRow {
  group_id: string;
  kind: 'do' | 'undo' | 'redo';
  target: string | null;
  what: string;
  revision: number;
}

/** A named version: who named it, when, and at which revision. */
export interface VersionRow {
  id: string;
  name: string;
  revision: number;
  made_at: number;
  by: string | null;
}

type Stored = Omit<ChangeRow, 'operation' | 'inverse'> & { operation: string; inverse: string; version: number };
const read = (text: string, version: number) => upgradeOperation(JSON.parse(text) as Operation, version);
/** A row of the log in today's form, whatever version wrote it. */
const parsed = ({ version, operation, inverse, ...row }: Stored): ChangeRow => ({
  ...row,
  operation: read(operation, version),
  inverse: read(inverse, version),
});

/** Courses as logs of changes, with snapshots to start from. */
export function coursesIn(db: Db) {
  const row = 'course.id, title, revision, created_at, changed_at';
  const get = db.prepare<[string], CourseRecord>(`select ${row} from course where id = ? and removed_at is null`);
  const ofPerson = db.prepare<[string], CourseRecord & { role: string }>(
    `select ${row}, role from course join member on course_id = course.id where person_id = ? and accepted_at is not null and removed_at is null order by changed_at desc, course.id`,
  );
  const insert = db.prepare('insert into course (id, title, revision, created_at, changed_at) values (?, ?, 0, ?, ?)');
  const update = db.prepare('update course set title = ?, revision = ?, changed_at = ? where id = ?');
  const remove = db.prepare('update course set removed_at = ?, removed_by = ? where id = ?');
  const restore = db.prepare('update course set removed_at = null, removed_by = null where id = ?');
  const removed = db.prepare<
    [string],
    CourseRecord & { removed_at: number; learners: number }
  >(`select ${row}, removed_at, (select count(*) from learner where learner.course_id = course.id) as learners from course join member on member.course_id = course.id
    where person_id = ? and role = 'author' and accepted_at is not null and removed_at is not null order by removed_at desc, course.id`);
  const all = db.prepare<[], { id: string }>('select id from course order by id');
  const orphaned = db.prepare<[], CourseRecord>(
    `select ${row} from course where removed_at is null and not exists (select 1 from member where member.course_id = course.id and role = 'author' and accepted_at is not null) order by title, id`,
  );
  const change = 'revision, id, group_id, person_id, made_at, version, operation, inverse';
  const after = db.prepare<[string, number], Stored>(
    `select ${change} from change where course_id = ? and revision > ? order by revision`,
  );
  const touching = db.prepare<
    [{ id: string; nodes: string; named: string }],
    Pick<Stored, 'revision' | 'made_at' | 'version' | 'operation' | 'inverse'> & {
      who: string | null;
      job: string | null;
      what: string | null;
    }
  >(`select change.revision, made_at, version, operation, inverse, person.name as who, job, what from change left join person on person.id = change.person_id
    left join change_group on change_group.course_id = change.course_id and change_group.group_id = change.group_id
    where change.course_id = @id and (operation ->> '$.id' in (select value from json_each(@nodes)) or instr(operation, @named) > 0 or instr(inverse, @named) > 0) order by change.revision`);
  const newest = db.prepare<
    [string, number],
    { made_at: number; who: string | null; what: string | null }
  >(`select made_at, person.name as who, what from change left join person on person.id = change.person_id
    left join change_group on change_group.course_id = change.course_id and change_group.group_id = change.group_id where change.course_id = ? order by change.revision desc limit ?`);
  const last = db.prepare<[string], Stored>(
    `select ${change} from change where course_id = ? order by revision desc limit 1`,
  );
  const ofGroup = db.prepare<[string, string], Stored>(
    `select ${change} from change where course_id = ? and group_id = ? order by revision desc`,
  );
  const known = db.prepare<[string, string, string, string], { found: number }>(
    'select 1 as found from change where course_id = ? and id = ? union select 1 from merged_change where course_id = ? and id = ?',
  );
  const append = db.prepare(
    'insert into change (course_id, revision, id, group_id, person_id, job, made_at, version, operation, inverse) values (@courseId, @revision, @id, @group, @person, @job, @at, @version, @operation, @inverse)',
  );
  const drop = db.prepare('delete from change where course_id = ? and revision = ?');
  const merged = db.prepare('insert or ignore into merged_change (course_id, id) values (?, ?)');
  const groupColumns = 'group_id, kind, target, what, revision';
  const upsertGroup = db.prepare(
    'insert into change_group (course_id, group_id, person_id, kind, target, what, revision) values (@courseId, @group, @person, @kind, @target, @what, @revision) on conflict (course_id, group_id) do update set revision = excluded.revision',
  );
  const lastGroup = db.prepare<[string, string], GroupRow>(
    `select ${groupColumns} from change_group where course_id = ? and person_id = ? and kind != 'undo' and taken_back = 0 order by revision desc limit 1`,
  );
  const lastUndo = db.prepare<
    [string, string, string, string],
    GroupRow
  >(`select ${groupColumns} from change_group where course_id = ? and person_id = ? and kind = 'undo' and taken_back = 0
    and revision > coalesce((select max(revision) from change_group where course_id = ? and person_id = ? and kind = 'do'), -1) order by revision desc limit 1`);
  const takeBack = db.prepare('update change_group set taken_back = 1 where course_id = ? and group_id = ?');
  const atRevision = db.prepare<[string, number], { document: string; version: number }>(
    'select document, version from snapshot where course_id = ? and revision = ?',
  );
  const newestSnapshot = db.prepare<[string], { revision: number; document: string; version: number }>(
    'select revision, document, version from snapshot where course_id = ? order by revision desc limit 1',
  );
  const addSnapshot = db.prepare(
    `insert or replace into snapshot (course_id, revision, document, version) values (?, ?, ?, ${DOCUMENT_VERSION})`,
  );
  const addVersion = db.prepare(
    'insert into named_version (id, course_id, name, revision, person_id, made_at) values (?, ?, ?, ?, ?, ?)',
  );
  const versions = db.prepare<[string], VersionRow>(
    'select named_version.id, named_version.name, revision, made_at, person.name as by from named_version left join person on person.id = person_id where course_id = ? order by made_at desc, named_version.id',
  );
  return {
    get: (id: string) => get.get(id),
    ofPerson: (personId: string) => ofPerson.all(personId),
    add(course: Course, at: number) {
      insert.run(course.id, course.title, at, at);
      addSnapshot.run(course.id, 0, JSON.stringify(course));
    },
    advance: (course: Course, revision: number, at: number) => void update.run(course.title, revision, at, course.id),
    remove: (id: string, at: number, by: string) => void remove.run(at, by, id),
    restore: (id: string) => restore.run(id).changes > 0,
    /** Deleted courses that a person was an author of, last deleted first. */
    removedOf: (personId: string) => removed.all(personId),
    /** Courses that nobody is an author of any more. */
    orphaned: () => orphaned.all(),
    ids: () => all.all().map((row) => row.id),
    changesAfter: (id: string, revision: number) => after.all(id, revision).map(parsed),
    /** Changes of some nodes, and those that name a node, oldest first: when, by whom, what the gesture was called. */
    changesTouching: (id: string, nodes: readonly string[], named: string) =>
      touching.all({ id, nodes: JSON.stringify(nodes), named }).map(({ operation, inverse, version, ...row }) => ({
        ...row,
        operation: read(operation, version),
        inverse: read(inverse, version),
      })),
    /** The newest changes, newest first: when, by whom, and what the gesture was called. */
    newestChanges: (id: string, most: number) => newest.all(id, most),
    lastChange(id: string) {
      const found = last.get(id);
      return found && parsed(found);
    },
    /** The changes of a group, newest first. */
    changesOf: (id: string, group: string) => ofGroup.all(id, group).map(parsed),
    hasChange: (id: string, changeId: string) => known.get(id, changeId, id, changeId) !== undefined,
    append(
      id: string,
      revision: number,
      { id: changeId, group, actor, version, operation }: Change,
      inverse: Operation,
      at: number,
    ) {
      append.run({
        courseId: id,
        revision,
        id: changeId,
        group,
        at,
        version,
        operation: JSON.stringify(operation),
        inverse: JSON.stringify(inverse),
        person: 'person' in actor ? actor.person : actor.for,
        job: 'job' in actor ? actor.job : null,
      });
    },
    /** Takes the newest change out of the log, to be replaced by one that does the work of both. */
    replaceLast(id: string, old: ChangeRow) {
      drop.run(id, old.revision);
      merged.run(id, old.id);
    },
    noteGroup: (
      id: string,
      group: {
        group: string;
        person: string;
        kind: GroupRow['kind'];
        target: string | null;
        what: string;
        revision: number;
      },
    ) => void upsertGroup.run({ courseId: id, ...group }),
    /** The gesture of a person that undo would take back next. */
    lastGroup: (id: string, personId: string) => lastGroup.get(id, personId),
    /** The undo that redo would take back next; none once something new was done. */
    lastUndo: (id: string, personId: string) => lastUndo.get(id, personId, id, personId),
    takeBack: (id: string, group: string) => void takeBack.run(id, group),
    snapshot(id: string) {
      const found = newestSnapshot.get(id);
      return (
        found && {
          revision: found.revision,
          version: found.version,
          course: upgradeCourse(JSON.parse(found.document), found.version),
        }
      );
    },
    /** The course at a revision that a snapshot was written for. */
    snapshotAt(id: string, revision: number) {
      const found = atRevision.get(id, revision);
      return found && upgradeCourse(JSON.parse(found.document), found.version);
    },
    addSnapshot: (course: Course, revision: number) =>
      void addSnapshot.run(course.id, revision, JSON.stringify(course)),
    addVersion: (versionId: string, id: string, name: string, revision: number, personId: string, at: number) =>
      void addVersion.run(versionId, id, name, revision, personId, at),
    versions: (id: string) => versions.all(id),
  };
}
