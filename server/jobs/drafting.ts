import { allLessons, type Course, type Lesson } from '../../core/course/course';
import { sameData } from '../../core/document/canonical';
import { fail, ProblemError, type Problem } from '../../core/document/problem';
import { tellLeftOut } from '../../core/course/gestures';
import type { LeftOut } from '../../core/course/left-out';
import { isWorkedOn, keepBeside, takePage } from '../../core/course/takes';
import type { DraftedLesson } from '../../core/draft';
import { jobsIn, type JobRow, type JobStep, type NextStep } from '../database/jobs';
import type { Db } from '../database/open';
import { peopleIn } from '../database/people';
import { OPERATION_VERSION, type CourseDesk } from '../desk/courses';
import { freshId } from '../ids';
import type { NewsDesk } from '../desk/news';
import type { SourceDesk } from '../desk/sources';
import type { Drafter } from '../drafting/drafter';

/** A job as a window shows it: `now` is the lesson being drafted. */
export interface JobView extends Omit<JobRow, 'course_id' | 'person_id'> {
  steps: JobStep[];
  now?: string;
}

interface Means {
  db: Db;
  courses: CourseDesk;
  sources: SourceDesk;
  drafter: Drafter;
  news: NewsDesk;
  now: () => number;
}

/**
 * Drafting as jobs: a job is its lessons and the course as it stood when it began, so that what it makes does not
 * depend on what is done meanwhile, nor on how often it is interrupted. One lesson is drafted at a time, in the worker;
 * what comes back and the job's own row are written in one transaction, so that after a crash a lesson is drafted
 * wholly or not yet.
 */
export function draftJobs({ db, courses, sources, drafter, news, now }: Means) {
  const jobs = jobsIn(db);
  const people = peopleIn(db);
  let turning: Promise<void> | undefined;
  let current: NextStep | undefined;
  let closed = false;

  /** Begins to draft lessons, in the order given; those that wait already are left out. Throws `no-sources`, `gone`. */
  function start(courseId: string, lessonIds: readonly string[], person: string): string | undefined {
    const keys = sources.keys(courseId);
    if (keys.length === 0) fail('no-sources');
    const { course, revision } = courses.load(courseId);
    const byId = new Map(allLessons(course).map((lesson) => [lesson.id, lesson]));
    const lessons = lessonIds
      .map((id) => byId.get(id) ?? fail('gone', undefined, id))
      .filter((lesson) => !jobs.isWaiting(courseId, lesson.id));
    if (lessons.length === 0) return undefined;
    const id = freshId('j');
    db.transaction(() => {
      courses.pin(courseId);
      jobs.add({ id, course_id: courseId, person_id: person, revision, sources: keys, made_at: now() }, lessons);
    })();
    news.tell(courseId, { kind: 'job', job: id, step: 0 });
    turn();
    return id;
  }

  function stop(courseId: string, id: string): void {
    const job = jobs.get(id);
    if (!job || job.course_id !== courseId) fail('no-such-job', undefined, id);
    db.transaction(() => jobs.stop(id, now()))();
    news.tell(courseId, { kind: 'job', job: id, step: -1 });
  }

  /** Goes on with whatever is left to do. */
  function turn(): void {
    // A fault here (a full disk) ends the turn, not the server: what is left is gone on with at the next start or job.
    turning ??= loop()
      .catch((error: unknown) => console.error(error))
      .finally(() => {
        turning = undefined;
        current = undefined;
      });
  }

  async function loop(): Promise<void> {
    for (let step = closed ? undefined : jobs.next(); step; step = closed ? undefined : jobs.next()) {
      current = step;
      news.tell(step.job.course_id, { kind: 'job', job: step.job.id, step: step.position });
      await work(step);
      jobs.finish(step.job.id, now());
      current = undefined;
      news.tell(step.job.course_id, { kind: 'job', job: step.job.id, step: step.position + 1 });
    }
  }

  async function work({ job, position, lesson_id: lessonId, title }: NextStep): Promise<void> {
    let drafted: DraftedLesson;
    let leftOut: LeftOut[] | undefined;
    try {
      drafted = await drafter.ask('lesson', {
        courseId: job.course_id,
        revision: job.revision,
        lessonId,
        sources: job.sources,
      });
      // What a draft leaves out is told with its first lesson.
      if (position === 0)
        leftOut = await drafter.ask('leftOut', {
          courseId: job.course_id,
          revision: job.revision,
          sources: job.sources,
        });
    } catch (error) {
      if (!closed) jobs.endStep(job.id, position, 'failed', problemOf(error));
      return;
    }
    // Stopped while it was drafted: what came too late is left out.
    if (closed || jobs.get(job.id)?.state !== 'running') return;
    try {
      const { operations, state } = result(job, lessonId, drafted);
      if (leftOut) operations.push(...tellLeftOut(courses.load(job.course_id).course, leftOut));
      const [group, at] = [freshId('g'), courses.load(job.course_id).revision];
      const changes = operations.map((operation) => ({
        id: freshId('x'),
        group,
        actor: { job: job.id, for: job.person_id },
        version: OPERATION_VERSION,
        operation,
      }));
      courses.post(
        job.course_id,
        changes,
        at,
        state === 'kept' ? `draft of ${title} kept beside it` : `draft of ${title}`,
        () => jobs.endStep(job.id, position, state),
      );
    } catch (error) {
      jobs.endStep(job.id, position, 'failed', problemOf(error));
    }
  }

  /** What a draft does to the course: taken in, or, where the lesson was edited since the job began, kept beside it. */
  function result(job: JobRow, lessonId: string, drafted: DraftedLesson) {
    const course = courses.load(job.course_id).course;
    const lesson = lessonIn(course, lessonId) ?? fail('gone', undefined, lessonId);
    const before = lessonIn(courses.at(job.course_id, job.revision), lessonId);
    const maker = { at: now(), by: people.nameOf(job.person_id) };
    return sameData(lesson, before) && !isWorkedOn(lesson)
      ? { operations: takePage(course, drafted, freshId('t'), maker), state: 'done' as const }
      : { operations: keepBeside(course, drafted, freshId('t'), maker), state: 'kept' as const };
  }

  return {
    start,
    stop,
    resume: turn,
    /** Jobs of a course that are under way, and the last one. */
    ofCourse: (courseId: string): JobView[] =>
      jobs.ofCourse(courseId).map(({ id, revision, state, made_at, ended_at }) => ({
        id,
        revision,
        state,
        made_at,
        ended_at,
        steps: jobs.steps(id),
        ...(current?.job.id === id && { now: current.lesson_id }),
      })),
    /** Waits until nothing is left to do. */
    idle: async () => {
      while (turning) await turning;
    },
    /** Begins nothing new; what is under way is left for the next start. */
    close: () => void (closed = true),
  };
}

const lessonIn = (course: Course, id: string): Lesson | undefined =>
  allLessons(course).find((lesson) => lesson.id === id);

function problemOf(error: unknown): Problem {
  if (error instanceof ProblemError) return error.problem;
  console.error(error);
  return { code: 'fault' };
}

export type DraftJobs = ReturnType<typeof draftJobs>;
