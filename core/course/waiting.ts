import { allLessons, type Course } from './course';

/**
 * Blank lessons that wait for their author: nothing of the sources is planned for them or was given to them, and none
 * of their questions is answered yet. Drafting would only say that it stands elsewhere.
 */
export function waitingForAnswers(course: Course): Set<string> {
  const asked = new Map<string, boolean>();
  for (const { lesson, text } of course.answers ?? [])
    if (lesson) asked.set(lesson, (asked.get(lesson) ?? false) || text.trim() !== '');
  return new Set(
    allLessons(course)
      .filter(
        ({ id, blocks, plannedPassages, given = [] }) =>
          blocks.length + plannedPassages.length + given.length === 0 && asked.get(id) === false,
      )
      .map(({ id }) => id),
  );
}
