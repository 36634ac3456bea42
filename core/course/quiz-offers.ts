import type { Check } from '../checks/forms';
import { allLessons, type Course, type Lesson } from './course';
import { moduleOf } from './gestures';
import { lintCourse } from './lint';
import { offersOf } from './offers';
import type { QuizLesson } from './quizzes';

/** The lessons a quiz asks about: those of its module; all where there are none, or it draws on the course. */
export function lessonsAskedBy(course: Course, quiz: QuizLesson): Lesson[] {
  const inModule = (moduleOf(course, quiz.id)?.lessons ?? []).filter(({ kind }) => kind === 'lesson');
  return inModule.length > 0 && quiz.quiz.draw?.from !== 'course'
    ? inModule
    : allLessons(course).filter(({ kind }) => kind === 'lesson');
}

/**
 * Questions that could be put on a quiz's page: offers of its lessons that stand nowhere yet and have no flaw, so
 * spread that every lesson comes in turn, the best of each first. At most `most`.
 */
export function offersFor(course: Course, quiz: QuizLesson, most: number): Check[] {
  const offers = offersOf(course);
  const lessons = lessonsAskedBy(course, quiz);
  const flaws = lintCourse(course);
  const bad = (id: string) => (flaws.get(id) ?? []).some(({ code }) => code !== 'no-evidence');
  const queues = lessons.map(({ id }) =>
    offers
      .filter((check) => check.lessonId === id && !bad(check.id))
      .sort((a, b) => (b.drafted?.score ?? 1) - (a.drafted?.score ?? 1)),
  );
  const chosen: Check[] = [];
  for (let round = 0; chosen.length < most && queues.some((queue) => queue.length > round); round++)
    for (const queue of queues) if (queue[round] && chosen.length < most) chosen.push(queue[round]);
  return chosen;
}
