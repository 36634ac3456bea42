import { refuse } from '../../../../utils/request';
import { withUpload } from '../../../../utils/upload';
import { meaningFor } from '../../../../words/newer';
import { FileQuery } from '../../../../inputs/query';
import { route } from '../../../../route';

/** Takes in a file as a newer version of a source; says what changed, and what of the course stood on it. */
export default route({
  right: 'author',
  query: FileQuery,
  carries: 'file',
  run: async ({ event, me, ids, desks }) =>
    withUpload(event, async (path, name) => {
      const { sources, courses, stale, audit, now } = desks;
      const id = ids.course;
      const newer = await sources.addNewer(id, ids.source, path, name, me.id);
      if ('problem' in newer) return refuse(newer.problem);
      if (!newer.same) {
        stale.follow(id, me.id, newer.change);
        audit.note(now(), me.id, 'source-version', ids.source, name);
      }
      return meaningFor(courses.load(id).course, newer);
    }),
});
