import { ChangesInput } from '../../../inputs/course';
import { OPERATION_VERSION } from '../../../desk/courses';
import { route } from '../../../route';

/** Makes changes of a course. */
export default route({
  right: 'author',
  body: ChangesInput,
  carries: 'operations',
  run({ me, ids, body, desks }) {
    const { since, changes, what } = body;
    const { courses } = desks;
    const person = me.id;
    const id = ids.course;
    const posted = courses.post(
      id,
      changes.map((change) => ({ ...change, actor: { person }, version: OPERATION_VERSION })),
      since,
      what,
    );
    return { ...posted, ...courses.undoable(id, person) };
  },
});
