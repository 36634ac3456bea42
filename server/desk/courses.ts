import { randomBytes } from 'node:crypto';
import { emptyCourse, type Brief, type Course } from '../../core/course/course';
import { sameData } from '../../core/course/canonical';
import { findNode } from '../../core/course/tree';
import { apply, type Change, type Operation } from '../../core/course/operations';
import { fail, type Problem } from '../../core/course/problem';
import { operationsTo } from '../../core/course/return';
import { coursesIn, type ChangeRow } from '../database/courses';
import type { Db } from '../database/open';
import { peopleIn } from '../database/people';

/** Successive sets of one field in one gesture within this time are one change in the log. */
const MERGE_WITHIN = 3000;
const SNAPSHOT_EVERY = 200;
/** Courses kept in memory. */
const KEPT = 50;
export const OPERATION_VERSION = 1;

export interface Kept {
  course: Course;
  revision: number;
}

/** What became of changes that were sent. */
export interface Posted {
  revision: number;
  accepted: string[];
  /** With what stands there now, so that the author can compare. */
  refused: { id: string; problem: Problem; now?: unknown }[];
  /** Changes of others since `since`, oldest first, to be made before one's own. */
  missed: Operation[];
}

/** Undo and redo: the operations they made, or why they could not. */
export interface TakenBack {
  revision: number;
  what: string;
  operations: Operation[];
  missed: Operation[];
}

/** A random id for something a person makes. */
export function freshId(letter: string): string {
  const alphabet = 'abcdefghijklmnopqrstuvwxyz234567';
  return letter + [...randomBytes(12)].map((byte) => alphabet[byte & 31]).join('');
}

/**
 * The courses of a data folder: the one place where their documents change. A course in memory is always what its log
 * says; every confirmed change is on disk before it is confirmed. `now` is the clock; `onChange` hears of every new revision.
 */
