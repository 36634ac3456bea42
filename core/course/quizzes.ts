import { checkFormOf, type Check } from '../checks/forms';
import { checksOn } from '../blocks/forms';
import { LEVELS, type Level } from '../checks/check';
import { USUAL_QUIZ, type Draw, type Quiz } from '../quiz/form';
import { allLessons, type Course, type Lesson } from './course';
import { moduleOf } from './gestures';

/** A lesson that is a quiz. */
export type QuizLesson = Lesson & { kind: 'quiz'; quiz: Quiz };

export const isQuiz = (lesson: Lesson): lesson is QuizLesson => lesson.kind === 'quiz' && lesson.quiz !== undefined;

/** A quiz with nothing in it yet. */
export function blankQuiz(id: string, title: string): QuizLesson {
  return {
    id,
    title,
    kind: 'quiz',
    quiz: USUAL_QUIZ,
    objectiveIds: [],
    state: 'in-work',
    plannedPassages: [],
    blocks: [],
  };
}

/**
 * The questions a quiz takes its own from: those on its page in their order, then, where it draws on them, those that
 * stand in the lessons of its module or of the course.
 */
export function poolOf(course: Course, quiz: QuizLesson): Check[] {
  const byId = new Map(course.checks.map((check) => [check.id, check]));
  const own = checksOn(quiz);
  const lessons = {
    here: [],
    module: moduleOf(course, quiz.id)?.lessons ?? [],
    course: allLessons(course),
  }[quiz.quiz.draw?.from ?? 'here'];
  const others = lessons.filter((lesson) => lesson.kind !== 'quiz').flatMap(checksOn);
  return [...new Set([...own, ...others])]
    .flatMap((id) => byId.get(id) ?? [])
    .filter((check) => !checkFormOf(check).standsAlone);
}

/** The objective each question is about: its own; where it names none, the first of the lesson it was made for. */
function objectivesOf(course: Course): (check: Check) => string | undefined {
  const first = new Map(allLessons(course).map(({ id, objectiveIds }) => [id, objectiveIds[0] as string | undefined]));
  return ({ objectiveId, lessonId }) => objectiveId ?? first.get(lessonId);
}

/**
 * What a quiz takes: so many of some questions, rule after rule, none twice. `take` is what a rule finds at most where
 * those before it took as much as they could of the same questions.
 */
export function drawsOf(course: Course, quiz: QuizLesson): { take: number; from: string[] }[] {
  const pool = poolOf(course, quiz);
  const { draw } = quiz.quiz;
  if (!draw) return [{ take: pool.length, from: pool.map(({ id }) => id) }];
  const objectiveOf = objectivesOf(course);
  const fits = (check: Check, { objectiveId, level }: Draw) =>
    (objectiveId === undefined || objectiveOf(check) === objectiveId) && (level === undefined || check.level === level);
  return draw.rules.map((rule) => {
    const from = pool.filter((check) => fits(check, rule)).map(({ id }) => id);
    return { take: Math.min(rule.count, from.length), from };
  });
}

/** How many questions a try asks, as far as its page and its rules say; a pool that holds fewer asks fewer. */
export function asksOf(lesson: Pick<Lesson, 'blocks' | 'quiz'>): number {
  const { draw } = lesson.quiz ?? {};
  return draw ? draw.rules.reduce((sum, { count }) => sum + count, 0) : checksOn(lesson).length;
}

/** Whether a lesson has something for learners: a page, or, as a quiz, at least one question. */
export const hasForLearners = (course: Course, lesson: Lesson): boolean =>
  isQuiz(lesson) ? drawsOf(course, lesson).some(({ take }) => take > 0) : lesson.blocks.length > 0;

/** How many questions of each level a pool has for an objective; absent: those of none. */
export interface Coverage {
  objectiveId?: string;
  levels: Record<Level, number>;
}

/**
 * What a quiz covers at a glance: a line for each objective of its module (of the course, where it draws on the whole
 * course or stands in the last module of several), and one for questions of none.
 */
export function coverageOf(course: Course, quiz: QuizLesson): Coverage[] {
  const known = new Set(course.objectives.map(({ id }) => id));
  const objectiveOf = objectivesOf(course);
  const asked = poolOf(course, quiz).map((check) => {
    const objectiveId = objectiveOf(check);
    return { level: check.level, objectiveId: objectiveId && known.has(objectiveId) ? objectiveId : undefined };
  });
  const count = (objectiveId: string | undefined): Coverage => ({
    ...(objectiveId && { objectiveId }),
    levels: Object.fromEntries(
      LEVELS.map((level) => [
        level,
        asked.filter((each) => each.objectiveId === objectiveId && each.level === level).length,
      ]),
    ) as Record<Level, number>,
  });
  const about = asked.flatMap(({ objectiveId }) => objectiveId ?? []);
  const lines = [...new Set([...objectivesFor(course, quiz), ...about])].map(count);
  return asked.some(({ objectiveId }) => objectiveId === undefined) ? [...lines, count(undefined)] : lines;
}

/** The objectives a quiz should ask about, in the order they are taught. */
export function objectivesFor(course: Course, quiz: QuizLesson): string[] {
  const module = moduleOf(course, quiz.id);
  const taught = module?.lessons.some((lesson) => lesson.kind === 'lesson') && quiz.quiz.draw?.from !== 'course';
  const lessons = taught ? module!.lessons : allLessons(course);
  return [...new Set(lessons.flatMap((lesson) => lesson.objectiveIds))];
}
