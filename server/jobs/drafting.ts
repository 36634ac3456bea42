import { allLessons, type Course, type Lesson } from '../../core/course/course';
import { sameData } from '../../core/document/canonical';
import { fail } from '../../core/document/problem';
import { tellLeftOut } from '../../core/course/taking';
import type { LeftOut } from '../../core/course/left-out';
import { isWorkedOn, keepBeside, takePage } from '../../core/course/takes';
import type { DraftedLesson } from '../../core/draft';
import type { DueStep } from '../database/jobs';
import type { Db } from '../database/open';
import { peopleIn } from '../database/people';
import { OPERATION_VERSION, type CourseDesk } from '../desk/courses';
import { freshId } from '../ids';
import type { SourceDesk } from '../desk/sources';
import type { Drafter } from '../drafting/drafter';
import type { SourceKey } from '../drafting/tasks';
import type { JobKind } from './kind';
import type { JobQueue } from './queue';

interface Means {
  db: Db;
  courses: CourseDesk;
  drafter: Drafter;
  now: () => number;
}

/** What a drafting is given besides the course as it stood: its sources, as they were. */
interface Payload {
  sources: SourceKey[];
}

/**
 * Drafting as a kind of job: its steps are lessons, drafted from the course as it stood when the job began, so that
 * what it makes does not depend on what is done meanwhile, nor on how often it is interrupted. One lesson at a time, in
 * the worker.
 */
export function draftingKind({ db, courses, drafter, now }: Means): JobKind {
  const people = peopleIn(db);

  /** What a draft does to the course: taken in, or, where the lesson was edited since the job began, kept beside it. */
  function result({ job }: DueStep, courseId: string, lessonId: string, drafted: DraftedLesson) {
    const course = courses.load(courseId).course;
    const lesson = lessonIn(course, lessonId) ?? fail('gone', undefined, lessonId);
    const before = lessonIn(courses.at(courseId, job.revision!), lessonId);
    const maker = { at: now(), by: people.nameOf(job.person_id) };
    return sameData(lesson, before) && !isWorkedOn(lesson)
      ? { operations: takePage(course, drafted, freshId('t'), maker), state: 'done' as const }
      : { operations: keepBeside(course, drafted, freshId('t'), maker), state: 'kept' as const };
  }

  return {
    places: 1,
    // A worker that broke is started anew; twice is enough to tell a mishap from a lesson that breaks it.
    waits: [1000, 5000],
    async make(step) {
      const { job, position, item: lessonId, title } = step;
      const [courseId, revision] = [job.course_id!, job.revision!];
      const { sources } = job.payload as Payload;
      const drafted = await drafter.ask('lesson', { courseId, revision, lessonId, sources });
      // What a draft leaves out is told with its first lesson.
      const leftOut: LeftOut[] | undefined =
        position === 0 ? await drafter.ask('leftOut', { courseId, revision, sources }) : undefined;
      return (end) => {
        const { operations, state } = result(step, courseId, lessonId, drafted);
        const { course, revision: since } = courses.load(courseId);
        if (leftOut) operations.push(...tellLeftOut(course, leftOut));
        const group = freshId('g');
        const changes = operations.map((operation) => ({
          id: freshId('x'),
          group,
          actor: { job: job.id, for: job.person_id },
          version: OPERATION_VERSION,
          operation,
        }));
        courses.post(
          courseId,
          changes,
          since,
          state === 'kept' ? `draft of ${title} kept beside it` : `draft of ${title}`,
          () => end(state),
        );
      };
    },
  };
}

/**
 * Begins to draft lessons, in the order given; those that wait already are left out. Gives the job's id, or nothing
 * when all of them wait already. Throws `no-sources`, `gone`.
 */
export function startDrafting(
  { courses, sources, jobs }: { courses: CourseDesk; sources: SourceDesk; jobs: JobQueue },
  courseId: string,
  lessonIds: readonly string[],
  person: string,
): string | undefined {
  const keys = sources.keys(courseId);
  if (keys.length === 0) fail('no-sources');
  const { course, revision } = courses.load(courseId);
  const byId = new Map(allLessons(course).map((lesson) => [lesson.id, lesson]));
  const items = lessonIds
    .map((id) => byId.get(id) ?? fail('gone', undefined, id))
    // A quiz takes its questions from lessons: there is no page of it to draft.
    .filter(({ id, kind }) => kind === 'lesson' && !jobs.isWaiting(courseId, id));
  if (items.length === 0) return undefined;
  const payload: Payload = { sources: keys };
  return jobs.add({ kind: 'drafting', course: courseId, revision, person, payload, items }, () => {
    courses.pin(courseId);
  });
}

const lessonIn = (course: Course, id: string): Lesson | undefined =>
  allLessons(course).find((lesson) => lesson.id === id);
