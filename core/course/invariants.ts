import { blockTexts, checkIn, formOf, type Block } from '../blocks/forms';
import { sameData } from '../document/canonical';
import { checkFormOf, type Check } from '../checks/forms';
import { allLessons, type Course, type CourseNode, type Lesson, type Module, type NodeKind, type Take } from './course';
import type { Problem } from '../document/problem';
import { canonicalRichText } from '../document/rich-text';
import { takeValueProblems } from './shapes';
import { allIds } from './tree';

/**
 * What the form of a node cannot say of it, by itself: rich text in its one form, a key among the options, a take's
 * value that has a place.
 */
export function nodeProblems(kind: NodeKind, node: CourseNode): Problem[] {
  switch (kind) {
    case 'module':
      return (node as Module).lessons.flatMap((lesson) => nodeProblems('lesson', lesson));
    case 'lesson':
      return [
        ...((node as Lesson).kind === 'quiz' && !(node as Lesson).quiz ? [{ code: 'no-quiz', place: node.id }] : []),
        ...((node as Lesson).kind !== 'quiz' && (node as Lesson).quiz ? [{ code: 'not-a-quiz', place: node.id }] : []),
        ...(node as Lesson).blocks.flatMap((block) => nodeProblems('block', block)),
      ];
    case 'block':
      return blockProblems(node as Block);
    case 'check':
      return checkProblems(node as Check);
    case 'take':
      return takeValueProblems(node as Take);
    default:
      return [];
  }
}

function blockProblems(block: Block): Problem[] {
  const isCanonical = blockTexts(block).every((text) => sameData(text, canonicalRichText(text)));
  const codes = [...(isCanonical ? [] : ['not-canonical']), ...(formOf(block).problems?.(block.body) ?? [])];
  return codes.map((code) => ({ code, place: block.id }));
}

function checkProblems(check: Check): Problem[] {
  return (checkFormOf(check).problems?.(check) ?? []).map((code) => ({ code, place: check.id }));
}

/** References that lead nowhere, and ids that stand twice. What lies in the bin is not asked. */
export function referenceProblems(course: Course): Problem[] {
  const problems: Problem[] = [];
  const objectives = new Set(course.objectives.map((objective) => objective.id));
  const checks = new Set(course.checks.map((check) => check.id));
  const known = (ids: readonly string[], place: string) => {
    for (const id of ids)
      if (!objectives.has(id)) problems.push({ code: 'no-such-objective', place: `${place}/${id}` });
  };
  for (const module of course.modules) known(module.objectiveIds, module.id);
  for (const lesson of allLessons(course)) {
    known(lesson.objectiveIds, lesson.id);
    for (const block of lesson.blocks) {
      const check = checkIn(block);
      if (check !== undefined && !checks.has(check))
        problems.push({ code: 'no-such-check', place: `${block.id}/${check}` });
    }
  }
  for (const check of course.checks) if (check.objectiveId) known([check.objectiveId], check.id);
  return problems;
}

/** Ids that stand twice in a course. */
export function doubleIds(course: Course): Problem[] {
  const seen = new Set<string>();
  const problems: Problem[] = [];
  for (const id of allIds(course)) {
    if (seen.has(id)) problems.push({ code: 'id-twice', place: id });
    seen.add(id);
  }
  return problems;
}

/** The first reference that a gesture broke. What was broken before does not stand in its way. */
export function newlyBroken(before: Course, after: Course): Problem | undefined {
  const now = referenceProblems(after);
  if (now.length === 0) return undefined;
  const known = new Set(referenceProblems(before).map(({ code, place }) => `${code} ${place}`));
  return now.find(({ code, place }) => !known.has(`${code} ${place}`));
}
