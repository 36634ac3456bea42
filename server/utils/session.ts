import { deleteCookie, getCookie, getHeader, getRequestProtocol, setCookie, type H3Event } from 'h3';
import type { Person } from '../database/people';
import { freshToken, tokenHash } from '../rights/password';
import { installation } from './installation';

export const SESSION_COOKIE = 'uplift';
/** Milliseconds without use after which one has to sign in again. */
export const SESSION_LASTS = 30 * 86_400_000;

/** Signs a person in on this browser. Behind an address that is https, the cookie goes over https alone. */
export function beginSession(event: H3Event, person: Person): void {
  const { people, audit, now } = installation();
  const token = freshToken();
  people.endOldSessions(now() - SESSION_LASTS);
  people.startSession(tokenHash(token), person.id, now(), deviceOf(event), addressOf(event));
  setCookie(event, SESSION_COOKIE, token, {
    httpOnly: true,
    sameSite: 'lax',
    secure: isHttps(event),
    path: '/',
    maxAge: SESSION_LASTS / 1000,
  });
  audit.note(now(), person.id, 'sign-in', undefined, addressOf(event));
}

/** Signs out on this browser. */
export function endSession(event: H3Event): void {
  const token = getCookie(event, SESSION_COOKIE);
  if (token) installation().people.endSession(tokenHash(token));
  deleteCookie(event, SESSION_COOKIE, { path: '/' });
}

/** Whether people reach this server by https: said by UPLIFT_ADDRESS, or by the proxy before it. */
export function isHttps(event: H3Event): boolean {
  return process.env.UPLIFT_ADDRESS?.startsWith('https://') || (BEHIND_PROXY && getRequestProtocol(event) === 'https');
}

const BEHIND_PROXY = process.env.UPLIFT_PROXY === '1';

/**
 * Where a request comes from. What a request says of itself is believed only behind a proxy that sets it
 * (UPLIFT_PROXY=1).
 */
export function addressOf(event: H3Event): string {
  if (!BEHIND_PROXY) return event.node.req.socket.remoteAddress ?? 'unknown';
  // The last one is the proxy's own word; those before it are the sender's.
  return getHeader(event, 'x-forwarded-for')?.split(',').pop()?.trim() || 'unknown';
}

/** The browser and system of a request in a few words, for lists of sessions. */
function deviceOf(event: H3Event): string {
  const agent = getHeader(event, 'user-agent') ?? '';
  const browser = [
    [/Edg\//, 'Edge'],
    [/Firefox\//, 'Firefox'],
    [/Chrom(?:e|ium)\//, 'Chrome'],
    [/Safari\//, 'Safari'],
  ].find(([pattern]) => (pattern as RegExp).test(agent))?.[1];
  const system = [
    [/Android/, 'Android'],
    [/iPhone|iPad/, 'iOS'],
    [/Windows/, 'Windows'],
    [/Mac OS/, 'macOS'],
    [/Linux/, 'Linux'],
  ].find(([pattern]) => (pattern as RegExp).test(agent))?.[1];
  return [browser ?? 'Browser', system].filter(Boolean).join(', ');
}

/** What a session is called on a list: enough to tell it from others, nothing to get in by. */
export function sessionId(hash: string): string {
  return `s${hash.slice(0, 13)}`;
}
