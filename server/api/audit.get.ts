import { AuditQuery } from '../inputs/query';
import { route } from '../route';

/** Lines a page shows at a time. */
const MOST = 200;

/** What happened that somebody may have to answer for, newest first. */
export default route({
  right: 'owner',
  query: AuditQuery,
  run({ query, desks }) {
    const { what, ...filter } = query;
    const { audit, people } = desks;
    // People are kept by their ids, so that whoever is taken out without their name is nowhere named any more.
    const named = (detail: string | null) =>
      detail?.replace(/\bp[a-z0-9]{9,15}\b/g, (id) => people.nameOf(id) || id) ?? null;
    return audit
      .find({ ...filter, ...(what && { what: what.split(',') }), most: MOST })
      .map((line) => ({ ...line, detail: named(line.detail) }));
  },
});
