import { sameData } from '../document/canonical';
import type { Course, Take, TakeMade } from './course';
import { idFrom } from '../document/id';
import { apply, type Operation } from './operations';
import { putBack } from './restore';
import { findNode, idsWithin } from './tree';

/** An operation that was refused, with the id of its change. */
export interface Refused {
  id: string;
  operation: Operation;
}

/**
 * What is done with changes that met somebody else's: their words are laid beside the place as takes, so that both
 * texts are kept where a reload and another device find them. What only took away, moved, or says what stands there
 * already, loses nothing. The same change refused twice is kept once.
 */
export function keepRefused(
  course: Course,
  refused: readonly Refused[],
  made: Pick<TakeMade, 'at' | 'by'>,
): Operation[] {
  const operations: Operation[] = [];
  let last = course.takes.at(-1)?.id ?? null;
  for (const { id, operation } of refused) {
    const kept = keptOf(course, operation);
    if (!kept) continue;
    const take: Take = { id: idFrom('t', 'conflict', id), ...kept, made: { ...made, why: 'conflict' } };
    const insert: Operation = { type: 'insert', kind: 'take', parent: course.id, after: last, node: take };
    const applied = apply(course, insert);
    if (!applied.ok) continue;
    course = applied.course;
    operations.push(insert);
    last = take.id;
  }
  return operations;
}

/** Fields that hold choices and references, no words: what stands there stands. */
const WORDLESS = new Set([
  'state',
  'objectiveIds',
  'objectiveId',
  'plannedPassages',
  'minutesFixed',
  'lessonKind',
  'quiz',
  'does',
  'passages',
  'key',
  'evidence',
  'direction',
  'language',
  'level',
  'difficulty',
  'verb',
  'made',
  'notesLeft',
  'earlier',
]);

function keptOf(course: Course, operation: Operation): Pick<Take, 'of' | 'field' | 'value'> | undefined {
  if (operation.type === 'set') {
    if (WORDLESS.has(operation.field)) return undefined;
    const target = operation.id === course.id ? course : findNode(course, operation.id)?.node;
    const now = target && ((target as unknown as Record<string, unknown>)[operation.field] ?? null);
    return sameData(now, operation.value)
      ? undefined
      : { of: operation.id, field: operation.field, value: operation.value };
  }
  if (operation.type !== 'insert' || operation.kind === 'take' || findNode(course, operation.node.id)) return undefined;
  const { kind, parent, after, node } = operation;
  return { of: parent, field: 'insert', value: { kind, parent, after, node } };
}

/**
 * A value that was changed here and elsewhere, where the two changes are of different parts of it: theirs with mine
 * made in it. Undefined where both changed the same part, or where it has no parts.
 */
export function mergedValue(was: unknown, mine: unknown, theirs: unknown): { value: unknown } | undefined {
  if (sameData(mine, was) || sameData(mine, theirs)) return { value: theirs };
  if (sameData(theirs, was)) return { value: mine };
  if (!isParts(was) || !isParts(mine) || !isParts(theirs)) return undefined;
  const value: Record<string, unknown> = {};
  for (const key of new Set([...Object.keys(theirs), ...Object.keys(mine)])) {
    const part = mergedValue(was[key], mine[key], theirs[key]);
    if (!part) return undefined;
    if (part.value !== undefined) value[key] = part.value;
  }
  return { value };
}

