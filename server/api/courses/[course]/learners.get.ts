import { route } from '../../../route';

/** Who learns by a course, and how far they are. */
export default route({
  right: 'marker',
  run: ({ ids, desks }) => desks.learners.lines(ids.course),
});
