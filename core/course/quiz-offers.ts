import type { Check } from '../checks/forms';
import { allLessons, placedChecks, type Course } from './course';
import { moduleOf } from './gestures';
import { lintCourse } from './lint';
import type { QuizLesson } from './quizzes';

/**
 * Questions that could be put on a quiz's page: offers of its lessons that stand nowhere yet and have no flaw, so
 * spread that every lesson comes in turn, the best of each first. At most `most`.
 */
export function offersFor(course: Course, quiz: QuizLesson, most: number): Check[] {
  const placed = new Set(placedChecks(course).map(({ id }) => id));
  const module = moduleOf(course, quiz.id);
  const inModule = (module?.lessons ?? []).filter((lesson) => lesson.kind === 'lesson');
  const lessons = inModule.length > 0 && quiz.quiz.draw?.from !== 'course' ? inModule : allLessons(course);
  const flaws = lintCourse(course);
  const bad = (id: string) => (flaws.get(id) ?? []).some(({ code }) => code !== 'no-evidence');
  const queues = lessons.map(({ id }) =>
    course.checks
      .filter((check) => check.lessonId === id && !placed.has(check.id) && !bad(check.id))
      .sort((a, b) => (b.drafted?.score ?? 1) - (a.drafted?.score ?? 1)),
  );
  const chosen: Check[] = [];
  for (let round = 0; chosen.length < most && queues.some((queue) => queue.length > round); round++)
    for (const queue of queues) if (queue[round] && chosen.length < most) chosen.push(queue[round]);
  return chosen;
}
