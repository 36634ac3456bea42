import { deleteCookie, getCookie, getRequestIP, setCookie, type H3Event } from 'h3';
import type { Person } from '../database/people';
import { freshToken, tokenHash } from '../rights/password';
import { installation } from './installation';

export const SESSION_COOKIE = 'uplift';
/** Milliseconds without use after which one has to sign in again. */
export const SESSION_LASTS = 30 * 86_400_000;

/** Signs a person in on this browser. */
export function beginSession(event: H3Event, person: Person): void {
  const { people, audit, now } = installation();
  const token = freshToken();
  people.startSession(tokenHash(token), person.id, now());
  setCookie(event, SESSION_COOKIE, token, { httpOnly: true, sameSite: 'lax', path: '/', maxAge: SESSION_LASTS / 1000 });
  audit.note(now(), person.id, 'sign-in');
}

/** Signs out on this browser. */
export function endSession(event: H3Event): void {
  const token = getCookie(event, SESSION_COOKIE);
  if (token) installation().people.endSession(tokenHash(token));
  deleteCookie(event, SESSION_COOKIE, { path: '/' });
}

/** Where a request comes from, for counting failed tries. */
export function addressOf(event: H3Event): string {
  return getRequestIP(event) ?? 'unknown';
}
