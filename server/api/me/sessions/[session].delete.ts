import { refuse } from '../../../utils/request';
import { sessionId } from '../../../utils/session';
import { route } from '../../../route';

/** Signs out on one other device. */
export default route({
  right: 'signed-in',
  run({ me, ids, desks }) {
    const { people, audit, now } = desks;
    const { id } = me;
    const wanted = ids.session;
    const found =
      people.sessions(id).find((row) => sessionId(row.token_hash) === wanted) ?? refuse({ code: 'no-such-session' });
    people.endSession(found.token_hash);
    audit.note(now(), id, 'sessions-ended', undefined, found.about);
    return {};
  },
});
