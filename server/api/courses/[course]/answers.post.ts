import { route } from '../../../route';

/** Makes the author's answers a source of the course. */
export default route({
  right: 'author',
  run: ({ me, ids, desks }) => desks.interview.bring(ids.course, me.id),
});
