import { route } from '../../../route';

/** A course as it stands, with what can be undone. */
export default route({
  right: 'reader',
  run({ me, part, ids, desks }) {
    const { courses } = desks;
    const id = ids.course;
    const { course, revision } = courses.load(id);
    return { course, revision, role: part, ...courses.undoable(id, me.id) };
  },
});
