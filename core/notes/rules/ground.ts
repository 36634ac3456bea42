import { dice, threes } from '../../document/letters';
import type { Note, NoteMatter } from '../note';

/** Two lessons cover the same ground when they share so much of the shorter one's passages, or most of a title. */
const SAME = { passages: 0.5, title: 0.85 };

/** Titles of parts of one thing, that say so: "Sudo does not start: “no such file”". */
function arePartsOf(title: string, other: string): boolean {
  const [[head, tail], [head2, tail2]] = [title, other].map((each) => {
    const at = each.indexOf(': ');
    return at < 0 ? [each, ''] : [each.slice(0, at), each.slice(at + 2)];
  });
  return head === head2 && tail !== tail2 && dice(threes(tail), threes(tail2)) < SAME.title;
}

/** Lessons that cover the same ground as one before them. */
export function groundNotes({ lessons }: NoteMatter): Note[] {
  const seen = new Map<string, number[]>();
  const titles: { letters: Set<string>; at: number }[] = [];
  return lessons.flatMap(({ lesson }, at): Note[] => {
    const passages = [...new Set([...lesson.plannedPassages, ...(lesson.given ?? [])])];
    const shared = new Map<number, number>();
    for (const id of passages) {
      for (const other of seen.get(id) ?? []) shared.set(other, (shared.get(other) ?? 0) + 1);
      seen.set(id, [...(seen.get(id) ?? []), at]);
    }
    const letters = threes(lesson.title);
    const like = titles.find(
      (other) =>
        dice(letters, other.letters) >= SAME.title && !arePartsOf(lesson.title, lessons[other.at].lesson.title),
    );
    titles.push({ letters, at });
    const size = (index: number) =>
      new Set([...lessons[index].lesson.plannedPassages, ...(lessons[index].lesson.given ?? [])]).size;
    const both = [...shared].find(([other, count]) => count >= SAME.passages * Math.min(passages.length, size(other)));
    const other = both?.[0] ?? like?.at;
    if (other === undefined) return [];
    const before = lessons[other].lesson;
    return [
      {
        rule: 'same-ground',
        about: lesson.id,
        weight: 'decide',
        parameters: { title: lesson.title, other: before.title, passages: both?.[1] ?? 0 },
        print: `${before.title} ${lesson.title}`,
        mend: { kind: 'merge', into: before.id, lesson: lesson.id },
      },
    ];
  });
}
