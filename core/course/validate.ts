import { blockTexts } from './blocks';
import { sameData } from './canonical';
import { allLessons, type Course } from './course';
import type { Problem } from './problem';
import { canonicalRichText } from './rich-text';
import { courseShape, NODE_SHAPES } from './shapes';
import { allIds } from './tree';

/**
 * Everything that is wrong with a course document: its form first, then what a form cannot say (ids used once,
 * references that lead somewhere, rich text in its one form, a key among the options). Empty when it is good.
 */
export function validateCourse(value: unknown): Problem[] {
  const problems: Problem[] = [];
  courseShape.check(value, '', problems);
  if (problems.length > 0) return problems;
  const course = value as Course;
  for (const entry of course.bin) NODE_SHAPES[entry.kind].check(entry.node, `/bin/${(entry.node as { id?: string })?.id ?? ''}`, problems);
  const seen = new Set<string>();
  for (const id of allIds(course)) {
    if (seen.has(id)) problems.push({ code: 'id-twice', place: id });
    seen.add(id);
  }
  const objectives = new Set(course.objectives.map((objective) => objective.id));
  const checks = new Set(course.checks.map((check) => check.id));
  const known = (ids: readonly string[], place: string) => {
    for (const id of ids) if (!objectives.has(id)) problems.push({ code: 'no-such-objective', place: `${place}/${id}` });
  };
  for (const module of course.modules) known(module.objectiveIds, module.id);
  for (const lesson of allLessons(course)) {
    known(lesson.objectiveIds, lesson.id);
    for (const block of lesson.blocks) {
      if (block.kind === 'check' && !checks.has(block.body.checkId)) problems.push({ code: 'no-such-check', place: `${block.id}/${block.body.checkId}` });
      if (blockTexts(block).some((text) => !sameData(text, canonicalRichText(text)))) problems.push({ code: 'not-canonical', place: block.id });
    }
  }
  for (const check of course.checks) {
    const options = check.options.map((option) => option.id);
    if (!options.includes(check.key)) problems.push({ code: 'no-key', place: check.id });
    if (new Set(options).size < options.length) problems.push({ code: 'id-twice', place: check.id });
    if (check.objectiveId) known([check.objectiveId], check.id);
  }
  return problems;
}
