import { RevisionQuery } from '../../../../../inputs/query';
import { route } from '../../../../../route';

/** A lesson with its checks as it stood at a revision of its course. */
export default route({
  right: 'reader',
  query: RevisionQuery,
  run: ({ ids, query, desks }) => desks.history.page(ids.course, ids.lesson, query.revision),
});
