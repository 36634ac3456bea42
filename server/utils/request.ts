import type { ClassConstructor } from 'class-transformer';
import { createError, getQuery, getRouterParam, readBody, type H3Event } from 'h3';
import { checkInput } from '../../core/course/input';
import { ProblemError, type Problem } from '../../core/course/problem';
import type { Person } from '../database/people';
import { say } from '../words/problems';

const STATUS: Record<string, number> = { 'not-signed-in': 401, 'no-right': 403, 'no-such-course': 404, 'no-such-source': 404, 'no-such-version': 404, 'no-such-job': 404, 'no-such-release': 404, 'no-such-link': 404, 'not-begun': 409, 'not-available': 403, 'too-many-tries': 429, 'wrong-sign-in': 401, 'file-too-big': 413 };

/** A problem as an answer: its code for the screen, its words for the person. */
export function refuse(problem: Problem): never {
  throw createError({ statusCode: STATUS[problem.code] ?? 422, statusMessage: 'Refused', message: problem.code, data: { ...problem, message: say(problem) } });
}

/** The body, checked against its class. */
export async function bodyAs<T extends object>(event: H3Event, kind: ClassConstructor<T>): Promise<T> {
  const checked = checkInput(kind, await readBody(event));
  return checked.ok ? checked.value : refuse(checked.problem);
}

/** Runs what may meet a problem; problems become answers. */
export async function answering<T>(work: () => T | Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (error instanceof ProblemError) refuse(error.problem);
    throw error;
  }
}

/** Who is asking: settled by the guard before any route runs. */
export function personOf(event: H3Event): Person {
  return (event.context.person as Person | undefined) ?? refuse({ code: 'not-signed-in' });
}

/** A part of the address, which the guard has seen to be an id. */
export function idOf(event: H3Event, name: 'course' | 'lesson' | 'source' | 'version' | 'job' | 'release' | 'link'): string {
  return getRouterParam(event, name) ?? refuse({ code: 'bad-input', place: name });
}

/** What somebody typed to search for, no longer than a person types. */
export function typedOf(event: H3Event): string {
  return String(getQuery(event).typed ?? '').slice(0, 300);
}
