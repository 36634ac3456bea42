import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering } from '../../../utils/request';

/** Where links can be tried out: the demo's own site. */
export default defineEventHandler(() => answering(() => installation().site));
