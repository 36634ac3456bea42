import { allLessons, type Course } from '../course/course';
import { blankLesson, blankModule, moduleOf, placeLessons, removeRows, wordObjective } from '../course/gestures';
import { mergeLessons, splitLesson } from '../course/joining';
import type { Operation } from '../course/operations';
import type { Mend } from './note';

/**
 * The operations that mend a note; none for what the author has to word, or to see in another room. `ids`: for what is
 * made.
 */
export function mendOperations(
  course: Course,
  mend: Mend,
  ids: { lesson: string; module: string; objective: string },
): Operation[] {
  const lessonOf = (id: string) => allLessons(course).find((lesson) => lesson.id === id);
  switch (mend.kind) {
    case 'split': {
      const lesson = lessonOf(mend.lesson);
      return lesson ? splitLesson(course, lesson, undefined, ids.lesson) : [];
    }
    case 'merge': {
      const [into, from] = [lessonOf(mend.into), lessonOf(mend.lesson)];
      return into && from ? mergeLessons(into, from) : [];
    }
    case 'move': {
      const home = moduleOf(course, mend.before);
      if (!home || !lessonOf(mend.lesson)) return [];
      const rest = home.lessons.filter(({ id }) => id !== mend.lesson);
      return placeLessons([mend.lesson], home.id, rest[rest.findIndex(({ id }) => id === mend.before) - 1]?.id ?? null);
    }
    case 'remove':
      return course.objectives.some(({ id }) => id === mend.id)
        ? [{ type: 'remove', id: mend.id }]
        : removeRows(course, [mend.id]);
    case 'lesson': {
      const module = course.modules.find(({ id }) => id === mend.module) ?? course.modules.at(-1);
      const lesson = blankLesson(ids.lesson, mend.title);
      return [
        ...(module
          ? []
          : [
              {
                type: 'insert',
                kind: 'module',
                parent: course.id,
                after: null,
                node: blankModule(ids.module, mend.title),
              } as const,
            ]),
        {
          type: 'insert',
          kind: 'lesson',
          parent: module?.id ?? ids.module,
          after: module?.lessons.at(-1)?.id ?? null,
          node: lesson,
        },
        // A question is what it answers, not what one can do afterwards.
        ...(/[?？]\s*$/.test(mend.title) ? [] : wordObjective(course, lesson, mend.title, ids.objective)),
      ];
    }
    case 'reword':
      return reworded(course, mend, ids.objective);
    default:
      return [];
  }
}

/** Other words for a row: its title, and what it says it is for. */
function reworded(
  course: Course,
  { row, title, says }: Extract<Mend, { kind: 'reword' }>,
  objective: string,
): Operation[] {
  const module = course.modules.find(({ id }) => id === row);
  const lesson = allLessons(course).find(({ id }) => id === row);
  const node = module ?? lesson;
  if (!node) return [];
  return [
    ...(title !== undefined && title !== node.title
      ? [{ type: 'set', id: row, field: 'title', value: title, was: node.title } as const]
      : []),
    ...(module && says !== undefined
      ? [{ type: 'set', id: row, field: 'purpose', value: says, was: module.purpose } as const]
      : []),
    ...(lesson && says !== undefined ? wordObjective(course, lesson, says, objective) : []),
  ];
}
