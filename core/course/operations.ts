import { checkIn, type Block } from '../blocks/forms';
import { OWN_CHECK_FIELDS } from '../checks/forms';
import { sameData } from '../document/canonical';
import type { BinEntry, Course, CourseNode, NodeKind } from './course';
import { newlyBroken, nodeProblems } from './invariants';
import type { Problem } from '../document/problem';
import { fieldRule, NODE_SHAPES, OPERATION_SHAPES } from './shapes';
import { findNode, hasAnyId, idsWithin, withChildren, type Found } from './tree';

/** A change of a course, as plain data. Places are told by neighbours, never by counting. */
export type Operation =
  /** Puts a node below `parent`, behind `after` (null: first). A node that lies in the bin is taken out of it. */
  | { type: 'insert'; kind: NodeKind; parent: string; after: string | null; node: CourseNode }
  /**
   * Takes a node out, into the bin. `bin` null: not into the bin; an entry, which the log alone may give: what shall
   * lie there.
   */
  | { type: 'remove'; id: string; bin?: BinEntry | null }
  | { type: 'move'; id: string; parent: string; after: string | null }
  /** Sets a field. `was` is the value it is known to have: when it has another by now, the operation is refused. */
  | { type: 'set'; id: string; field: string; value: unknown; was: unknown };

/** An operation with who made it, and with which others it belongs. */
export interface Change {
  /** Made by its maker; the same id twice is the same change. */
  id: string;
  /** One gesture of the author: taken and undone together. */
  group: string;
  actor: { person: string } | { job: string; for: string };
  /** Of the document format, for reading old changes. */
  version: number;
  operation: Operation;
}

export type Applied = { ok: true; course: Course; inverse: Operation } | { ok: false; problem: Problem };
/** `at` is the place, in the list given, of the operation that was refused. */
export type AppliedAll =
  { ok: true; course: Course; inverses: Operation[] } | { ok: false; problem: Problem; at: number };

/**
 * Makes a change: the new course (the old one stays as it was) and the operation that takes it back, or the reason
 * why not. Applying the inverse gives the starting document, letter by letter.
 */
export function apply(course: Course, operation: Operation): Applied {
  const made = applyAll(course, [operation]);
  return made.ok ? { ok: true, course: made.course, inverse: made.inverses[0] } : { ok: false, problem: made.problem };
}

/**
 * Makes a gesture: all its operations or none. Whatever it is made of, a good document stays a good one: forms are
 * checked on the way, what no form can say (references, keys) at the end. The inverse list takes it back. `log`: the
 * operations come from the course's own log, which alone may say what shall lie in the bin.
 */
export function applyAll(course: Course, operations: readonly Operation[], { log = false } = {}): AppliedAll {
  const inverses: Operation[] = [];
  const touched = new Set<string>();
  let next = course;
  for (const [at, operation] of operations.entries()) {
    const wrong = formProblem(operation, log);
    const done = wrong ? ({ ok: false, problem: wrong } as const) : step(next, operation);
    if (!done.ok) return { ...done, at };
    next = done.course;
    inverses.unshift(done.inverse);
    if (operation.type === 'insert') touched.add(operation.node.id);
    else if (operation.type === 'set' && JUDGED.has(operation.field)) touched.add(operation.id);
  }
  const problem = inTouched(next, touched) ?? (operations.some(mayBreak) ? newlyBroken(course, next) : undefined);
  return problem ? { ok: false, problem, at: operations.length - 1 } : { ok: true, course: next, inverses };
}

/**
 * Makes operations that were accepted before, as when a log is read: they are not judged again, so that a log stays
 * readable when the forms become stricter. Ends at the first that does not fit.
 */
export function replayAll(
  course: Course,
  operations: readonly Operation[],
): { ok: true; course: Course } | { ok: false; problem: Problem } {
  for (const operation of operations) {
    const done = step(course, operation);
    if (!done.ok) return done;
    course = done.course;
  }
  return { ok: true, course };
}

/** Changes of one gesture that stand together, in order: what is made all or none. */
export function gesturesOf<Grouped extends { group: string }>(changes: readonly Grouped[]): Grouped[][] {
  const gestures: Grouped[][] = [];
  for (const change of changes) {
    const last = gestures.at(-1);
    if (last?.[0].group === change.group) last.push(change);
    else gestures.push([change]);
  }
  return gestures;
}

/** What is wrong with the form of an operation as it was sent. */
function formProblem(operation: Operation, log: boolean): Problem | undefined {
  const shape =
    operation && Object.hasOwn(OPERATION_SHAPES, operation.type) ? OPERATION_SHAPES[operation.type] : undefined;
  if (!shape) return { code: 'unknown-operation' };
  if (operation.type === 'insert' && !Object.hasOwn(NODE_SHAPES, operation.kind)) return { code: 'unknown-kind' };
  if (operation.type === 'remove' && operation.bin && !log)
    return { code: 'bin-not-yours', place: String(operation.id) };
  const problems: Problem[] = [];
  shape.check(operation, '', problems);
  if (problems.length === 0 && operation.type === 'insert')
    NODE_SHAPES[operation.kind].check(operation.node, '', problems);
  return problems[0];
}

/** Fields of which a form does not say all: rich text, what a kind of check has of its own, what a take holds. */
const JUDGED = new Set(['body', 'value', ...OWN_CHECK_FIELDS]);

