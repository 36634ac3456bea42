import { route } from '../../route';

/** Takes a deleted course out of the bin, its releases and its learners' results with it. */
export default route({
  right: 'signed-in',
  run({ me, ids, desks }) {
    const { courses, audit, now } = desks;
    const [id, person] = [ids.removed, me.id];
    courses.bringBack(id, person);
    audit.note(now(), person, 'course-restored', id);
    return { id };
  },
});
