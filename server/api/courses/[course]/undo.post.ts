import { defineEventHandler } from 'h3';
import { SinceInput } from '../../../../core/course/input';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../utils/request';

/** Undoes the asker's last gesture in a course. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { since } = await bodyAs(event, SinceInput);
    const { courses } = installation();
    const [id, person] = [idOf(event, 'course'), personOf(event).id];
    return { ...courses.takeBack(id, person, since, 'undo'), ...courses.undoable(id, person) };
  }));
