import { defineEventHandler } from 'h3';
import { SinceInput } from '../../../../../inputs/course';
import { installation } from '../../../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../../../utils/request';

/** Brings a course back to a version of its, as a gesture that can be undone. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { since } = await bodyAs(event, SinceInput);
    const { courses } = installation();
    const [id, person] = [idOf(event, 'course'), personOf(event).id];
    return { ...courses.backTo(id, idOf(event, 'version'), person, since), ...courses.undoable(id, person) };
  }),
);
