import { defineEventHandler } from 'h3';
import { SinceInput } from '../inputs/course';
import { installation } from './installation';
import { answering, bodyAs, idOf, personOf } from './request';

/** The route that undoes, or redoes, the asker's last gesture in a course. */
export function takingBack(which: 'undo' | 'redo') {
  return defineEventHandler((event) =>
    answering(async () => {
      const { since } = await bodyAs(event, SinceInput);
      const { courses } = installation();
      const [id, person] = [idOf(event, 'course'), personOf(event).id];
      return { ...courses.takeBack(id, person, since, which), ...courses.undoable(id, person) };
    }),
  );
}
