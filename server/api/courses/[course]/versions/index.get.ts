import { route } from '../../../../route';

/** The versions of a course that were named, newest first. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => desks.courses.versions(ids.course),
});
