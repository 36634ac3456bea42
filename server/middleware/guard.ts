import { defineEventHandler, getHeader, type H3Event } from 'h3';
import { isRoute, pathOf } from '../rights/path';
import { refuse } from '../utils/request';

/**
 * Names this server answers to; more by UPLIFT_HOSTS, commas between. A page of another host cannot use it by a name
 * trick.
 */
const HOSTS = new Set(['127.0.0.1', 'localhost', '[::1]', ...(process.env.UPLIFT_HOSTS?.split(',') ?? [])]);

/** Stands before every request: which host it asks, and that it asks a route of ours. Rights are the route's matter. */
export default defineEventHandler((event) => {
  const host = (getHeader(event, 'host') ?? '').replace(/:\d+$/, '');
  if (!HOSTS.has(host)) refuse({ code: 'no-right', place: 'host' });
  // The path as the router takes it: what could be read in two ways is read in none.
  const path = pathOf(event.path) ?? refuse({ code: 'bad-path' });
  if (!/^\/api(?:\/|$)/i.test(path) || path.startsWith('/api/_nuxt_icon/')) return;
  if (event.method !== 'GET' && !sameOrigin(event)) refuse({ code: 'no-right', place: 'origin' });
  if (!isRoute(event.method, path)) refuse({ code: 'no-right', place: path });
});

function sameOrigin(event: H3Event): boolean {
  const origin = getHeader(event, 'origin');
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === getHeader(event, 'host');
  } catch {
    return false;
  }
}
