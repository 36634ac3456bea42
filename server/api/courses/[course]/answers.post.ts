import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf } from '../../../utils/request';

/** Makes the author's answers a source of the course. */
export default defineEventHandler((event) =>
  answering(() => installation().interview.bring(idOf(event, 'course'), personOf(event).id)),
);
