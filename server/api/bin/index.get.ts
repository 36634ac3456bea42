import { route } from '../../route';

/** Deleted courses that one is an author of, with how many learners' results lie there with each. */
export default route({
  right: 'signed-in',
  run: ({ me, desks }) => desks.courses.removed(me.id),
});
