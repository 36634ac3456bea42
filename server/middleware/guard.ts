import { defineEventHandler, getCookie, getHeader, type H3Event } from 'h3';
import { ProblemError } from '../../core/document/problem';
import { BODY_LIMITS } from '../rights/limits';
import { mayCall, pathOf, rightFor } from '../rights/table';
import { tokenHash } from '../rights/password';
import { installation } from '../utils/installation';
import { refuse } from '../utils/request';
import { SESSION_COOKIE, SESSION_LASTS } from '../utils/session';

/**
 * Names this server answers to; more by UPLIFT_HOSTS, commas between. A page of another host cannot use it by a name
 * trick.
 */
const HOSTS = new Set(['127.0.0.1', 'localhost', '[::1]', ...(process.env.UPLIFT_HOSTS?.split(',') ?? [])]);

/** What somebody whose password was chosen by another may do before they chose one of their own. */
const BEFORE_OWN_PASSWORD = new Set(['/api/start', '/api/me/password', '/api/sign-out', '/api/health']);

/** Stands before every route of /api: who asks, from where, whether they may, and how much they send. */
export default defineEventHandler(async (event) => {
  const host = (getHeader(event, 'host') ?? '').replace(/:\d+$/, '');
  if (!HOSTS.has(host)) refuse({ code: 'no-right', place: 'host' });
  // The path as the router takes it: what could be read in two ways is read in none.
  const path = pathOf(event.path) ?? refuse({ code: 'bad-path' });
  if (!/^\/api(?:\/|$)/i.test(path) || path.startsWith('/api/_nuxt_icon/')) return;
  if (event.method !== 'GET' && !sameOrigin(event)) refuse({ code: 'no-right', place: 'origin' });
  const asked = rightFor(event.method, path) ?? refuse({ code: 'no-right', place: path });
  if (Number(getHeader(event, 'content-length') ?? 0) > BODY_LIMITS[asked.body].bytes)
    await tooMuch(event, BODY_LIMITS[asked.body].bytes);
  event.context.body = BODY_LIMITS[asked.body];
  // Whether the server is well can be asked of one that is not.
  if (path === '/api/health') return;
  const { people, now } = opened();
  const token = getCookie(event, SESSION_COOKIE);
  const hash = token ? tokenHash(token) : '';
  const person = token ? people.bySession(hash, now() - SESSION_LASTS) : undefined;
  if (person) touched(hash);
  const role = person && asked.course ? people.roleIn(asked.course, person.id) : undefined;
  if (!mayCall(asked.right, person, role))
    refuse({ code: person ? (asked.course && !role ? 'no-such-course' : 'no-right') : 'not-signed-in' });
  if (person?.must_change && asked.right !== 'anyone' && !BEFORE_OWN_PASSWORD.has(path))
    refuse({ code: 'own-password-first' });
  event.context.person = person;
  event.context.session = hash;
  event.context.courseRole = role;
});

/** The installation; what is wrong with it is an answer. */
function opened() {
  try {
    return installation();
  } catch (error) {
    return error instanceof ProblemError ? refuse(error.problem) : refuse({ code: 'fault' });
  }
}

function sameOrigin(event: H3Event): boolean {
  const origin = getHeader(event, 'origin');
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === getHeader(event, 'host');
  } catch {
    return false;
  }
}

/** Bytes, and milliseconds, that are read and thrown away so that whoever sends too much gets to hear it. */
const DRAINED = { bytes: 32 * 1048576, time: 3000 };

async function tooMuch({ node: { req, res } }: H3Event, limit: number): Promise<never> {
  await new Promise<void>((done) => {
    let size = 0;
    const timer = setTimeout(done, DRAINED.time);
    req.on('data', (chunk: Buffer) => void ((size += chunk.length) > DRAINED.bytes && done()));
    for (const end of ['end', 'close', 'error'])
      req.on(end, () => {
        clearTimeout(timer);
        done();
      });
  });
  // What was not read would be taken for the next request on this connection.
  res.setHeader('connection', 'close');
  return refuse({
    code: 'body-too-big',
    parameters: { limit: limit < 1048576 ? `${Math.round(limit / 1024)} KB` : `${Math.round(limit / 1048576)} MB` },
  });
}

/** Notes that a session is in use; on a full disk it is read on without. */
function touched(hash: string): void {
  const { people, now } = installation();
  try {
    people.touchSession(hash, now());
  } catch (error) {
    if (!String((error as { code?: string }).code).startsWith('SQLITE_')) throw error;
  }
}