export function courseDesk(db: Db, now: () => number, onChange: (id: string, revision: number) => void = () => undefined) {
  const courses = coursesIn(db);
  const people = peopleIn(db);
  const memory = new Map<string, Kept>();
  const pinned = new Map<string, Course>();

  /** The course as it stands; throws `no-such-course`. */
  function load(id: string): Kept {
    const known = memory.get(id);
    if (known) return known;
    const row = courses.get(id);
    const snapshot = row && courses.snapshot(id);
    if (!row || !snapshot) fail('no-such-course', undefined, id);
    let { course } = snapshot;
    for (const { operation, inverse } of courses.changesAfter(id, snapshot.revision)) course = made(course, withMergedWas(operation, inverse));
    return keep(id, { course, revision: row.revision });
  }

  function keep(id: string, kept: Kept): Kept {
    memory.delete(id);
    memory.set(id, kept);
    if (memory.size > KEPT) memory.delete(memory.keys().next().value!);
    return kept;
  }

  function changed(id: string, before: Kept, state: Kept): void {
    keep(id, state);
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
   * Makes changes, in order. Those that do not fit are refused one by one; the same change sent twice is made once.
   * `alongside` writes what belongs to them, in the same transaction.
   */
  function post(id: string, changes: readonly Change[], since: number, what = 'edit', alongside?: () => void): Posted {
    const before = load(id);
    const missed = missedSince(id, since, before.revision);
    const state = { ...before };
    const accepted: string[] = [];
    const refused: Posted['refused'] = [];
    db.transaction(() => {
      for (const change of changes) {
        if (courses.hasChange(id, change.id)) {
          accepted.push(change.id);
          continue;
        }
        const problem = make(id, state, change, 'do', null, what);
        if (problem) refused.push({ id: change.id, problem, ...valueNow(state.course, change.operation) });
        else accepted.push(change.id);
      }
      if (state.revision > before.revision) courses.advance(state.course, state.revision, now());
      if (Math.floor(state.revision / SNAPSHOT_EVERY) > Math.floor(before.revision / SNAPSHOT_EVERY)) courses.addSnapshot(state.course, state.revision);
      alongside?.();
    })();
    changed(id, before, state);
    return { revision: state.revision, accepted, refused, missed };
  }

  /** Applies one change and writes it to the log; gives the problem instead when it does not fit. */
  function make(id: string, state: Kept, change: Change, kind: 'do' | 'undo' | 'redo', target: string | null, what: string): Problem | undefined {
    const applied = apply(state.course, change.operation);
    if (!applied.ok) return applied.problem;
    const at = now();
    const person = 'person' in change.actor ? change.actor.person : change.actor.for;
    const last = courses.lastChange(id);
    let { inverse } = applied;
    if (last && last.revision === state.revision && merges(last, change, person, at)) {
      // One change for the whole burst: it takes back to what stood before its first key.
      inverse = { ...inverse, value: (last.inverse as Extract<Operation, { type: 'set' }>).value } as Operation;
      courses.replaceLast(id, last);
    }
    state.course = applied.course;
    state.revision++;
    courses.append(id, state.revision, change, inverse, at);
    courses.noteGroup(id, { group: change.group, person, kind, target, what, revision: state.revision });
    return undefined;
  }

  function takeBack(id: string, person: string, since: number, which: 'undo' | 'redo'): TakenBack {
    const before = load(id);
    const group = which === 'undo' ? courses.lastGroup(id, person) : courses.lastUndo(id, person);
    if (!group) fail(`nothing-to-${which}`);
    const missed = missedSince(id, since, before.revision);
    const state = { ...before };
    const operations = courses.changesOf(id, group.group_id).map((change) => change.inverse);
    const taken = freshId('g');
    db.transaction(() => {
      for (const operation of operations) {
        const problem = make(id, state, { id: freshId('x'), group: taken, actor: { person }, version: OPERATION_VERSION, operation }, which, group.group_id, group.what);
        // Nothing of it is made when a part does not fit: somebody changed the same place since.
        if (problem) fail(problem.code === 'changed-meanwhile' ? 'undo-changed-meanwhile' : problem.code, { what: group.what }, problem.place);
      }
      courses.takeBack(id, group.group_id);
      // What redo brought back can be undone again: its undo is spent, a new group stands for it.
      courses.advance(state.course, state.revision, now());
    })();
    changed(id, before, state);
    return { revision: state.revision, what: group.what, operations, missed };
  }

  function missedSince(id: string, since: number, revision: number): Operation[] {
    return since >= revision ? [] : courses.changesAfter(id, since).map((change) => change.operation);
  }

  /** The course as it was at a revision that was pinned or named. */
  function at(id: string, revision: number): Course {
    const key = `${id}/${revision}`;
    const course = pinned.get(key) ?? courses.snapshotAt(id, revision) ?? fail('no-such-version', undefined, key);
    pinned.delete(key);
    pinned.set(key, course);
    if (pinned.size > 4) pinned.delete(pinned.keys().next().value!);
    return course;
  }

  return {
    load, create, adopt, post, takeBack, at,
    /** Keeps the course as it stands, to be come back to by its revision. */
    pin(id: string): number {
      const { course, revision } = load(id);
      courses.addSnapshot(course, revision);
      return revision;
    },
    /** What a window that knows a revision has missed. */
    changesSince: (id: string, since: number) => ({ revision: load(id).revision, missed: missedSince(id, since, load(id).revision) }),
    undoable: (id: string, person: string) => ({ undo: courses.lastGroup(id, person)?.what, redo: courses.lastUndo(id, person)?.what }),
    list: (person: string) => courses.ofPerson(person),
    remove(id: string) {
      courses.remove(id, now());
      memory.delete(id);
    },
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
    /** Brings a course back to a version, as one gesture; throws `no-such-version`. */
    backTo(id: string, versionId: string, person: string, since: number): Posted & { operations: Operation[] } {
      const version = courses.versions(id).find((each) => each.id === versionId);
      const then = version && courses.snapshotAt(id, version.revision);
      if (!then) fail('no-such-version', undefined, versionId);
      const operations = operationsTo(load(id).course, then);
      const group = freshId('g');
      const posted = post(id, operations.map((operation) => ({ id: freshId('x'), group, actor: { person }, version: OPERATION_VERSION, operation })), since, `back to “${version!.name}”`);
      return { ...posted, operations };
    },
  };
}

export type CourseDesk = ReturnType<typeof courseDesk>;

function merges(last: ChangeRow, change: Change, person: string, at: number): boolean {
  const [a, b] = [last.operation, change.operation];
  return last.group_id === change.group && last.person_id === person && at - last.made_at <= MERGE_WITHIN && a.type === 'set' && b.type === 'set' && a.id === b.id && a.field === b.field;
}

/** A merged change says what it replaced by its inverse; its own `was` is that of the last key. */
function withMergedWas(operation: Operation, inverse: Operation): Operation {
  return operation.type === 'set' && inverse.type === 'set' ? { ...operation, was: inverse.value } : operation;
}

function made(course: Course, operation: Operation): Course {
  const applied = apply(course, operation);
  if (!applied.ok) throw new Error(`The log of ${course.id} does not replay: ${applied.problem.code} at ${applied.problem.place}`);
  return applied.course;
}

function valueNow(course: Course, operation: Operation): { now?: unknown } {
  if (operation.type !== 'set') return {};
  const node = (operation.id === course.id ? course : findNode(course, operation.id)?.node) as Record<string, unknown> | undefined;
  const value = node?.[operation.field];
  return node === undefined || sameData(value, operation.value) ? {} : { now: value };
}
