import type { Problem } from '../../core/document/problem';
import type { SourceKey } from '../drafting/tasks';
import type { Db } from './open';

export type StepState = 'waiting' | 'done' | 'kept' | 'failed' | 'stopped';

/**
 * A lesson of a job; `kept`: drafted, but the lesson was edited meanwhile, so that the draft lies beside it as a take.
 */
export interface JobStep {
  position: number;
  lesson_id: string;
  title: string;
  state: StepState;
  problem: Problem | null;
}

export interface JobRow {
  id: string;
  course_id: string;
  person_id: string;
  /** The course is drafted as it stood here, whatever is done to it meanwhile. */
  revision: number;
  state: 'running' | 'done' | 'stopped';
  made_at: number;
  ended_at: number | null;
}

/** The next lesson to draft, with all that its draft depends on. */
export interface NextStep extends JobStep {
  job: JobRow & { sources: SourceKey[] };
}

/** Jobs and their steps. */
export function jobsIn(db: Db) {
  const columns = 'job.id, course_id, person_id, revision, job.state, made_at, ended_at';
  const add = db.prepare(
    "insert into job (id, course_id, person_id, revision, sources, state, made_at) values (?, ?, ?, ?, ?, 'running', ?)",
  );
  const addStep = db.prepare(
    "insert into job_step (job_id, position, lesson_id, title, state) values (?, ?, ?, ?, 'waiting')",
  );
  const get = db.prepare<[string], JobRow>(`select ${columns} from job where id = ?`);
  // The job with the fewest finished lessons goes first: a single lesson need not wait for a whole course.
  const next = db.prepare<
    [],
    JobRow & { sources: string; position: number; lesson_id: string; title: string }
  >(`select ${columns}, sources, position, lesson_id, title from job join job_step on job_id = job.id
    where job.state = 'running' and job_step.state = 'waiting'
    order by (select count(*) from job_step done where done.job_id = job.id and done.state != 'waiting'), made_at, job.id, position limit 1`);
  const steps = db.prepare<[string], Omit<JobStep, 'problem'> & { problem: string | null }>(
    'select position, lesson_id, title, state, problem from job_step where job_id = ? order by position',
  );
  const endStep = db.prepare('update job_step set state = ?, problem = ? where job_id = ? and position = ?');
  const stopSteps = db.prepare("update job_step set state = 'stopped' where job_id = ? and state = 'waiting'");
  const end = db.prepare("update job set state = ?, ended_at = ? where id = ? and state = 'running'");
  const finish = db.prepare(
    "update job set state = 'done', ended_at = ? where id = ? and state = 'running' and not exists (select 1 from job_step where job_id = job.id and state = 'waiting')",
  );
  const ofCourse = db.prepare<[string], JobRow>(
    `select ${columns} from job where course_id = ? and (state = 'running' or id = (select id from job last where last.course_id = job.course_id order by made_at desc, id limit 1)) order by made_at, id`,
  );
  const underWay = db.prepare<[string, string], { found: number }>(
    "select 1 as found from job join job_step on job_id = job.id where course_id = ? and lesson_id = ? and job.state = 'running' and job_step.state = 'waiting'",
  );
  return {
    add(
      job: Omit<JobRow, 'state' | 'ended_at'> & { sources: readonly SourceKey[] },
      lessons: readonly { id: string; title: string }[],
    ) {
      add.run(job.id, job.course_id, job.person_id, job.revision, JSON.stringify(job.sources), job.made_at);
      lessons.forEach((lesson, position) => addStep.run(job.id, position, lesson.id, lesson.title));
    },
    get: (id: string) => get.get(id),
    next(): NextStep | undefined {
      const found = next.get();
      if (!found) return undefined;
      const { sources, position, lesson_id, title, ...job } = found;
      return {
        position,
        lesson_id,
        title,
        state: 'waiting',
        problem: null,
        job: { ...job, sources: JSON.parse(sources) as SourceKey[] },
      };
    },
    steps: (id: string): JobStep[] =>
      steps
        .all(id)
        .map((step) => ({ ...step, problem: step.problem === null ? null : (JSON.parse(step.problem) as Problem) })),
    endStep: (id: string, position: number, state: StepState, problem?: Problem) =>
      void endStep.run(state, problem ? JSON.stringify(problem) : null, id, position),
    /** Ends a job that has nothing left to do; says whether it did. */
    finish: (id: string, at: number) => finish.run(at, id).changes > 0,
    stop(id: string, at: number) {
      end.run('stopped', at, id);
      stopSteps.run(id);
    },
    /** Jobs under way, and the last one however it ended. */
    ofCourse: (courseId: string) => ofCourse.all(courseId),
    /** Whether a lesson waits for its draft already. */
    isWaiting: (courseId: string, lessonId: string) => underWay.get(courseId, lessonId) !== undefined,
  };
}
