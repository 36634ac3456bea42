import { sessionId } from '../../../utils/session';
import { route, sessionOf } from '../../../route';

/** Where one is signed in: device, address, times; which of them is this browser. */
export default route({
  right: 'signed-in',
  run: ({ event, me, desks }) =>
    desks.people.sessions(me.id).map(({ token_hash, ...row }) => ({
      id: sessionId(token_hash),
      here: token_hash === sessionOf(event),
      ...row,
    })),
});
