import type { Added } from '../desk/sources';
import type { Asked } from '../route';

/** Notes in the audit that a source came into a course, and hands on what came of it. */
export function noted<Given extends Added & { ok: true }>(
  { me, ids, desks: { audit, now } }: Pick<Asked<'author', unknown, unknown>, 'me' | 'ids' | 'desks'>,
  added: Given,
): Given {
  audit.note(now(), me.id, 'source-added', added.source.id, ids.course);
  return added;
}
