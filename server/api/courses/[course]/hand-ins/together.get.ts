import { setResponseHeaders } from 'h3';
import { TogetherQuery } from '../../../../inputs/query';
import { route } from '../../../../route';

/** Hand-ins with their files and marks, as a zip to be saved. */
export default route({
  right: 'marker',
  query: TogetherQuery,
  run({ event, me, ids, query, desks }) {
    const { handIns, audit, now } = desks;
    const bytes = handIns.together(ids.course, query.check);
    audit.note(now(), me.id, 'hand-ins-saved', ids.course);
    setResponseHeaders(event, {
      'content-type': 'application/zip',
      'content-disposition': 'attachment; filename="hand-ins.zip"',
    });
    return Buffer.from(bytes);
  },
});
