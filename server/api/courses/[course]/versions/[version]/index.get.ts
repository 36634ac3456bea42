import { route } from '../../../../../route';

/** A course as it was when a version of it was named, to be looked at before going back. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => desks.courses.version(ids.course, ids.version),
});
