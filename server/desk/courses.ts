import { emptyCourse, type Brief, type Course } from '../../core/course/course';
import { sameData } from '../../core/document/canonical';
import { findNode } from '../../core/course/tree';
import { applyAll, gesturesOf, replayAll, type Change, type Operation } from '../../core/course/operations';
import { fail, type Problem } from '../../core/document/problem';
import { operationsTo } from '../../core/course/return';
import { DOCUMENT_VERSION, mended } from '../../core/course/upgrade';
import { coursesIn, type ChangeRow } from '../database/courses';
import type { Db } from '../database/open';
import { freshId } from '../ids';
import { peopleIn } from '../database/people';
import { remembered } from '../utils/remembered';

/** Successive sets of one field in one gesture within this time are one change in the log. */
const MERGE_WITHIN = 3000;
const SNAPSHOT_EVERY = 200;
/** A window that missed more changes than this opens the course anew. */
const MOST_MISSED = 500;
/** Courses kept in memory. */
const KEPT = 50;
export const OPERATION_VERSION = DOCUMENT_VERSION;

export interface Kept {
  course: Course;
  revision: number;
}

/** A course while changes of it are written, with the newest row of its log once that was looked for. */
interface Writing extends Kept {
  last?: ChangeRow;
}

/** What became of changes that were sent. */
export interface Posted {
  revision: number;
  accepted: string[];
  /**
   * Gestures that did not fit, change by change: `with-gesture` for those that only stand beside the one that did not.
   */
  refused: { id: string; problem: Problem; now?: unknown }[];
  /**
   * Changes of others since `since`, oldest first, to be made before one's own; undefined where they are too many: then
   * the course is to be opened anew.
   */
  missed?: Operation[];
}

/** Undo and redo: the operations they made, or why they could not. */
export interface TakenBack {
  revision: number;
  what: string;
  operations: Operation[];
  missed?: Operation[];
}

/**
 * The courses of a data folder: the one place where their documents change. A course in memory is always what its log
 * says; every confirmed change is on disk before it is confirmed. `now` is the clock; `onChange` hears of every new
 * revision.
 */
