import { lessonDemand, lessonMinutes } from '../../core/brief/sizing';
import { allLessons, type Course, type Lesson, type LessonState } from '../../core/course/course';
import { lessonProse } from '../../core/exchange/document';
import { fleschKincaid } from '../../core/language/en/grade';
import type { CourseDesk } from './courses';

/** A course as home lists it: its path, its states, when it was last changed. */
export interface CourseRowView {
  id: string;
  title: string;
  audience: string;
  role: string;
  changedAt: number;
  minutes: number;
  checks: number;
  states: Partial<Record<LessonState, number>>;
  path: { title: string; lessons: { id: string; title: string; minutes: number; demand: number; checks: number; state: LessonState }[] }[];
}

/** A person's courses, last changed first. */
export function courseRows({ courses }: { courses: CourseDesk }, person: string): CourseRowView[] {
  return courses.list(person).map(({ id, title, changed_at, role }) => {
    const { course } = courses.load(id);
    const path = course.modules.map((module) => ({ title: module.title, lessons: module.lessons.map((lesson) => lessonRow(lesson, course)) }));
    const lessons = path.flatMap((module) => module.lessons);
    const states: CourseRowView['states'] = {};
    for (const { state } of allLessons(course)) states[state] = (states[state] ?? 0) + 1;
    return {
      id, title, role, changedAt: changed_at, audience: course.brief.audience.who, states, path,
      minutes: Math.round(lessons.reduce((sum, lesson) => sum + lesson.minutes, 0)), checks: lessons.reduce((sum, lesson) => sum + lesson.checks, 0),
    };
  });
}

function lessonRow(lesson: Lesson, course: Course): CourseRowView['path'][number]['lessons'][number] {
  return {
    id: lesson.id, title: lesson.title, state: lesson.state, minutes: lessonMinutes(lesson), demand: lessonDemand(lesson, course, gradeOf(lesson, course.language)),
    checks: lesson.blocks.filter((block) => block.kind === 'check').length,
  };
}

const grades = new WeakMap<Lesson, number | undefined>();

/** A lesson's reading grade, remembered with the lesson: a lesson that changes is another object. */
export function gradeOf(lesson: Lesson, language: string): number | undefined {
  if (!language.startsWith('en')) return undefined;
  if (!grades.has(lesson)) {
    const prose = lessonProse(lesson);
    grades.set(lesson, prose.length > 200 ? Math.round(fleschKincaid(prose) * 10) / 10 : undefined);
  }
  return grades.get(lesson);
}
