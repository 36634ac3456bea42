import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, personOf } from '../../../utils/request';

/** Signs out everywhere but here. */
export default defineEventHandler((event) =>
  answering(() => {
    const { people, audit, now } = installation();
    const { id } = personOf(event);
    const ended = people.endSessions(id, event.context.session as string);
    audit.note(now(), id, 'sessions-ended', undefined, `${ended}`);
    return { ended };
  }),
);
