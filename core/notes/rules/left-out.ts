import { isHarmless } from '../../course/left-out-words';
import { usesOf } from '../../course/uses';
import type { Note, NoteMatter } from '../note';

/** What of the sources' matter no lesson has, counted in parts; noise and repeats are none. */
export function leftOutNotes({ course, lessons }: NoteMatter): Note[] {
  const taken = new Set(lessons.flatMap(({ lesson }) => [...lesson.plannedPassages, ...(lesson.given ?? [])]));
  const open = (course.leftOut ?? []).filter(
    ({ reason, passages }) => !isHarmless(reason) && !passages.some(({ id }) => taken.has(id)),
  );
  if (open.length === 0) return [];
  const uses = usesOf(course);
  const parts = open.filter(({ passages }) => !passages.some(({ id }) => uses.has(id))).length;
  return parts === 0
    ? []
    : [
        {
          rule: 'left-out',
          about: course.id,
          weight: 'look',
          parameters: { parts },
          print: String(parts),
          mend: { kind: 'open', room: 'holds' },
        },
      ];
}
