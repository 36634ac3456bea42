import { route } from '../../../../../route';

/** The ways that learners took through a scenario, together. */
export default route({
  right: 'author',
  run: ({ ids, desks }) => desks.learners.ways(ids.course, ids.check),
});
