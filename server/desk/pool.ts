import { checksOn } from '../../core/blocks/forms';
import { checkText, type Check, type CheckKind } from '../../core/checks/forms';
import type { Level } from '../../core/checks/check';
import { allLessons, type Course } from '../../core/course/course';
import { ProblemError } from '../../core/document/problem';
import { remembered } from '../utils/remembered';
import type { CourseDesk } from './courses';

/** A question of one of a person's courses. */
export interface PoolQuestion {
  course: { id: string; title: string };
  check: Check;
  /** Lessons and quizzes it stands in; none: it is an offer. */
  stands: string[];
}

/** What is looked for; what is absent is any. */
export interface PoolSearch {
  words?: string;
  kind?: CheckKind;
  level?: Level;
  tag?: string;
  /** A course to leave out: one's own. */
  besides?: string;
  from: number;
}

export interface PoolFound {
  questions: PoolQuestion[];
  /** How many there are in all. */
  of: number;
  /** All tags of the questions that may be seen, in order of letters. */
  tags: string[];
}

/** Questions shown at a time. */
export const POOL_PAGE = 40;
/** Courses whose questions are kept ready to be searched, and how many questions together. */
const KEPT = { most: 400, questions: 60_000 };

interface Ready extends PoolQuestion {
  /** Its words as they are searched. */
  plain: string;
}

const folded = (text: string): string => text.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();

/**
 * The questions of all courses a person has a part in, to be searched and taken into another course. Each course's are
 * made ready once for each of its revisions.
 */
export function poolDesk(courses: CourseDesk) {
  const ready = remembered<Ready[]>({ ...KEPT, weigh: (list) => list.length, weight: KEPT.questions });

  const questionsOf = (id: string, title: string, revision: number): Ready[] =>
    ready.of(`${id}/${revision}`, () => {
      ready.forgetWhere((key) => key.startsWith(`${id}/`));
      try {
        return readied(courses.load(id).course, { id, title });
      } catch (error) {
        // A course that cannot be read keeps no other from being searched.
        if (error instanceof ProblemError) return [];
        throw error;
      }
    });

  return {
    /** What a person's courses have of it, placed questions first, then as the courses go. */
    search(person: string, { words = '', kind, level, tag, besides, from }: PoolSearch): PoolFound {
      const all = courses
        .list(person)
        .filter(({ id }) => id !== besides)
        .flatMap(({ id, title, revision }) => questionsOf(id, title, revision));
      const sought = folded(words).split(/\s+/).filter(Boolean);
      const found = all.filter(
        ({ check, plain }) =>
          (!kind || check.kind === kind) &&
          (!level || check.level === level) &&
          (!tag || check.tags?.includes(tag)) &&
          sought.every((word) => plain.includes(word)),
      );
      const ordered = [
        ...found.filter(({ stands }) => stands.length > 0),
        ...found.filter(({ stands }) => stands.length === 0),
      ];
      return {
        questions: ordered
          .slice(from, from + POOL_PAGE)
          .map(({ course, check, stands }) => ({ course, check, stands })),
        of: found.length,
        tags: [...new Set(all.flatMap(({ check }) => check.tags ?? []))].sort((a, b) => a.localeCompare(b, 'en')),
      };
    },
  };
}

function readied(course: Course, named: PoolQuestion['course']): Ready[] {
  const stands = new Map<string, string[]>();
  for (const lesson of allLessons(course))
    for (const id of checksOn(lesson)) stands.set(id, [...(stands.get(id) ?? []), lesson.title]);
  // What its author refused is no question to take.
  const offered = course.checks.filter((check) => !check.refused || stands.has(check.id));
  return offered.map((check) => ({
    course: named,
    check,
    stands: stands.get(check.id) ?? [],
    plain: folded([checkText(check), ...(check.tags ?? []), named.title].join('\n')),
  }));
}

export type PoolDesk = ReturnType<typeof poolDesk>;
