import { defineEventHandler } from 'h3';
import { installation } from '../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../utils/request';

/** Takes on a course that nobody is an author of any more. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses, people, audit, now } = installation();
    const [id, person] = [idOf(event, 'orphan'), personOf(event).id];
    if (!courses.orphaned().some((row) => row.id === id)) refuse({ code: 'no-such-course' });
    people.setRole(id, person, 'author');
    audit.note(now(), person, 'course-adopted', id);
    return { id };
  }),
);
