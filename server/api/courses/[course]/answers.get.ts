import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** What was understood of the author's answers, and whether the sources hold them as they are. */
export default defineEventHandler((event) => answering(() => installation().interview.view(idOf(event, 'course'))));