export function courseDesk(
  db: Db,
  now: () => number,
  onChange: (id: string, revision: number) => void = () => undefined,
) {
  const courses = coursesIn(db);
  const people = peopleIn(db);
  const memory = remembered<Kept>({ most: KEPT });
  const pinned = remembered<Course>({ most: 4 });

  /** The course as it stands; throws `no-such-course`, `newer-document`, `bad-log`. */
  const load = (id: string): Kept => memory.of(id, () => fromLog(id));

  function fromLog(id: string): Kept {
    const row = courses.get(id) ?? fail('no-such-course', undefined, id);
    const { snapshot, changes } = readLog(id);
    const operations = changes.map(({ operation, inverse }) => withMergedWas(operation, inverse));
    const replayed = replayAll(snapshot.course, operations);
    if (!replayed.ok) fail('bad-log', { reason: replayed.problem.code }, id);
    if (snapshot.version === DOCUMENT_VERSION) return { course: replayed.course, revision: row.revision };
    // Version 1 let in what nothing can work with: mended once, and kept as the state to go on from.
    const course = mended(replayed.course);
    courses.addSnapshot(course, row.revision);
    return { course, revision: row.revision };
  }

  /** The newest snapshot and what came after it. Text that is damaged is a problem of this course, not of the desk. */
  function readLog(id: string) {
    try {
      const snapshot = courses.snapshot(id) ?? fail('bad-log', { reason: 'no-snapshot' }, id);
      return { snapshot, changes: courses.changesAfter(id, snapshot.revision) };
    } catch (error) {
      return error instanceof SyntaxError ? fail('bad-log', { reason: 'not-json' }, id, error) : rethrow(error);
    }
  }

  function changed(id: string, before: Kept, state: Kept): void {
    memory.keep(id, state);
    if (state.revision > before.revision) onChange(id, state.revision);
  }

  function create(title: string, brief: Brief, person: string): string {
    return adopt(emptyCourse(freshId('u'), title, brief), person);
  }

  /** Takes in a whole course, as from an archive. */
  function adopt(course: Course, person: string): string {
    db.transaction(() => {
      courses.add(course, now());
      people.setRole(course.id, person, 'author');
    })();
    return course.id;
  }

  /**
   * Makes changes, in order, gesture by gesture: changes of one group that stand together are made all or none. The
   * same change sent twice is made once. `alongside` writes what belongs to them, in the same transaction.
   */
  function post(id: string, changes: readonly Change[], since: number, what = 'edit', alongside?: () => void): Posted {
    const before = load(id);
    const missed = missedSince(id, since, before.revision);
    const state: Writing = { ...before };
    const accepted: string[] = [];
    const refused: Posted['refused'] = [];
    db.transaction(() => {
      for (const gesture of gesturesOf(changes)) {
        const fresh = gesture.filter((change) => !courses.hasChange(id, change.id));
        const wrong = make(id, state, fresh, { kind: 'do', target: null, what });
        if (wrong)
          refused.push(
            ...fresh.map((change, at) => refusal(state.course, change, at === wrong.at ? wrong.problem : undefined)),
          );
        else accepted.push(...fresh.map((change) => change.id));
        accepted.push(...gesture.filter((change) => !fresh.includes(change)).map((change) => change.id));
      }
      if (state.revision > before.revision) courses.advance(state.course, state.revision, now());
      if (Math.floor(state.revision / SNAPSHOT_EVERY) > Math.floor(before.revision / SNAPSHOT_EVERY))
        courses.addSnapshot(state.course, state.revision);
      alongside?.();
    })();
    changed(id, before, state);
    return { revision: state.revision, accepted, refused, missed };
  }

  /**
   * Makes a gesture and writes it to the log; gives the problem instead, and which change has it, when it does not fit.
   */
  function make(
    id: string,
    state: Writing,
    changes: readonly Change[],
    how: { kind: 'do' | 'undo' | 'redo'; target: string | null; what: string },
  ): { problem: Problem; at: number } | undefined {
    const applied = applyAll(
      state.course,
      changes.map((change) => change.operation),
      { log: how.kind !== 'do' },
    );
    if (!applied.ok) return applied;
    const at = now();
    changes.forEach((change, index) => {
      const person = 'person' in change.actor ? change.actor.person : change.actor.for;
      let inverse = applied.inverses[applied.inverses.length - 1 - index];
      state.last ??= courses.lastChange(id);
      if (state.last && state.last.revision === state.revision && merges(state.last, change, person, at)) {
        // One change for the whole burst: it takes back to what stood before its first key.
        inverse = { ...inverse, value: (state.last.inverse as Extract<Operation, { type: 'set' }>).value } as Operation;
        courses.replaceLast(id, state.last);
      }
      state.revision++;
      courses.append(id, state.revision, change, inverse, at);
      courses.noteGroup(id, { group: change.group, person, ...how, revision: state.revision });
      state.last = {
        revision: state.revision,
        id: change.id,
        group_id: change.group,
        person_id: person,
        made_at: at,
        operation: change.operation,
        inverse,
      };
    });
    state.course = applied.course;
    return undefined;
  }

  function takeBack(id: string, person: string, since: number, which: 'undo' | 'redo'): TakenBack {
    const before = load(id);
    const group = which === 'undo' ? courses.lastGroup(id, person) : courses.lastUndo(id, person);
    if (!group) fail(`nothing-to-${which}`);
    const missed = missedSince(id, since, before.revision);
    const state: Writing = { ...before };
    const operations = courses.changesOf(id, group.group_id).map((change) => change.inverse);
    const taken = freshId('g');
    db.transaction(() => {
      const changes = operations.map((operation): Change => ({
        id: freshId('x'),
        group: taken,
        actor: { person },
        version: OPERATION_VERSION,
        operation,
      }));
      const wrong = make(id, state, changes, { kind: which, target: group.group_id, what: group.what });
      // Nothing of it is made when a part does not fit: somebody changed the same place since.
      if (wrong)
        fail(
          wrong.problem.code === 'changed-meanwhile' ? 'undo-changed-meanwhile' : 'undo-does-not-fit',
          { what: group.what },
          wrong.problem.place,
        );
      courses.takeBack(id, group.group_id);
      // What redo brought back can be undone again: its undo is spent, a new group stands for it.
      courses.advance(state.course, state.revision, now());
    })();
    changed(id, before, state);
    return { revision: state.revision, what: group.what, operations, missed };
  }

  function missedSince(id: string, since: number, revision: number): Operation[] | undefined {
    if (since >= revision) return [];
    return revision - since > MOST_MISSED
      ? undefined
      : courses.changesAfter(id, since).map((change) => change.operation);
  }

  /** The course as it was at a revision that was pinned or named. */
  const at = (id: string, revision: number): Course =>
    pinned.of(
      `${id}/${revision}`,
      () => courses.snapshotAt(id, revision) ?? fail('no-such-version', undefined, `${id}/${revision}`),
    );

  return {
    load,
    create,
    adopt,
    post,
    takeBack,
    at,
    /** Keeps the course as it stands, to be come back to by its revision. */
    pin(id: string): number {
      const { course, revision } = load(id);
      courses.addSnapshot(course, revision);
      return revision;
    },
    /** What a window that knows a revision has missed. */
    changesSince: (id: string, since: number) => ({
      revision: load(id).revision,
      missed: missedSince(id, since, load(id).revision),
    }),
    undoable: (id: string, person: string) => ({
      undo: courses.lastGroup(id, person)?.what,
      redo: courses.lastUndo(id, person)?.what,
    }),
    list: (person: string) => courses.ofPerson(person),
    /** Lays a course into its authors' bin, with its releases and what learners did. */
    remove(id: string, person: string) {
      courses.remove(id, now(), person);
      memory.forget(id);
    },
    /** Deleted courses of an author. */
    removed: (person: string) => courses.removedOf(person),
    /** Takes a deleted course of an author's out of the bin; throws `no-such-course`. */
    bringBack(id: string, person: string) {
      if (!courses.removedOf(person).some((row) => row.id === id) || !courses.restore(id))
        fail('no-such-course', undefined, id);
    },
    orphaned: () => courses.orphaned(),
    /** Every course there is, deleted ones too: for looking a folder through. */
    ids: () => courses.ids(),
    nameVersion(id: string, name: string, person: string) {
      const { course, revision } = load(id);
      const versionId = freshId('v');
      db.transaction(() => {
        courses.addSnapshot(course, revision);
        courses.addVersion(versionId, id, name, revision, person, now());
      })();
      return versionId;
    },
    versions: (id: string) => courses.versions(id),
    /** The course as it was when a version was named; throws `no-such-version`. */
    version(id: string, versionId: string): { name: string; made_at: number; course: Course } {
      const version =
        courses.versions(id).find((each) => each.id === versionId) ?? fail('no-such-version', undefined, versionId);
      return {
        name: version.name,
        made_at: version.made_at,
        course: courses.snapshotAt(id, version.revision) ?? fail('no-such-version', undefined, versionId),
      };
    },
    /** Brings a course back to a version, as one gesture; throws `no-such-version`. */
    backTo(id: string, versionId: string, person: string, since: number): Posted & { operations: Operation[] } {
      const then = this.version(id, versionId);
      const operations = operationsTo(load(id).course, mended(then.course));
      const group = freshId('g');
      const posted = post(
        id,
        operations.map((operation) => ({
          id: freshId('x'),
          group,
          actor: { person },
          version: OPERATION_VERSION,
          operation,
        })),
        since,
        `back to “${then.name}”`,
      );
      const wrong = posted.refused.find((each) => each.problem.code !== 'with-gesture');
      if (wrong) fail(wrong.problem.code, undefined, wrong.problem.place);
      return { ...posted, operations };
    },
  };
}

