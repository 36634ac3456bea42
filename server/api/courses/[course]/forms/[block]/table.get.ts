import { setResponseHeaders } from 'h3';
import { route } from '../../../../../route';

/** What was answered to a feedback form as a table, a row a sheet. */
export default route({
  right: 'marker',
  run({ event, me, ids, desks }) {
    const { surveys, audit, now } = desks;
    const table = surveys.table(ids.course, ids.block);
    audit.note(now(), me.id, 'feedback-saved', ids.course);
    setResponseHeaders(event, {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': 'attachment; filename="feedback.csv"',
    });
    return table;
  },
});
