import { OwnOutlineInput } from '../../../../inputs/course';
import { route } from '../../../../route';

/**
 * Reads the author's own outline and holds it against the sources: each lesson with what they say about it. It is a
 * proposal: nothing of the course changes.
 */
export default route({
  right: 'author',
  body: OwnOutlineInput,
  carries: 'text',
  async run({ me, ids, body, desks }) {
    const { courses, sources, drafter } = desks;
    const { course } = courses.load(ids.course);
    const own = await sources.readOwnOutline(body.name, Buffer.from(body.data, 'base64'), course.title, me.id);
    return drafter.ask('outline', { course, sources: sources.keys(ids.course), own });
  },
});
