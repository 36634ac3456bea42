import { checksOn } from '../blocks/forms';
import { rewordedFields, type Check } from '../checks/forms';
import type { Course, Lesson } from '../course/course';

/** Grades by which a question may read harder than its pages, and the grade up to which nobody minds. */
const HARDER = 4;
const EASY = 9;
/** Fewer words say nothing of how hard they read. */
const FEWEST = 18;

/**
 * Ids of the checks that a lesson asks and that read much harder than the pages of their course, which are written for
 * the same people. `grade` says how hard a text reads; `usual` how hard the pages do.
 */
export function harderChecks(
  course: Pick<Course, 'checks'>,
  lesson: Lesson,
  usual: number,
  grade: (text: string) => number,
): string[] {
  const asked = new Set(checksOn(lesson));
  const limit = Math.max(usual + HARDER, EASY + HARDER);
  return course.checks
    .filter(({ id }) => asked.has(id))
    .filter((check) => {
      const text = asText(check);
      return text.split(' ').length >= FEWEST && grade(text) > limit;
    })
    .map(({ id }) => id);
}

/** All words of a check, each text a sentence: answers have no full stop. */
function asText(check: Check): string {
  const texts: string[] = [];
  rewordedFields(check, (words) => {
    texts.push(/[.!?:]$/.test(words.trim()) ? words.trim() : `${words.trim()}.`);
    return words;
  });
  return texts.join(' ');
}
