import { route } from '../../../../../route';

/** The moments at which a lesson was changed, newest first. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => desks.history.moments(ids.course, ids.lesson),
});
