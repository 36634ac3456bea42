import type { Course } from './course';
import { blankLesson, newLessonBelow } from './gestures';
import { idFrom } from '../document/id';
import type { Operation } from './operations';
import { sentenceHash, type PassageRange, type RichText } from '../document/rich-text';

/** What a lesson on the differences of two sources is called. */
const TITLE: Record<string, string> = {
  en: 'What differs',
  de: 'Was sich unterscheidet',
  fr: 'Ce qui diffère',
  es: 'En qué se diferencian',
};

/**
 * A new lesson at the end of the course that sets what two sources say differently side by side, each cell on the words
 * it stands on. `seed` makes its ids.
 */
export function lessonOfDifferences(
  course: Course,
  rows: readonly { sides: readonly { text: string; range: PassageRange }[] }[],
  names: readonly [string, string],
  seed: string,
): Operation[] {
  if (rows.length === 0) return [];
  const ids = { lesson: idFrom('l', seed), module: idFrom('m', seed) };
  const title = TITLE[course.language.split('-')[0]] ?? TITLE.en;
  const cell = ({ text, range }: { text: string; range: PassageRange }): RichText => [
    {
      type: 'text',
      text,
      marks: [
        {
          type: 'evidence',
          attrs: { id: idFrom('e', seed, range.id, range.from), passages: [range], was: sentenceHash(text) },
        },
      ],
    },
  ];
  const lesson = {
    ...blankLesson(ids.lesson, title),
    state: 'drafted' as const,
    plannedPassages: [...new Set(rows.flatMap((row) => row.sides.map((side) => side.range.id)))],
    blocks: [
      {
        id: idFrom('b', seed),
        kind: 'table' as const,
        body: {
          header: names.map((name): RichText => [{ type: 'text', text: name }]),
          rows: rows.map((row) => row.sides.map(cell)),
        },
      },
    ],
  };
  return newLessonBelow(course, null, ids, { lesson: title, module: title }).map((operation): Operation => {
    if (operation.type !== 'insert') return operation;
    return operation.kind === 'lesson'
      ? { ...operation, node: lesson }
      : { ...operation, node: { ...operation.node, lessons: [lesson] } as never };
  });
}
