import { refuse } from '../../../../../utils/request';
import { meaningFor } from '../../../../../words/newer';
import { route } from '../../../../../route';

/** Fetches a link again; says what changed, and what of the course stood on it. */
export default route({
  right: 'author',
  async run({ me, ids, desks }) {
    const { links, courses, stale, audit, now } = desks;
    const id = ids.course;
    const newer = await links.again(id, ids.source, me.id);
    if ('problem' in newer) return refuse(newer.problem);
    if (!newer.same) {
      stale.follow(id, me.id, newer.change);
      audit.note(now(), me.id, 'source-version', ids.source);
    }
    return meaningFor(courses.load(id).course, newer);
  },
});
