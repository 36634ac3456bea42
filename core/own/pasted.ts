import type { Course } from '../course/course';
import { blankLesson, blankModule, moduleOf } from '../course/gestures';
import type { Operation } from '../course/operations';
import { idFrom } from '../document/id';
import { openAnswers, ownObjective } from './open';
import type { OwnLesson, OwnOutline } from './own';

/**
 * The operations that put pasted lines into an outline as rows with their levels: lessons behind the row they were
 * pasted at, modules behind its module. Points below a lesson become its open questions. `flat`: the lines have one
 * level, and are lessons of the module that is there. `seed` makes the ids. Gives the id of the first row too.
 */
export function pasteRows(
  course: Course,
  row: string | null,
  { modules }: OwnOutline,
  flat: boolean,
  seed: string,
): { operations: Operation[]; first?: string } {
  const operations: Operation[] = [];
  let lastObjective = course.objectives.at(-1)?.id ?? null;
  let lastAnswer = course.answers?.at(-1)?.id ?? null;
  let first: string | undefined;
  const put = (
    { title, objective, minutes, points }: OwnLesson,
    parent: string,
    after: string | null,
    place: string,
  ): string => {
    const id = idFrom('l', seed, place, title);
    first ??= id;
    const node = { ...blankLesson(id, title), ...(minutes !== undefined && { minutesFixed: minutes }) };
    if (objective) {
      const said = ownObjective(id, objective);
      operations.push({ type: 'insert', kind: 'objective', parent: course.id, after: lastObjective, node: said });
      lastObjective = said.id;
      node.objectiveIds = [said.id];
    }
    operations.push({ type: 'insert', kind: 'lesson', parent, after, node });
    for (const answer of openAnswers({ id, title, own: { open: points } })) {
      operations.push({ type: 'insert', kind: 'answer', parent: course.id, after: lastAnswer, node: answer });
      lastAnswer = answer.id;
    }
    return id;
  };
  const home =
    course.modules.find(({ id }) => id === row) ??
    (row === null ? undefined : moduleOf(course, row)) ??
    course.modules.at(-1);
  let lastModule = home?.id ?? null;
  modules.forEach((module, at) => {
    let parent = home?.id;
    let after = parent === row || row === null ? null : row;
    if (row === null && home) after = home.lessons.at(-1)?.id ?? null;
    if (!flat || parent === undefined) {
      parent = idFrom('m', seed, at, module.title);
      first ??= parent;
      const node = { ...blankModule(parent, module.title), ...(module.purpose && { purpose: module.purpose }) };
      operations.push({ type: 'insert', kind: 'module', parent: course.id, after: lastModule, node });
      [lastModule, after] = [parent, null];
    }
    for (const [index, lesson] of module.lessons.entries()) after = put(lesson, parent, after, `${at}.${index}`);
  });
  return { operations, ...(first && { first }) };
}
