import { SinceInput } from '../../../inputs/course';
import { route } from '../../../route';

/** Redoes the asker's last gesture in a course. */
export default route({
  right: 'author',
  body: SinceInput,
  run: ({ body, me, ids, desks: { courses } }) => ({
    ...courses.takeBack(ids.course, me.id, body.since, 'redo'),
    ...courses.undoable(ids.course, me.id),
  }),
});
