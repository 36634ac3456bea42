import { fail, ProblemError, type Problem } from '../../core/document/problem';
import { jobsIn, type DueStep, type JobRow, type JobStep } from '../database/jobs';
import type { Db } from '../database/open';
import { troubleOf } from '../database/trouble';
import type { NewsDesk } from '../desk/news';
import { freshId } from '../ids';
import { Passing, type JobKind } from './kind';

/** A job as a window shows it: `now` are the items being worked on. */
export interface JobView extends Pick<JobRow, 'id' | 'kind' | 'state' | 'made_at' | 'ended_at'> {
  steps: JobStep[];
  now: string[];
}

/** What a job begins with: its items are its steps, in their order. */
export interface NewJob {
  kind: string;
  person: string;
  payload: unknown;
  course?: string;
  revision?: number;
  items: readonly { id: string; title: string }[];
}

interface Means {
  db: Db;
  news: NewsDesk;
  now: () => number;
  kinds: Readonly<Record<string, JobKind>>;
}

/** Milliseconds to wait when the queue itself met a fault (a full disk): each time twice as long, up to the second. */
const [SOON, RARELY] = [1000, 60_000];
/** Milliseconds after which ended jobs of no course are forgotten. */
const FORGOTTEN = 90 * 24 * 3600_000;

/**
 * The one queue of all long work. Steps of a kind are worked so many at a time as the kind has places, in fair order
 * (`jobsIn().due`); what may pass is tried again later, what fails for good ends its step and no other. Nothing is lost
 * by a stop: what was under way is begun anew at the next start.
 */
