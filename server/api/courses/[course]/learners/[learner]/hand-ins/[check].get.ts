import { route } from '../../../../../../route';

/** A hand-in as it is marked: what was handed in, its criteria, what is suggested. */
export default route({
  right: 'marker',
  run: ({ ids, desks }) => desks.handIns.get(ids.course, ids.learner, ids.check),
});
