import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering, idOf, personOf } from '../../utils/request';

/** Takes a deleted course out of the bin, its releases and its learners' results with it. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, audit, now } = installation();
    const [id, person] = [idOf(event, 'removed'), personOf(event).id];
    courses.bringBack(id, person);
    audit.note(now(), person, 'course-restored', id);
    return { id };
  }),
);
