import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf } from '../../../../utils/request';

/** The versions of a course that were named, newest first. */
export default defineEventHandler((event) => answering(() => installation().courses.versions(idOf(event, 'course'))));
