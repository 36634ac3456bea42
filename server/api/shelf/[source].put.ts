import { PutAwayInput } from '../../inputs/course';
import { refuse } from '../../utils/request';
import { route } from '../../route';

/** Puts a source of one's own away from the shelf, or back. Courses that use it go on using it. */
export default route({
  right: 'signed-in',
  body: PutAwayInput,
  run({ me, ids, body, desks }) {
    const { away } = body;
    if (!desks.sources.putAway(ids.source, me.id, away)) refuse({ code: 'no-such-source' });
    return {};
  },
});
