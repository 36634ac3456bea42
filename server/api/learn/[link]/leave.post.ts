import { courseAt, forgetKey } from '../../../utils/learner';
import { route } from '../../../route';

/**
 * Leaves one's place in a course on this browser. What was done is kept; the learner's own address leads back to it.
 */
export default route({
  right: 'anyone',
  run({ event, ids }) {
    const link = ids.link;
    courseAt(link);
    forgetKey(event, link);
    return {};
  },
});
