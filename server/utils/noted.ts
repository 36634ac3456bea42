import type { H3Event } from 'h3';
import type { Added } from '../desk/sources';
import { installation } from './installation';
import { idOf, personOf } from './request';

/** Notes in the audit that a source came into a course, and hands on what came of it. */
export function noted<Given extends Added & { ok: true }>(event: H3Event, added: Given): Given {
  const { audit, now } = installation();
  audit.note(now(), personOf(event).id, 'source-added', added.source.id, idOf(event, 'course'));
  return added;
}
