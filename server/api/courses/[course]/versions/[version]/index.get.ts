import { defineEventHandler } from 'h3';
import { installation } from '../../../../../utils/installation';
import { answering, idOf } from '../../../../../utils/request';

/** A course as it was when a version of it was named, to be looked at before going back. */
export default defineEventHandler((event) =>
  answering(() => installation().courses.version(idOf(event, 'course'), idOf(event, 'version'))),
);
