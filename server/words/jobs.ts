import type { JobView } from '../jobs/queue';
import { say } from './problems';

/** Jobs with what went wrong put into words; the title stands before them already. */
export function inWords(jobs: readonly JobView[]) {
  return jobs.map((job) => ({
    ...job,
    steps: job.steps.map((step) => ({
      ...step,
      problem: step.problem && { code: step.problem.code, message: say({ ...step.problem, place: undefined }) },
    })),
  }));
}
