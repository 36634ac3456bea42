import { refuse } from '../../../../utils/request';
import { route } from '../../../../route';

/** Takes a source off a course. It stays on its owner's shelf, and what was drafted from it stays as it is. */
export default route({
  right: 'author',
  run({ me, ids, desks }) {
    const { sources, audit, now } = desks;
    const [course, source] = [ids.course, ids.source];
    if (!sources.detach(course, source)) refuse({ code: 'no-such-source' });
    audit.note(now(), me.id, 'source-removed', source, course);
    return {};
  },
});
