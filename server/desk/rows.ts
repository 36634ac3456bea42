import { asksOf } from '../../core/course/quizzes';
import { lessonDemand, lessonMinutes } from '../../core/brief/sizing';
import { conflictsOf } from '../../core/course/conflicts';
import { allLessons, type Course, type Lesson } from '../../core/course/course';
import { ProblemError, type Problem } from '../../core/document/problem';
import type { CourseRow } from '../../core/course/row';
import { lessonProse } from '../../core/exchange/document';
import { fleschKincaid } from '../../core/language/en/grade';
import { say } from '../words/problems';
import type { CourseDesk } from './courses';
import type { ReleaseDesk } from './releases';

/** A person's courses, last changed first. */
export function courseRows(
  { courses, releases }: { courses: CourseDesk; releases: Pick<ReleaseDesk, 'standing'> },
  person: string,
): CourseRow[] {
  return courses.list(person).map(({ id, title, revision, changed_at, role }) => {
    const { newest, learners } = releases.standing(id);
    const row = {
      id,
      title,
      role,
      revision,
      changedAt: changed_at,
      learners,
      ...(newest && {
        release: {
          number: newest.number,
          at: newest.made_at,
          withdrawn: newest.withdrawn_at !== null,
          changed: changed_at > newest.made_at,
        },
      }),
    };
    const course = readable(() => courses.load(id).course);
    if ('problem' in course)
      return {
        ...row,
        audience: '',
        states: {},
        path: [],
        minutes: 0,
        checks: 0,
        toChoose: 0,
        broken: say({ ...course.problem, place: undefined }),
      };
    const path = course.modules.map((module) => ({
      title: module.title,
      lessons: module.lessons.map((lesson) => lessonRow(lesson, course)),
    }));
    const lessons = path.flatMap((module) => module.lessons);
    const states: CourseRow['states'] = {};
    for (const { state } of allLessons(course)) states[state] = (states[state] ?? 0) + 1;
    return {
      ...row,
      audience: course.brief.audience.who,
      states,
      path,
      toChoose: conflictsOf(course).length,
      minutes: Math.round(lessons.reduce((sum, lesson) => sum + lesson.minutes, 0)),
      checks: lessons.reduce((sum, lesson) => sum + lesson.checks, 0),
    };
  });
}

/** One course that cannot be read is told as such, and keeps no other from being listed. */
function readable(load: () => Course): Course | { problem: Problem } {
  try {
    return load();
  } catch (error) {
    if (error instanceof ProblemError) return { problem: error.problem };
    console.error(error);
    return { problem: { code: 'bad-log' } };
  }
}

function lessonRow(lesson: Lesson, course: Course): CourseRow['path'][number]['lessons'][number] {
  return {
    id: lesson.id,
    title: lesson.title,
    state: lesson.state,
    minutes: lessonMinutes(lesson),
    demand: lessonDemand(lesson, course, gradeOf(lesson, course.language)),
    checks: asksOf(lesson),
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
