import type { Course, NodeKind } from './course';
import { doubleIds, nodeProblems, referenceProblems } from './invariants';
import type { Problem } from '../document/problem';
import { courseShape, NODE_SHAPES } from './shapes';
import { nodesOf } from './tree';

/**
 * Everything that is wrong with a course document: its form first, then what a form cannot say (ids used once,
 * references that lead somewhere, rich text in its one form, a key among the options). Empty when it is good.
 */
export function validateCourse(value: unknown): Problem[] {
  const problems: Problem[] = [];
  courseShape.check(value, '', problems);
  if (problems.length > 0) return problems;
  const course = value as Course;
  for (const { kind, node } of course.bin) {
    const place = `/bin/${(node as { id?: string } | null)?.id ?? ''}`;
    const wrong: Problem[] = [];
    NODE_SHAPES[kind].check(node, place, wrong);
    problems.push(...(wrong.length > 0 ? wrong : nodeProblems(kind, node)));
  }
  const kinds = Object.keys(NODE_SHAPES) as NodeKind[];
  return [
    ...problems,
    ...doubleIds(course),
    ...referenceProblems(course),
    ...kinds.flatMap((kind) => nodesOf(course, kind).flatMap((node) => nodeProblems(kind, node))),
  ];
}
