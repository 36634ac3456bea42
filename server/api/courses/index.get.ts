import { courseRows } from '../../desk/rows';
import { route } from '../../route';

/** One's courses. */
export default route({
  right: 'signed-in',
  run: ({ me, desks }) => courseRows(desks, me.id),
});