export function jobQueue({ db, news, now, kinds }: Means) {
  const jobs = jobsIn(db);
  /** Steps under way, by job and position. */
  const working = new Map<string, { step: DueStep; stop: AbortController }>();
  const idlers = new Set<() => void>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let faults = 0;
  let closed = false;
  const keyOf = ({ job, position }: DueStep) => `${job.id}/${position}`;

  /**
   * Begins whatever has its turn and a place, and comes back when the next thing is due. It may be called at any time
   * and does nothing that is under way already, so that no call is ever lost.
   */
  function pump(): void {
    clearTimeout(timer);
    if (closed || !db.open) return settled();
    try {
      // One look at the clock: what falls due between two would be neither begun nor waited for.
      const at = now();
      for (const [name, kind] of Object.entries(kinds)) {
        const busy = [...working.values()].filter(({ step }) => step.job.kind === name).length;
        const free = jobs.due(name, at, kind.places + busy).filter((step) => !working.has(keyOf(step)));
        for (const step of free.slice(0, Math.max(0, kind.places - busy))) begin(kind, step);
      }
      const next = jobs.dueAfter(at);
      if (next !== null) later(next - at);
      faults = 0;
    } catch (error) {
      // A fault here (a full disk) ends this turn, not the queue.
      console.error(error);
      later(Math.min(RARELY, SOON * 2 ** faults++));
    }
    settled();
  }

  function later(milliseconds: number): void {
    timer = setTimeout(pump, Math.min(milliseconds, RARELY));
    timer.unref();
  }

  function settled(): void {
    if (idlers.size === 0 || working.size > 0 || (!closed && db.open && jobs.isLeft())) return;
    for (const idler of idlers) idler();
    idlers.clear();
  }

  function begin(kind: JobKind, step: DueStep): void {
    const stop = new AbortController();
    working.set(keyOf(step), { step, stop });
    tell(step.job, step.position);
    void work(kind, step, stop.signal)
      .catch((error: unknown) => {
        console.error(error);
        // Nothing could be written of it: it is waiting still, and not at once again.
        return new Promise((go) => setTimeout(go, SOON).unref());
      })
      .finally(() => {
        working.delete(keyOf(step));
        if (!closed) tell(step.job, step.position + 1);
        pump();
      });
  }

  async function work(kind: JobKind, step: DueStep, signal: AbortSignal): Promise<void> {
    const { job, position } = step;
    try {
      const write = await kind.make(step, signal);
      // Stopped while it was made: what came too late is left out.
      if (closed || jobs.get(job.id)?.state !== 'running') return;
      write((state, result) => jobs.endStep(job.id, position, state, undefined, result));
    } catch (error) {
      if (closed || !db.open || jobs.get(job.id)?.state !== 'running') return;
      const wait = error instanceof ProblemError ? undefined : kind.waits[step.attempts];
      const problem = problemOf(error);
      if (wait === undefined) jobs.endStep(job.id, position, 'failed', problem);
      else jobs.postpone(job.id, position, problem, now() + wait);
    }
    jobs.finish(job.id, now());
  }

  /** A window that shows the course, or that of the person where a job has none, hears that something moved. */
  const tell = (job: Pick<JobRow, 'id' | 'course_id' | 'person_id'>, step: number) =>
    news.tell(job.course_id ?? job.person_id, { kind: 'job', job: job.id, step });

  /** A job of a course, or of a person where it has none. Throws `no-such-job`. */
  function held(owner: string, id: string): JobRow {
    const job = jobs.get(id);
    return job && (job.course_id ?? job.person_id) === owner ? job : fail('no-such-job', undefined, id);
  }

  function view(job: JobRow): JobView {
    const { id, kind, state, made_at, ended_at } = job;
    return {
      id,
      kind,
      state,
      made_at,
      ended_at,
      steps: jobs.steps(id),
      now: [...working.values()].filter(({ step }) => step.job.id === id).map(({ step }) => step.item),
    };
  }

  return {
    /** Puts a job into the queue and gives its id; `alongside` is written with it. */
    add({ kind, person, payload, course, revision, items }: NewJob, alongside?: () => void): string {
      const id = freshId('j');
      db.transaction(() => {
        alongside?.();
        jobs.add({ id, kind, person, payload, course, revision, at: now() }, items);
        jobs.forget(now() - FORGOTTEN);
      })();
      tell({ id, course_id: course ?? null, person_id: person }, 0);
      pump();
      return id;
    },
    /** Calls a job off: what is finished stays. Throws `no-such-job`. */
    stop(owner: string, id: string): void {
      const job = held(owner, id);
      db.transaction(() => jobs.stop(id, now()))();
      for (const { step, stop } of working.values()) if (step.job.id === id) stop.abort();
      tell(job, -1);
    },
    /** Goes on with what of a job failed or was stopped. Throws `no-such-job`, `nothing-left`. */
    again(owner: string, id: string): void {
      const job = held(owner, id);
      if (!db.transaction(() => jobs.again(id))()) fail('nothing-left');
      tell(job, 0);
      pump();
    },
    /** Goes on with whatever is left to do. */
    resume: pump,
    /** Says that what a step made did not hold after all, as a letter that comes back. */
    undone(kind: string, result: unknown, problem: Problem): void {
      const step = jobs.madeBy(kind, result);
      if (!step) return;
      jobs.endStep(step.job_id, step.position, 'failed', problem, result);
      tell(jobs.get(step.job_id)!, step.position);
    },
    isWaiting: jobs.isWaiting,
    /** Jobs of a course that are under way, and the last one. */
    ofCourse: (courseId: string): JobView[] => jobs.ofCourse(courseId).map(view),
    /** The last job of a kind that worked on something. */
    lastOf(kind: string, item: string): JobView | undefined {
      const job = jobs.lastOf(kind, item);
      return job && view(job);
    },
    /** Waits until nothing is left to do. */
    idle: () =>
      new Promise<void>((done) => {
        idlers.add(done);
        settled();
      }),
    /** Begins nothing new; what is under way is left for the next start. */
    close(): void {
      closed = true;
      clearTimeout(timer);
      for (const { stop } of working.values()) stop.abort();
    },
  };
}

/** What went wrong, as a problem: what has no words of its own is a fault of ours, and written to the log. */
function problemOf(error: unknown): Problem {
  if (error instanceof ProblemError || error instanceof Passing) return error.problem;
  const trouble = troubleOf(error);
  if (!trouble) console.error(error);
  return trouble ?? { code: 'fault' };
}

export type JobQueue = ReturnType<typeof jobQueue>;
