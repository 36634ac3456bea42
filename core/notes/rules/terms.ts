import { lessonText } from '../lesson-text';
import type { Note, NoteMatter } from '../note';

/** A shorter word may stand for anything. */
const SHORTEST = 4;

/**
 * Terms that a lesson uses before the lesson that defines them: one note a term, at its first use. Everyday words with
 * a meaning of their own are none.
 */
export function termNotes({ course, lessons }: NoteMatter): Note[] {
  const place = new Map<string, number>();
  lessons.forEach(({ lesson }, at) => {
    for (const id of lesson.plannedPassages) if (!place.has(id)) place.set(id, at);
  });
  return course.glossary.flatMap(({ term, evidence, everyday }): Note[] => {
    if (everyday) return [];
    const defined = Math.min(...evidence.map(({ id }) => place.get(id) ?? Infinity));
    if (!Number.isFinite(defined) || defined === 0 || term.length < SHORTEST) return [];
    const word = term.toLowerCase();
    const whole = new RegExp(
      String.raw`(?<![\p{L}\p{N}])${word.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`)}(?![\p{L}\p{N}])`,
      'u',
    );
    const used = lessons.slice(0, defined).findIndex(({ lesson }) => {
      const text = lessonText(lesson);
      return text.includes(word) && whole.test(text);
    });
    if (used < 0) return [];
    const [there, here] = [lessons[defined].lesson, lessons[used].lesson];
    return [
      {
        rule: 'term-later',
        about: here.id,
        weight: 'look',
        parameters: { term, title: here.title, other: there.title },
        print: `${term} ${here.title} ${there.title}`,
        mend: { kind: 'move', lesson: there.id, before: here.id },
      },
    ];
  });
}
