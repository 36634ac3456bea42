import type { Problem } from '../../core/document/problem';
import type { Db } from './open';

/**
 * How a step stands. `kept`: what it made did not fit where it was meant for any more and lies beside it (a draft of a
 * lesson that was edited meanwhile).
 */
export type StepState = 'waiting' | 'done' | 'kept' | 'failed' | 'stopped';

/** A step of a job: `item` is the id of what it works on, `attempts` how often it failed and may still pass. */
export interface JobStep {
  position: number;
  item: string;
  title: string;
  state: StepState;
  problem: Problem | null;
  attempts: number;
  /** Not before then; milliseconds UTC. */
  due_at: number;
  /** What it made, where that is not in a course. */
  result: unknown;
}

export interface JobRow {
  id: string;
  kind: string;
  course_id: string | null;
  person_id: string;
  /** Where it works on a course: as that stood here, whatever is done to it meanwhile. */
  revision: number | null;
  /** What the kind was given, as plain data of its own. */
  payload: unknown;
  state: 'running' | 'done' | 'stopped';
  made_at: number;
  ended_at: number | null;
}

/** A step whose turn it is, with its job. */
export interface DueStep extends JobStep {
  job: JobRow;
}

type Packed<T, Keys extends keyof T> = Omit<T, Keys> & Record<Keys, string | null>;
type PackedStep = Packed<JobStep, 'problem' | 'result'>;
type PackedJob = Omit<JobRow, 'payload'> & { payload: string };

const parsed = <T>(text: string | null) => (text === null ? null : (JSON.parse(text) as T));
const packed = (value: unknown) => (value === undefined ? null : JSON.stringify(value));
const jobOf = (row: PackedJob): JobRow => ({ ...row, payload: JSON.parse(row.payload) as unknown });
const stepOf = (row: PackedStep): JobStep => ({
  ...row,
  problem: parsed<Problem>(row.problem),
  result: parsed<unknown>(row.result),
});

