import { defineEventHandler } from 'h3';
import { ChangesInput } from '../../../inputs/course';
import { OPERATION_VERSION } from '../../../desk/courses';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../utils/request';

/** Makes changes of a course. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { since, changes, what } = await bodyAs(event, ChangesInput);
    const { courses } = installation();
    const person = personOf(event).id;
    const id = idOf(event, 'course');
    const posted = courses.post(
      id,
      changes.map((change) => ({ ...change, actor: { person }, version: OPERATION_VERSION })),
      since,
      what,
    );
    return { ...posted, ...courses.undoable(id, person) };
  }),
);
