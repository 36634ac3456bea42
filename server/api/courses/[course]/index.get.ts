import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf } from '../../../utils/request';

/** A course as it stands, with what can be undone. */
export default defineEventHandler((event) =>
  answering(() => {
    const { courses } = installation();
    const id = idOf(event, 'course');
    const { course, revision } = courses.load(id);
    return { course, revision, role: event.context.courseRole as string, ...courses.undoable(id, personOf(event).id) };
  }),
);
