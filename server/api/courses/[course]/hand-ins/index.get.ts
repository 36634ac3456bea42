import { route } from '../../../../route';

/** Every hand-in of a course, what waits for its mark first. */
export default route({
  right: 'marker',
  run: ({ ids, desks }) => desks.handIns.list(ids.course),
});
