import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** What the course stands on that newer versions of its sources changed or dropped. */
export default defineEventHandler((event) => answering(() => installation().stale.of(idOf(event, 'course'))));
