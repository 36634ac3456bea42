import { PulledInput } from '../../../../../inputs/course';
import { route } from '../../../../../route';

/** Passages of the sources as parts of a page, in the shapes that drafting would give them; asking changes nothing. */
export default route({
  right: 'reader',
  body: PulledInput,
  async run({ ids, body, desks }) {
    const { course } = desks.courses.load(ids.course);
    const blocks = await desks.drafter.ask('pulled', { course, ...body, sources: desks.sources.keys(ids.course) });
    return { blocks };
  },
});
