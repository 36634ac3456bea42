import { checkIn, mapBlockTexts } from '../blocks/forms';
import { checkFormOf, type Check } from '../checks/forms';
import type { BinEntry, Course, Lesson, Module, Take } from './course';
import { nodeProblems } from './invariants';
import type { Operation } from './operations';
import { fail, type Problem } from '../document/problem';
import { canonicalRichText } from '../document/rich-text';
import { NODE_SHAPES, OPERATION_SHAPES } from './shapes';

/**
 * The version of course documents and of operations on them. 2: takes say when, by whom and why; what a log may hold is
 * checked. 3: what was left out and why, what a lesson was given, where else the sources say the same; a document
 * without them is one of 3. 4: a brief says more of its audience, a module has a brief of its own, a
 * lesson a kind, notes can be left, a course says how it is announced, and what promise, audience and purposes said
 * before is kept; likewise. 5: a lesson can have points, a module's lessons another arrangement as a take, a term can
 * be an everyday word; likewise. 6: a lesson can be a quiz, a question be refused; likewise. 7: a question
 * can be answered in a picture, an answer have one, and a check be a scenario; likewise. 8: a check can be a practice
 * task; likewise. 9: a page can hold a feedback form; likewise. 10: a course has a
 * shelf of media, a page galleries, clips and files; likewise.
 */
export const DOCUMENT_VERSION = 10;

/** A course document of any version, as this program works on it. Throws `newer-document`. */
export function upgradeCourse(document: unknown, version: number): Course {
  if (version > DOCUMENT_VERSION) fail('newer-document', { version, known: DOCUMENT_VERSION });
  const course = document as Course;
  return version < 2 ? { ...course, takes: course.takes.map(withMaker) } : course;
}

/** An operation of any version. Throws `newer-document`. */
export function upgradeOperation(operation: Operation, version: number): Operation {
  if (version > DOCUMENT_VERSION) fail('newer-document', { version, known: DOCUMENT_VERSION });
  if (version >= 2) return operation;
  if (operation.type === 'insert' && operation.kind === 'take')
    return { ...operation, node: withMaker(operation.node as Take) };
  if (operation.type !== 'remove' || !operation.bin) return operation;
  // Version 1 believed what a sender said of the bin.
  const entry =
    operation.bin.kind === 'take' ? { ...operation.bin, node: withMaker(operation.bin.node as Take) } : operation.bin;
  return { type: 'remove', id: operation.id, ...(isEntry(entry) && { bin: entry }) };
}

function withMaker(take: Take): Take {
  return (take as Partial<Take>).made
    ? take
    : { ...take, made: { at: 0, by: '', why: take.field === 'page' ? 'replaced' : 'kept' } };
}

function isEntry(entry: BinEntry): boolean {
  const problems: Problem[] = [];
  OPERATION_SHAPES.remove.check({ type: 'remove', id: 'xxxxxxxxxx', bin: entry }, '', problems);
  return problems.length === 0 && isGood(entry);
}

function isGood({ kind, node }: Pick<BinEntry, 'kind' | 'node'>): boolean {
  const problems: Problem[] = [];
  NODE_SHAPES[kind].check(node, '', problems);
  return problems.length === 0 && nodeProblems(kind, node).length === 0;
}

/**
 * A document without what version 1 let in and nothing can work with: places of questions that are gone, keys that are
 * no option, entries of the bin and takes of no form. Whatever has words keeps them.
 */
export function mended(course: Course): Course {
  const checks = new Set(course.checks.map((check) => check.id));
  const objectives = new Set(course.objectives.map((objective) => objective.id));
  const known = (ids: readonly string[]) => ids.filter((id) => objectives.has(id));
  const lesson = (each: Lesson): Lesson => ({
    ...each,
    objectiveIds: known(each.objectiveIds),
    blocks: each.blocks
      .filter((block) => checks.has(checkIn(block) ?? '') || checkIn(block) === undefined)
      .map((block) => mapBlockTexts(block, canonicalRichText)),
  });
  const module = (each: Module): Module => ({
    ...each,
    objectiveIds: known(each.objectiveIds),
    lessons: each.lessons.map(lesson),
  });
  return {
    ...course,
    modules: course.modules.map(module),
    checks: course.checks.map((check) => mendedCheck(check, objectives)),
    takes: course.takes.map(withMaker).filter((node) => isGood({ kind: 'take', node })),
    bin: course.bin.filter(isEntry),
  };
}

function mendedCheck({ objectiveId, ...check }: Check, objectives: ReadonlySet<string>): Check {
  const mended = checkFormOf(check).mended?.(check) ?? check;
  return { ...mended, ...(objectiveId && objectives.has(objectiveId) && { objectiveId }) };
}
