import { courseMinutes, lessonDemand, lessonMinutes } from '../../brief/sizing';
import { blockTexts, formOf } from '../../blocks/forms';
import { allLessons, type Course, type Lesson } from '../../course/course';
import { textOf } from '../../document/rich-text';
import { DOCUMENT_VERSION } from '../../course/upgrade';
import type { Claim } from '../../knowledge';
import type { LanguagePack } from '../../language/pack';
import type { Source } from '../../source/source';

export const FORMAT = 'uplift-course';
export const FORMAT_VERSION = DOCUMENT_VERSION;

/** A course with all it stands on: what the archive and the command line hold. */
export interface CourseDocument {
  format: typeof FORMAT;
  version: number;
  course: Course;
  sources: Source[];
  claims: Claim[];
  /** Computed from the course when written, never stored as truth. */
  computed: Computed;
}

export interface Computed {
  minutes: number;
  lessons: Record<string, { minutes: number; demand: number; grade?: number }>;
}

/** The document of a course, its computed figures with it. */
export function courseDocument(
  course: Course,
  sources: readonly Source[],
  claims: readonly Claim[],
  pack: Pick<LanguagePack, 'grade'>,
): CourseDocument {
  return {
    format: FORMAT,
    version: FORMAT_VERSION,
    course,
    sources: [...sources],
    claims: [...claims],
    computed: compute(course, pack),
  };
}

/** Minutes, demand and reading grade of every lesson. */
export function compute(course: Course, pack: Pick<LanguagePack, 'grade'>): Computed {
  const lessons = allLessons(course).map((lesson) => {
    const grade = pack.grade ? Math.round(pack.grade(lessonProse(lesson)) * 10) / 10 : undefined;
    return [
      lesson.id,
      {
        minutes: lessonMinutes(lesson),
        demand: lessonDemand(lesson, course, grade),
        ...(grade !== undefined && { grade }),
      },
    ] as const;
  });
  return { minutes: courseMinutes(course), lessons: Object.fromEntries(lessons) };
}

/** What of a lesson counts for its reading grade. */
export function lessonProse(lesson: Lesson): string {
  return lesson.blocks
    .filter((block) => formOf(block).prose)
    .flatMap((block) => blockTexts(block).map(textOf))
    .join('\n');
}
