import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering, personOf } from '../../utils/request';

/** Parts in courses that one is offered. */
export default defineEventHandler((event) => answering(() => installation().people.invitations(personOf(event).id)));
