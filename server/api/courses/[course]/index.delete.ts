import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { idOf, personOf } from '../../../utils/request';

/** Takes a course off the list. Its log stays in the data folder. */
export default defineEventHandler((event) => {
  const { courses, audit, now } = installation();
  const id = idOf(event, 'course');
  courses.remove(id);
  audit.note(now(), personOf(event).id, 'course-removed', id);
  return {};
});
