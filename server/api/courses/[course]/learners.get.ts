import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** Who learns by a course, and how far they are. */
export default defineEventHandler((event) => answering(() => installation().learners.lines(idOf(event, 'course'))));