function isParts(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

/**
 * A change that was refused because the place was changed meanwhile, as it fits what stands there now; undefined where
 * it cannot be made to.
 */
export function refitted(course: Course, operation: Operation): Operation | undefined {
  if (operation.type !== 'set') return undefined;
  const target = operation.id === course.id ? course : findNode(course, operation.id)?.node;
  if (!target) return undefined;
  const now = (target as unknown as Record<string, unknown>)[operation.field] ?? null;
  const merged = isParts(now) ? mergedValue(operation.was, operation.value, now) : undefined;
  return merged && { ...operation, value: merged.value, was: now };
}

/**
 * Why an operation was refused, where others changed the course meanwhile; for any other reason it is refused for good.
 */
const MET: ReadonlySet<string> = new Set([
  'changed-meanwhile',
  'gone',
  'place-gone',
  'id-taken',
  'no-such-check',
  'no-such-objective',
]);
export const metAnother = (code: string): boolean => MET.has(code);

/**
 * An operation as it is when others made before it (`gone`, in order) are not made after all: a field that was set on
 * top of theirs is set from what stood there before them. Undefined for what is done to something that they put in.
 */
export function without(operation: Operation, gone: readonly Operation[]): Operation | undefined {
  const never = new Set(gone.flatMap((each) => (each.type === 'insert' ? idsWithin(each.kind, each.node) : [])));
  const touched =
    operation.type === 'insert'
      ? [operation.parent, operation.after]
      : operation.type === 'move'
        ? [operation.id, operation.parent, operation.after]
        : [operation.id];
  if (touched.some((id) => id !== null && never.has(id))) return undefined;
  if (operation.type !== 'set') return operation;
  const sets = gone.filter(
    (each) => each.type === 'set' && each.id === operation.id && each.field === operation.field,
  ) as Extract<Operation, { type: 'set' }>[];
  // What was set on top of one that is made stands on that one.
  return sets.length > 0 && sameData(operation.was, sets.at(-1)!.value)
    ? { ...operation, was: sets[0].was }
    : operation;
}

/** Texts that met another's and wait for their author to choose, oldest first. */
export function conflictsOf(course: Pick<Course, 'takes'>): Take[] {
  return course.takes.filter((take) => take.made.why === 'conflict');
}

/** What stands in the place of a kept text; undefined when the place is not there any more. */
export function standingIn(course: Course, take: Take): { value: unknown } | undefined {
  if (take.field === 'insert') return undefined;
  const node = take.of === course.id ? course : findNode(course, take.of)?.node;
  return node && { value: (node as unknown as Record<string, unknown>)[take.field] ?? null };
}

/**
 * Puts a kept text in its place: over what stands there, which is then kept in its stead; or, where the place was
 * deleted, back from the bin with it. Empty when there is no place for it any more.
 */
export function takeText(course: Course, take: Take): Operation[] {
  const drop: Operation = { type: 'remove', id: take.id, bin: null };
  if (take.field === 'insert')
    return [drop, ...within(course, take.of), ...putBackOf(take)(applied(course, within(course, take.of)))];
  const now = standingIn(course, take);
  const set = (was: unknown): Operation => ({ type: 'set', id: take.of, field: take.field, value: take.value, was });
  if (now) {
    // What stood there is kept in its stead, where it can be: a field that was empty leaves nothing to keep.
    const swapped: Operation[] =
      now.value === null
        ? [drop]
        : [{ type: 'set', id: take.id, field: 'value', value: now.value, was: take.value }, ...letStand(take)];
    return sameData(now.value, take.value) ? [drop] : [set(now.value), ...swapped];
  }
  const back = within(course, take.of);
  const there = back.length > 0 ? standingIn(applied(course, back), take) : undefined;
  return there ? [drop, ...back, set(there.value)] : [];
}

const putBackOf = (take: Take) => (course: Course) => putBack(course, take.value as Parameters<typeof putBack>[1]);

/** The operations that bring a node back that lies in the bin, by itself or within another. */
function within(course: Course, id: string): Operation[] {
  if (id === course.id || findNode(course, id)) return [];
  const entry = course.bin.find(({ kind, node }) => idsWithin(kind, node).includes(id));
  return entry ? putBack(course, entry) : [];
}

function applied(course: Course, operations: readonly Operation[]): Course {
  return operations.reduce((now, operation) => {
    const made = apply(now, operation);
    return made.ok ? made.course : now;
  }, course);
}

/** A conflict is settled by letting what stands there stand: the text stays as a take like any other. */
export function letStand(take: Take): Operation[] {
  return [{ type: 'set', id: take.id, field: 'made', value: { ...take.made, why: 'kept' }, was: take.made }];
}
