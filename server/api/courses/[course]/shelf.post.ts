import { defineEventHandler } from 'h3';
import { FromShelfInput } from '../../../inputs/course';
import { installation } from '../../../utils/installation';
import { answering, bodyAs, idOf, personOf } from '../../../utils/request';

/** Takes sources from the author's shelf into a course. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { sources: ids } = await bodyAs(event, FromShelfInput);
    const { sources, audit, now } = installation();
    const [course, person] = [idOf(event, 'course'), personOf(event).id];
    const added = sources.fromShelf(course, ids, person);
    for (const id of added) audit.note(now(), person, 'source-added', id, course);
    return { added: added.length };
  }),
);
