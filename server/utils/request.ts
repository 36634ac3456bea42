import type { ClassConstructor } from 'class-transformer';
import { createError, getQuery, getRouterParam, type H3Event } from 'h3';
import { checkInput } from '../inputs/course';
import { ProblemError, type Problem } from '../../core/document/problem';
import type { Person } from '../database/people';
import { troubleOf } from '../database/trouble';
import { withinLimit, type BodyLimit } from '../rights/limits';
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
  'no-such-media': 404,
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

/**
 * The body, checked against its class. Nothing is built of it before its size is known to be within the route's limit.
 */
export async function bodyAs<T extends object>(event: H3Event, kind: ClassConstructor<T>): Promise<T> {
  const limit = event.context.body as BodyLimit;
  const text = await bodyText(event, limit.bytes);
  if (!withinLimit(text, limit)) refuse({ code: 'body-too-big', parameters: { limit: `${limit.values} values` } });
  const checked = checkInput(kind, parsed(text));
  return checked.ok ? checked.value : refuse(checked.problem);
}

function parsed(text: string): unknown {
  try {
    return text === '' ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return refuse({ code: 'bad-json' });
  }
}

/**
 * The body's text, up to so many bytes: beyond that nothing more is taken in, and the connection ends with the answer.
 */
async function bodyText({ node: { req, res } }: H3Event, most: number): Promise<string> {
  const chunks: Buffer[] = [];
  const whole = await new Promise<boolean>((done) => {
    let size = 0;
    req.on('data', (chunk: Buffer) => {
      size += chunk.length;
      if (size <= most) return void chunks.push(chunk);
      req.pause();
      req.removeAllListeners('data');
      done(false);
    });
    req.on('end', () => done(true));
    // Whoever went away is answered nothing.
    req.on('error', () => done(true));
    req.on('close', () => done(true));
  });
  if (whole) return Buffer.concat(chunks).toString('utf8');
  res.setHeader('connection', 'close');
  return refuse({ code: 'body-too-big', parameters: { limit: `${Math.ceil(most / 1024)} KB` } });
}

/** Runs what may meet a problem; problems become answers, and so does what is wrong with disk or database. */
export async function answering<T>(work: () => T | Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof ProblemError) refuse(error.problem);
    const trouble = troubleOf(error);
    if (trouble) refuse(trouble);
    throw error;
  }
}

/** Who is asking: settled by the guard before any route runs. */
export function personOf(event: H3Event): Person {
  return (event.context.person as Person | undefined) ?? refuse({ code: 'not-signed-in' });
}

/** Parts of addresses, which the guard has seen to be ids. */
type Named =
  | 'course'
  | 'lesson'
  | 'source'
  | 'version'
  | 'job'
  | 'release'
  | 'link'
  | 'person'
  | 'session'
  | 'learner'
  | 'invitation'
  | 'orphan'
  | 'removed';

/** A part of the address. */
export function idOf(event: H3Event, name: Named): string {
  return getRouterParam(event, name) ?? refuse({ code: 'bad-input', place: name });
}

/** What somebody typed to search for, no longer than a person types. */
export function typedOf(event: H3Event): string {
  return String(getQuery(event).typed ?? '').slice(0, 300);
}
