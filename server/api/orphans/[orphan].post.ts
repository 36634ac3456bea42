import { refuse } from '../../utils/request';
import { route } from '../../route';

/** Takes on a course that nobody is an author of any more. */
export default route({
  right: 'owner',
  run({ me, ids, desks }) {
    const { courses, people, audit, now } = desks;
    const [id, person] = [ids.orphan, me.id];
    if (!courses.orphaned().some((row) => row.id === id)) refuse({ code: 'no-such-course' });
    people.setRole(id, person, 'author');
    audit.note(now(), person, 'course-adopted', id);
    return { id };
  },
});
