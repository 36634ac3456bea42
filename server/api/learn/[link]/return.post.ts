import { defineEventHandler } from 'h3';
import { ReturnInput } from '../../../../core/learning/input';
import { fail } from '../../../../core/course/problem';
import { installation } from '../../../utils/installation';
import { courseAt, keepKey } from '../../../utils/learner';
import { answering, bodyAs, idOf } from '../../../utils/request';

/** Comes back on another device, by the address that was copied where the course was begun. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { key } = await bodyAs(event, ReturnInput);
    const link = idOf(event, 'link');
    if (!installation().learners.byKey(courseAt(link), key)) fail('wrong-key');
    keepKey(event, link, key);
    return { begun: true };
  }));
