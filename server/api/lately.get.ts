import { defineEventHandler } from 'h3';
import { latelyOf } from '../desk/lately';
import { installation } from '../utils/installation';
import { answering, personOf } from '../utils/request';

/** What happened lately in one's courses. */
export default defineEventHandler((event) => answering(() => latelyOf(installation().db, personOf(event).id)));
