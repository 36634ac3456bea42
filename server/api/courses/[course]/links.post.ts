import { LinkInput } from '../../../inputs/course';
import { noted } from '../../../utils/noted';
import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Takes in what lies at an address as a source. */
export default route({
  right: 'author',
  body: LinkInput,
  async run({ me, ids, body, desks }) {
    const { address, below } = body;
    const added = await desks.links.add(ids.course, address, below, me.id);
    return added.ok ? noted({ me, ids, desks }, added) : refuse(added.problem);
  },
});
