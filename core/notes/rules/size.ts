import type { Note, NoteMatter } from '../note';

/**
 * A lesson longer than this, and so many times the middle one, is long among its neighbours; from `always` minutes on
 * it is long anyhow.
 */
const LONG = { minutes: 10, times: 2.5, always: 20 };

/** Modules and lessons with nothing in them, and lessons that are long. */
export function sizeNotes({ course, lessons, minutes }: NoteMatter): Note[] {
  const asked = new Set((course.answers ?? []).map(({ lesson }) => lesson));
  const lengths = lessons.map(({ lesson }) => minutes(lesson.id)).sort((a, b) => a - b);
  const middle = lengths[Math.floor(lengths.length / 2)] ?? 0;
  return [
    ...course.modules
      .filter((module) => module.lessons.length === 0)
      .map(({ id, title }): Note => ({
        rule: 'empty',
        about: id,
        weight: 'decide',
        parameters: { title, what: 'module' },
        print: title,
        mend: { kind: 'remove', id },
      })),
    ...lessons.flatMap(({ lesson }): Note[] => {
      const { id, title, blocks, plannedPassages, given = [] } = lesson;
      if (blocks.length + plannedPassages.length + given.length === 0 && !asked.has(id))
        return [
          {
            rule: 'empty',
            about: id,
            weight: 'look',
            parameters: { title, what: 'lesson' },
            print: title,
            mend: { kind: 'remove', id },
          },
        ];
      const length = Math.round(minutes(id));
      const isLong = length > LONG.always || (length > LONG.minutes && length > middle * LONG.times);
      return isLong
        ? [
            {
              rule: 'too-long',
              about: id,
              weight: 'look',
              parameters: { title, minutes: length, middle: Math.round(middle) },
              print: `${title} ${length}`,
              mend: { kind: 'split', lesson: id },
            },
          ]
        : [];
    }),
  ];
}
