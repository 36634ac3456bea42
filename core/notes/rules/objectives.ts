import type { Note, NoteMatter } from '../note';

/** Lessons that say not what the learner can do afterwards, and objectives that no lesson and no module has. */
export function objectiveNotes({ course, lessons, objective }: NoteMatter): Note[] {
  const used = new Set([
    ...lessons.flatMap(({ lesson }) => lesson.objectiveIds),
    ...course.modules.flatMap((module) => module.objectiveIds),
  ]);
  return [
    ...lessons
      .filter(({ lesson }) => objective(lesson.objectiveIds[0]) === '')
      .map(({ lesson }): Note => ({
        rule: 'no-objective',
        about: lesson.id,
        weight: 'look',
        parameters: { title: lesson.title },
        print: lesson.title,
        mend: { kind: 'word', field: 'objective' },
      })),
    ...course.objectives
      .filter(({ id }) => !used.has(id))
      .map(({ id, text }): Note => ({
        rule: 'idle-objective',
        about: id,
        weight: 'look',
        parameters: { text },
        print: text,
        mend: { kind: 'remove', id },
      })),
  ];
}
