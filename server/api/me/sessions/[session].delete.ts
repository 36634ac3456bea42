import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../utils/request';
import { sessionId } from '../../../utils/session';

/** Signs out on one other device. */
export default defineEventHandler((event) =>
  answering(() => {
    const { people, audit, now } = installation();
    const { id } = personOf(event);
    const wanted = idOf(event, 'session');
    const found =
      people.sessions(id).find((row) => sessionId(row.token_hash) === wanted) ?? refuse({ code: 'no-such-session' });
    people.endSession(found.token_hash);
    audit.note(now(), id, 'sessions-ended', undefined, found.about);
    return {};
  }),
);
