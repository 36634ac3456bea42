import { PassagesQuery } from '../../../inputs/query';
import { route } from '../../../route';

/** Passages in their place: `ids`, commas between. */
export default route({
  right: 'reader',
  query: PassagesQuery,
  run: ({ query, ids, desks }) => desks.sources.passages(ids.course, query.ids),
});
