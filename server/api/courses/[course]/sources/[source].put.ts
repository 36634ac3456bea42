import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf, refuse } from '../../../../utils/request';
import { withUpload } from '../../../../utils/upload';
import { meaningFor } from '../../../../words/newer';

/** Takes in a file as a newer version of a source; says what changed, and what of the course stood on it. */
export default defineEventHandler((event) =>
  answering(() => withUpload(event, async (path, name) => {
    const { sources, courses } = installation();
    const id = idOf(event, 'course');
    const newer = await sources.addNewer(id, idOf(event, 'source'), path, name);
    return 'problem' in newer ? refuse(newer.problem) : meaningFor(courses.load(id).course, newer);
  })));
