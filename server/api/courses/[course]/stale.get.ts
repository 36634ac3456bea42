import { route } from '../../../route';

/** What the course stands on that newer versions of its sources changed or dropped. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => desks.stale.of(ids.course),
});
