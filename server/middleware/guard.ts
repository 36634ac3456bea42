import { defineEventHandler, getCookie, getHeader, getRequestURL } from 'h3';
import { mayCall, rightFor } from '../rights/table';
import { tokenHash } from '../rights/password';
import { installation } from '../utils/installation';
import { refuse } from '../utils/request';
import { SESSION_COOKIE, SESSION_LASTS } from '../utils/session';

/** Names this server answers to; more by UPLIFT_HOSTS, commas between. A page of another host cannot use it by a name trick. */
const HOSTS = new Set(['127.0.0.1', 'localhost', '[::1]', ...(process.env.UPLIFT_HOSTS?.split(',') ?? [])]);

/** Stands before every route of /api: who asks, from where, and whether they may. */
export default defineEventHandler((event) => {
  const host = (getHeader(event, 'host') ?? '').replace(/:\d+$/, '');
  if (!HOSTS.has(host)) refuse({ code: 'no-right', place: 'host' });
  const { pathname } = getRequestURL(event);
  if (!pathname.startsWith('/api/') || pathname.startsWith('/api/_nuxt_icon/')) return;
  const origin = getHeader(event, 'origin');
  if (event.method !== 'GET' && origin !== undefined && new URL(origin).host !== getHeader(event, 'host')) refuse({ code: 'no-right', place: 'origin' });
  const { people, now } = installation();
  const token = getCookie(event, SESSION_COOKIE);
  const person = token ? people.bySession(tokenHash(token), now() - SESSION_LASTS) : undefined;
  if (token && person) people.touchSession(tokenHash(token), now());
  const asked = rightFor(event.method, pathname);
  if (!asked) refuse({ code: 'no-right', place: pathname });
  const role = person && asked.course ? people.roleIn(asked.course, person.id) : undefined;
  if (!mayCall(asked.right, person, role)) refuse({ code: person ? (asked.course && !role ? 'no-such-course' : 'no-right') : 'not-signed-in' });
  event.context.person = person;
  event.context.courseRole = role;
});