/**
 * Whether an operation could leave a reference that leads nowhere. Typing could not, and is not made to wait for an
 * answer.
 */
function mayBreak(operation: Operation): boolean {
  switch (operation.type) {
    case 'insert':
      return (
        operation.kind === 'module' ||
        operation.kind === 'lesson' ||
        operation.kind === 'check' ||
        (operation.kind === 'block' && checkIn(operation.node as Block) !== undefined)
      );
    case 'remove':
      return true;
    case 'set':
      return (
        operation.field === 'objectiveIds' ||
        operation.field === 'objectiveId' ||
        (operation.field === 'body' &&
          typeof operation.value === 'object' &&
          operation.value !== null &&
          'checkId' in operation.value)
      );
    default:
      return false;
  }
}

/** What a form cannot say of the nodes a gesture touched. */
function inTouched(course: Course, touched: ReadonlySet<string>): Problem | undefined {
  for (const id of touched) {
    const found = findNode(course, id);
    const [problem] = found ? nodeProblems(found.kind, found.node) : [];
    if (problem) return problem;
  }
  return undefined;
}

function step(course: Course, operation: Operation): Applied {
  switch (operation.type) {
    case 'insert':
      return insert(course, operation);
    case 'remove':
      return remove(course, operation);
    case 'move':
      return move(course, operation);
    case 'set':
      return set(course, operation);
    default:
      return refused('unknown-operation');
  }
}

function insert(course: Course, { kind, parent, after, node }: Extract<Operation, { type: 'insert' }>): Applied {
  const inside = new Set(idsWithin(kind, node));
  if (hasAnyId(course, inside) || inside.size < idsWithin(kind, node).length) return refused('id-taken', node.id);
  const changed = withChildren(course, parent, kind, (nodes) => placed(nodes, node, after));
  if (!changed) return refused('place-gone', parent);
  const binned = course.bin.find((entry) => entry.node.id === node.id);
  return {
    ok: true,
    course: binned ? { ...changed, bin: course.bin.filter((entry) => entry !== binned) } : changed,
    inverse: { type: 'remove', id: node.id, bin: binned ?? null },
  };
}

function remove(course: Course, { id, bin }: Extract<Operation, { type: 'remove' }>): Applied {
  const found = findNode(course, id);
  if (!found) return refused('gone', id);
  const { kind, parent, after, node } = found;
  const changed = withChildren(course, parent, kind, (nodes) => nodes.filter((each) => each.id !== id))!;
  const entry = bin === undefined ? { kind, parent, after, node } : bin;
  const left = entry
    ? [...course.bin.filter((each) => each.node.id !== id), entry].sort((a, b) => (a.node.id < b.node.id ? -1 : 1))
    : course.bin;
  return { ok: true, course: { ...changed, bin: left }, inverse: { type: 'insert', kind, parent, after, node } };
}

function move(course: Course, { id, parent, after }: Extract<Operation, { type: 'move' }>): Applied {
  const found = findNode(course, id);
  if (!found) return refused('gone', id);
  if (after === id) return refused('place-gone', id);
  const without = withChildren(course, found.parent, found.kind, (nodes) => nodes.filter((each) => each.id !== id))!;
  const changed = withChildren(without, parent, found.kind, (nodes) => placed(nodes, found.node, after));
  if (!changed) return refused('place-gone', parent);
  return { ok: true, course: changed, inverse: { type: 'move', id, parent: found.parent, after: found.after } };
}

function set(course: Course, { id, field, value, was }: Extract<Operation, { type: 'set' }>): Applied {
  const found: Pick<Found, 'kind' | 'node' | 'parent'> | undefined = findNode(course, id);
  if (!found && id !== course.id) return refused('gone', id);
  const kind = found?.kind ?? 'course';
  const rule = fieldRule(kind, found?.node, field);
  if (!rule) return refused('unknown-field', `${id}/${field}`);
  const problems: Problem[] = [];
  if (value === null ? !rule.optional : false) problems.push({ code: 'missing', place: `${id}/${field}` });
  else if (value !== null) rule.shape.check(value, `${id}/${field}`, problems);
  if (problems.length > 0) return { ok: false, problem: problems[0] };
  const target = (found?.node ?? course) as unknown as Record<string, unknown>;
  const now = target[field] ?? null;
  if (!sameData(now, was ?? null)) return refused('changed-meanwhile', `${id}/${field}`);
  const changed = { ...target };
  if (value === null) delete changed[field];
  else changed[field] = value;
  const inverse: Operation = { type: 'set', id, field, value: now, was: value };
  if (!found) return { ok: true, course: changed as unknown as Course, inverse };
  const next = withChildren(course, found.parent, found.kind, (nodes) =>
    nodes.map((node) => (node.id === id ? (changed as unknown as CourseNode) : node)),
  )!;
  return { ok: true, course: next, inverse };
}

function placed(nodes: readonly CourseNode[], node: CourseNode, after: string | null): CourseNode[] | undefined {
  const at = after === null ? 0 : nodes.findIndex((each) => each.id === after) + 1;
  return after !== null && at === 0 ? undefined : [...nodes.slice(0, at), node, ...nodes.slice(at)];
}

function refused(code: string, place?: string): Applied & { ok: false } {
  return { ok: false, problem: { code, ...(place && { place }) } };
}
