import { route, sessionOf } from '../../../route';

/** Signs out everywhere but here. */
export default route({
  right: 'signed-in',
  run({ event, me, desks }) {
    const { people, audit, now } = desks;
    const { id } = me;
    const ended = people.endSessions(id, sessionOf(event));
    audit.note(now(), id, 'sessions-ended', undefined, `${ended}`);
    return { ended };
  },
});
