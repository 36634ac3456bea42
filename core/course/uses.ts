import { blockTexts, checkIn } from '../blocks/forms';
import { allLessons, type Course } from './course';
import { evidencedSentences, type PassageRange } from '../document/rich-text';

/**
 * A place of the course that stands on words of a passage: a sentence or block of a lesson, or a question placed in it.
 */
export interface Use {
  from: number;
  to: number;
  lesson: string;
  check?: string;
  /** The words there come from elsewhere, which says the same. */
  also?: true;
}

/** Where the course stands on its sources, by passage. */
export function usesOf(course: Pick<Course, 'modules' | 'checks'>): Map<string, Use[]> {
  const uses = new Map<string, Use[]>();
  const note = (ranges: readonly PassageRange[] = [], lesson: string, check?: string, also = false) => {
    for (const { id, from, to } of ranges) {
      const list = uses.get(id);
      const use: Use = { from, to, lesson, ...(check && { check }), ...(also && { also }) };
      if (list) list.push(use);
      else uses.set(id, [use]);
    }
  };
  const checks = new Map(course.checks.map((check) => [check.id, check]));
  for (const lesson of allLessons(course as Course)) {
    for (const block of lesson.blocks) {
      note(block.evidence, lesson.id);
      for (const text of blockTexts(block))
        for (const { mark } of evidencedSentences(text)) {
          note(mark.attrs.passages, lesson.id);
          note(mark.attrs.also, lesson.id, undefined, true);
        }
      const check = checkIn(block);
      if (check) note(checks.get(check)?.evidence, lesson.id, check);
    }
  }
  return uses;
}
