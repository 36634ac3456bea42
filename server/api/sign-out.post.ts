import { endSession } from '../utils/session';
import { route } from '../route';

/** Signs out on this browser. */
export default route({
  right: 'signed-in',
  early: true,
  run({ event, me, desks }) {
    const { audit, now } = desks;
    endSession(event);
    audit.note(now(), me.id, 'sign-out');
    return {};
  },
});
