import { defineEventHandler } from 'h3';
import { courseAt, forgetKey } from '../../../utils/learner';
import { answering, idOf } from '../../../utils/request';

/**
 * Leaves one's place in a course on this browser. What was done is kept; the learner's own address leads back to it.
 */
export default defineEventHandler((event) =>
  answering(() => {
    const link = idOf(event, 'link');
    courseAt(link);
    forgetKey(event, link);
    return {};
  }),
);
