import { SinceInput } from '../../../../../inputs/course';
import { route } from '../../../../../route';

/** Brings a course back to a version of its, as a gesture that can be undone. */
export default route({
  right: 'author',
  body: SinceInput,
  run({ me, ids, body, desks }) {
    const { since } = body;
    const { courses } = desks;
    const [id, person] = [ids.course, me.id];
    return { ...courses.backTo(id, ids.version, person, since), ...courses.undoable(id, person) };
  },
});
