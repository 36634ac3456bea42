import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../../utils/request';
import { withUpload } from '../../../../utils/upload';
import { meaningFor } from '../../../../words/newer';

/** Takes in a file as a newer version of a source; says what changed, and what of the course stood on it. */
export default defineEventHandler((event) =>
  answering(() =>
    withUpload(event, async (path, name) => {
      const { sources, courses, stale, audit, now } = installation();
      const id = idOf(event, 'course');
      const newer = await sources.addNewer(id, idOf(event, 'source'), path, name, personOf(event).id);
      if ('problem' in newer) return refuse(newer.problem);
      if (!newer.same) {
        stale.follow(id, personOf(event).id, newer.change);
        audit.note(now(), personOf(event).id, 'source-version', idOf(event, 'source'), name);
      }
      return meaningFor(courses.load(id).course, newer);
    }),
  ),
);