export type CourseDesk = ReturnType<typeof courseDesk>;

function merges(last: ChangeRow, change: Change, person: string, at: number): boolean {
  const [a, b] = [last.operation, change.operation];
  return (
    last.group_id === change.group &&
    last.person_id === person &&
    at - last.made_at <= MERGE_WITHIN &&
    a.type === 'set' &&
    b.type === 'set' &&
    a.id === b.id &&
    a.field === b.field
  );
}

/** A merged change says what it replaced by its inverse; its own `was` is that of the last key. */
function withMergedWas(operation: Operation, inverse: Operation): Operation {
  return operation.type === 'set' && inverse.type === 'set' ? { ...operation, was: inverse.value } : operation;
}

function rethrow(error: unknown): never {
  throw error;
}

/** Why a change was refused; without a problem of its own, it goes with the gesture it belongs to. */
function refusal(course: Course, change: Change, problem: Problem | undefined): Posted['refused'][number] {
  return {
    id: change.id,
    problem: problem ?? { code: 'with-gesture' },
    ...(problem && valueNow(course, change.operation)),
  };
}

function valueNow(course: Course, operation: Operation): { now?: unknown } {
  if (operation.type !== 'set') return {};
  const node = (operation.id === course.id ? course : findNode(course, operation.id)?.node) as
    Record<string, unknown> | undefined;
  const value = node?.[operation.field];
  return node === undefined || sameData(value, operation.value) ? {} : { now: value };
}