/** Jobs of every kind and their steps. */
export function jobsIn(db: Db) {
  const columns = 'job.id, kind, course_id, person_id, revision, payload, job.state, made_at, ended_at';
  const stepColumns = 'position, item, title, job_step.state, problem, attempts, due_at, result';
  const add = db.prepare(
    "insert into job (id, kind, course_id, person_id, revision, payload, state, made_at) values (@id, @kind, @course, @person, @revision, @payload, 'running', @at)",
  );
  const addStep = db.prepare(
    "insert into job_step (job_id, position, item, title, state) values (?, ?, ?, ?, 'waiting')",
  );
  const get = db.prepare<[string], PackedJob>(`select ${columns} from job where id = ?`);
  // Whoever had the fewest steps finished goes first, and of their jobs the one with the fewest: a single lesson need
  // not wait for a whole course, nor one person for another's.
  const due = db.prepare<
    [string, number, number],
    { job_id: string; position: number }
  >(`select job_id, position from job join job_step on job_id = job.id
    where kind = ? and job.state = 'running' and job_step.state = 'waiting' and due_at <= ?
    order by
      (select count(*) from job theirs join job_step ended on ended.job_id = theirs.id
        where theirs.person_id = job.person_id and theirs.kind = job.kind and theirs.state = 'running' and ended.state != 'waiting'),
      (select count(*) from job_step ended where ended.job_id = job.id and ended.state != 'waiting'),
      made_at, job.rowid, position limit ?`);
  const waiting =
    "from job join job_step on job_id = job.id where job.state = 'running' and job_step.state = 'waiting'";
  const isLeft = db.prepare<[], { found: number }>(`select 1 as found ${waiting} limit 1`);
  const dueAfter = db.prepare<[number], { at: number | null }>(`select min(due_at) as at ${waiting} and due_at > ?`);
  const step = db.prepare<[string, number], PackedStep>(
    `select ${stepColumns} from job_step where job_id = ? and position = ?`,
  );
  const steps = db.prepare<[string], PackedStep>(
    `select ${stepColumns} from job_step where job_id = ? order by position`,
  );
  const endStep = db.prepare(
    'update job_step set state = ?, problem = ?, result = ? where job_id = ? and position = ?',
  );
  const postpone = db.prepare(
    'update job_step set attempts = attempts + 1, problem = ?, due_at = ? where job_id = ? and position = ?',
  );
  const stopSteps = db.prepare("update job_step set state = 'stopped' where job_id = ? and state = 'waiting'");
  const againSteps = db.prepare(
    "update job_step set state = 'waiting', problem = null, attempts = 0, due_at = 0 where job_id = ? and state in ('failed', 'stopped')",
  );
  const end = db.prepare("update job set state = ?, ended_at = ? where id = ? and state = 'running'");
  const reopen = db.prepare("update job set state = 'running', ended_at = null where id = ? and state != 'running'");
  const finish = db.prepare(
    "update job set state = 'done', ended_at = ? where id = ? and state = 'running' and not exists (select 1 from job_step where job_id = job.id and state = 'waiting')",
  );
  const ofCourse = db.prepare<[string], PackedJob>(
    `select ${columns} from job where course_id = ? and (state = 'running' or id = (select id from job last where last.course_id = job.course_id order by made_at desc, id limit 1)) order by made_at, id`,
  );
  const lastOfItem = db.prepare<[string, string], PackedJob>(
    `select ${columns} from job join job_step on job_id = job.id where kind = ? and item = ? order by made_at desc, job.rowid desc limit 1`,
  );
  const underWay = db.prepare<[string, string], { found: number }>(
    "select 1 as found from job join job_step on job_id = job.id where course_id = ? and item = ? and job.state = 'running' and job_step.state = 'waiting'",
  );
  const madeBy = db.prepare<[string, string], { job_id: string; position: number }>(
    "select job_id, position from job join job_step on job_id = job.id where kind = ? and job_step.state = 'done' and result = ? limit 1",
  );
  const forget = db.prepare("delete from job where course_id is null and state != 'running' and ended_at < ?");
  return {
    add(
      job: Pick<JobRow, 'id' | 'kind' | 'payload'> & {
        course?: string;
        person: string;
        revision?: number;
        at: number;
      },
      items: readonly { id: string; title: string }[],
    ) {
      add.run({ course: null, revision: null, ...job, payload: JSON.stringify(job.payload) });
      items.forEach((item, position) => addStep.run(job.id, position, item.id, item.title));
    },
    get(id: string): JobRow | undefined {
      const row = get.get(id);
      return row && jobOf(row);
    },
    /** The steps of a kind whose turn it is, the first `most` of them. */
    due: (kind: string, at: number, most: number): DueStep[] =>
      due.all(kind, at, most).map(({ job_id, position }) => ({
        ...stepOf(step.get(job_id, position)!),
        job: jobOf(get.get(job_id)!),
      })),
    /** Whether any step waits for its turn, or is under way. */
    isLeft: () => isLeft.get() !== undefined,
    /** When the next step is due that is not due yet; null when there is none. */
    dueAfter: (at: number) => dueAfter.get(at)!.at,
    steps: (id: string): JobStep[] => steps.all(id).map(stepOf),
    endStep: (id: string, position: number, state: StepState, problem?: Problem, result?: unknown) =>
      void endStep.run(state, packed(problem), packed(result), id, position),
    /** Counts an attempt that failed, and waits for the next one until `due`. */
    postpone: (id: string, position: number, problem: Problem, dueAt: number) =>
      void postpone.run(JSON.stringify(problem), dueAt, id, position),
    /** Ends a job that has nothing left to do; says whether it did. */
    finish: (id: string, at: number) => finish.run(at, id).changes > 0,
    stop(id: string, at: number) {
      end.run('stopped', at, id);
      stopSteps.run(id);
    },
    /** Opens an ended job for what of it failed or was stopped; says whether there was any. */
    again(id: string): boolean {
      const some = againSteps.run(id).changes > 0;
      if (some) reopen.run(id);
      return some;
    },
    /** Jobs of a course under way, and the last one however it ended. */
    ofCourse: (courseId: string) => ofCourse.all(courseId).map(jobOf),
    /** The last job of a kind that worked on something. */
    lastOf(kind: string, item: string): JobRow | undefined {
      const row = lastOfItem.get(kind, item);
      return row && jobOf(row);
    },
    /** Whether something of a course waits for its turn already. */
    isWaiting: (courseId: string, item: string) => underWay.get(courseId, item) !== undefined,
    /** The step of a kind that made something, by what it made. */
    madeBy: (kind: string, result: unknown) => madeBy.get(kind, JSON.stringify(result)),
    /** Forgets jobs of no course that ended before. */
    forget: (before: number) => void forget.run(before),
  };
}

export type Jobs = ReturnType<typeof jobsIn>;
