import { createError } from 'h3';
import { ProblemError, type Problem } from '../../core/document/problem';
import { troubleOf } from '../database/trouble';
import { say } from '../words/problems';

const STATUS: Record<string, number> = {
  'bad-path': 400,
  'bad-json': 400,
  'not-signed-in': 401,
  'wrong-sign-in': 401,
  'no-right': 403,
  'not-available': 403,
  withdrawn: 403,
  'own-password-first': 403,
  'not-yours-to-change': 403,
  'lesson-closed': 403,
  'no-such-course': 404,
  'no-such-source': 404,
  'no-such-version': 404,
  'no-such-job': 404,
  'no-such-release': 404,
  'no-such-link': 404,
  'no-such-person': 404,
  'no-such-session': 404,
  'no-such-learner': 404,
  'nothing-to-mark': 404,
  'nothing-to-grant': 422,
  'no-such-media': 404,
  'no-such-letter': 404,
  'link-over': 404,
  'not-begun': 409,
  'file-too-big': 413,
  'body-too-big': 413,
  'too-many-tries': 429,
  'too-often': 429,
  'disk-full': 507,
  'disk-read-only': 503,
  'data-damaged': 503,
  'data-unreadable': 503,
  'data-missing': 503,
  'newer-data': 503,
  'newer-document': 503,
  'bad-log': 503,
};

/** A problem as an answer: its code for the screen, its words for the person. */
export function refuse(problem: Problem): never {
  throw createError({
    statusCode: STATUS[problem.code] ?? 422,
    statusMessage: 'Refused',
    message: problem.code,
    data: { ...problem, message: say(problem) },
  });
}

/** Runs what may meet a problem; problems become answers, and so does what is wrong with disk or database. */
export async function answering<T>(work: () => T | Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof ProblemError) {
      // What is wrong with the installation is for whoever watches over it, too.
      if (error.cause !== undefined && (STATUS[error.problem.code] ?? 0) >= 500) console.error(error);
      refuse(error.problem);
    }
    const trouble = troubleOf(error);
    if (trouble) refuse(trouble);
    throw error;
  }
}
