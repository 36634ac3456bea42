import { latelyOf } from '../desk/lately';
import { route } from '../route';

/** What happened lately in one's courses. */
export default route({
  right: 'signed-in',
  run: ({ me, desks }) => latelyOf(desks.db, me.id),
});
