import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../../utils/request';

/** Takes a source off a course. It stays on its owner's shelf, and what was drafted from it stays as it is. */
export default defineEventHandler((event) =>
  answering(() => {
    const { sources, audit, now } = installation();
    const [course, source] = [idOf(event, 'course'), idOf(event, 'source')];
    if (!sources.detach(course, source)) refuse({ code: 'no-such-source' });
    audit.note(now(), personOf(event).id, 'source-removed', source, course);
    return {};
  }),
);
