import { inWords } from '../../../../words/jobs';
import { route } from '../../../../route';

/** Drafting under way in a course, and the last one that ended. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => inWords(desks.jobs.ofCourse(ids.course)),
});
