import { placedChecks, type Course, type Module } from './course';
import { blankModule, moduleOf } from './gestures';
import type { Operation } from './operations';
import { blankQuiz } from './quizzes';

/** How many questions a final quiz asks at least and at most, of those that stand in lessons. */
const FINAL = { share: 1 / 3, least: 10, most: 30 };

/** A new quiz: behind a lesson, or at the end of a module; in a course without modules a module comes with it. */
export function newQuizBelow(
  course: Course,
  row: string | null,
  ids: { lesson: string; module: string },
  titles: { lesson: string; module: string },
): Operation[] {
  const node = blankQuiz(ids.lesson, titles.lesson);
  const module =
    course.modules.find((each) => each.id === row) ?? (row ? moduleOf(course, row) : course.modules.at(-1));
  if (!module) return [inModule(course, blankModule(ids.module, titles.module, [node]))];
  const after = module.lessons.some(({ id }) => id === row) ? row : (module.lessons.at(-1)?.id ?? null);
  return [{ type: 'insert', kind: 'lesson', parent: module.id, after, node }];
}

/** A quiz at the end of the course, in a module of its own, that draws on the questions of all lessons. */
export function finalQuiz(course: Course, ids: { lesson: string; module: string }, title: string): Operation[] {
  const asked = placedChecks(course).length;
  const count = Math.min(FINAL.most, Math.max(FINAL.least, Math.round(asked * FINAL.share)));
  const quiz = blankQuiz(ids.lesson, title);
  const node = { ...quiz, quiz: { ...quiz.quiz, draw: { from: 'course' as const, rules: [{ count }] } } };
  return [inModule(course, blankModule(ids.module, title, [node]))];
}

const inModule = (course: Course, node: Module): Operation => ({
  type: 'insert',
  kind: 'module',
  parent: course.id,
  after: course.modules.at(-1)?.id ?? null,
  node,
});
