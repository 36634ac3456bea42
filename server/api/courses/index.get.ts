import { defineEventHandler } from 'h3';
import { courseRows } from '../../desk/rows';
import { installation } from '../../utils/installation';
import { answering, personOf } from '../../utils/request';

/** One's courses. */
export default defineEventHandler((event) => answering(() => courseRows(installation(), personOf(event).id)));
