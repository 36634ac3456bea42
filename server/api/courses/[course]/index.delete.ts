import { route } from '../../../route';

/** Lays a course into its authors' bin, with its releases and what learners did. */
export default route({
  right: 'author',
  run({ me, ids, desks }) {
    const { courses, audit, now } = desks;
    const [id, person] = [ids.course, me.id];
    courses.remove(id, person);
    audit.note(now(), person, 'course-removed', id);
    return {};
  },
});
