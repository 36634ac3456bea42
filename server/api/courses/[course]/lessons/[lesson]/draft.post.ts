import { defineEventHandler } from 'h3';
import { SinceInput } from '../../../../../../core/course/input';
import { draftInto } from '../../../../../desk/draft';
import { installation } from '../../../../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../../../../utils/request';

/** Drafts a lesson and takes the draft into the course, as one gesture that can be undone. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { since } = await bodyAs(event, SinceInput);
    const desks = installation();
    const id = idOf(event, 'course');
    if (desks.sources.keys(id).length === 0) refuse({ code: 'no-sources' });
    const person = personOf(event).id;
    return { ...(await draftInto(desks, id, idOf(event, 'lesson'), person, since)), ...desks.courses.undoable(id, person) };
  }));
