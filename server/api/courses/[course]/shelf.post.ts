import { FromShelfInput } from '../../../inputs/course';
import { route } from '../../../route';

/** Takes sources from the author's shelf into a course. */
export default route({
  right: 'author',
  body: FromShelfInput,
  carries: 'list',
  run({ me, ids, body, desks }) {
    const { sources, audit, now } = desks;
    const [course, person] = [ids.course, me.id];
    const added = sources.fromShelf(course, body.sources, person);
    for (const id of added) audit.note(now(), person, 'source-added', id, course);
    return { added: added.length };
  },
});
