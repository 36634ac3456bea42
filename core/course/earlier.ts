import { sameData } from '../document/canonical';
import type { Course, EarlierWords } from './course';
import type { Operation } from './operations';

/** So many earlier wordings of one thing are kept; the oldest go. */
const KEPT = 8;

/**
 * What has to be done with changes to promise, audience or purposes, so that it stays known what they said before: the
 * operation that keeps it, or none. What an operation says it replaces is the wording before typing began, so words
 * half typed are never kept.
 */
export function keepEarlier(course: Course, operations: readonly Operation[]): Operation[] {
  const replaced = operations.flatMap((operation) => replacedBy(course, operation));
  if (replaced.length === 0) return [];
  const was = course.earlier ?? null;
  let value: EarlierWords[] = was ?? [];
  for (const { of, field, words } of replaced) {
    const before = value.find((each) => each.of === of && each.field === field);
    if (before?.was.includes(words)) continue;
    const next: EarlierWords = { of, field, was: [...(before?.was ?? []), words].slice(-KEPT) };
    value = before ? value.map((each) => (each === before ? next : each)) : [...value, next];
  }
  const known = new Set([course.id, ...course.modules.map(({ id }) => id)]);
  value = value.filter(({ of }) => known.has(of));
  return sameData(value, was ?? []) ? [] : [{ type: 'set', id: course.id, field: 'earlier', value, was }];
}

type Replaced = { of: string; field: EarlierWords['field']; words: string };

/** The words that an operation puts others in the place of. */
function replacedBy(course: Course, operation: Operation): Replaced[] {
  if (operation.type !== 'set') return [];
  const { id, field, value, was } = operation;
  if (field === 'brief' && id === course.id) {
    const [next, before] = [value, was] as Course['brief'][];
    return [
      changed(id, 'promise', before.promise, next.promise),
      changed(id, 'who', before.audience.who, next.audience.who),
    ].flat();
  }
  return field === 'purpose' ? changed(id, 'purpose', String(was), String(value)) : [];
}

const changed = (of: string, field: Replaced['field'], before: string, next: string): Replaced[] =>
  before.trim() === '' || before === next ? [] : [{ of, field, words: before }];
