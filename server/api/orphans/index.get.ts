import { route } from '../../route';

/** Courses that nobody is an author of any more. */
export default route({
  right: 'owner',
  run: ({ desks }) => desks.courses.orphaned().map(({ id, title, changed_at }) => ({ id, title, changed_at })),
});
