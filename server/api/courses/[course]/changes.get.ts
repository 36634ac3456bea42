import { defineEventHandler, getQuery } from 'h3';
import { checkInput, SinceInput } from '../../../inputs/course';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf, refuse } from '../../../utils/request';

/** What happened to a course since a revision. */
export default defineEventHandler((event) =>
  answering(() => {
    const checked = checkInput(SinceInput, { since: Number(getQuery(event).since) });
    if (!checked.ok) refuse(checked.problem);
    const { courses } = installation();
    const id = idOf(event, 'course');
    return { ...courses.changesSince(id, checked.value.since), ...courses.undoable(id, personOf(event).id) };
  }),
);
