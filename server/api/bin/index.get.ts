import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering, personOf } from '../../utils/request';

/** Deleted courses that one is an author of, with how many learners' results lie there with each. */
export default defineEventHandler((event) => answering(() => installation().courses.removed(personOf(event).id)));
