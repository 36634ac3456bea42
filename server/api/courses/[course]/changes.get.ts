import { SinceQuery } from '../../../inputs/query';
import { route } from '../../../route';

/** What happened to a course since a revision. */
export default route({
  right: 'reader',
  query: SinceQuery,
  run: ({ me, query, ids, desks: { courses } }) => ({
    ...courses.changesSince(ids.course, query.since),
    ...courses.undoable(ids.course, me.id),
  }),
});
