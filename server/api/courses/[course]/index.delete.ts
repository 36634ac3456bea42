import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf } from '../../../utils/request';

/** Lays a course into its authors' bin, with its releases and what learners did. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, audit, now } = installation();
    const [id, person] = [idOf(event, 'course'), personOf(event).id];
    courses.remove(id, person);
    audit.note(now(), person, 'course-removed', id);
    return {};
  }),
);
