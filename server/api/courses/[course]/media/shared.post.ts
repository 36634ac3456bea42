import { SharedMediaInput } from '../../../../inputs/media';
import { refuse } from '../../../../utils/request';
import { route } from '../../../../route';

/** Lets a course have a file of another one that its author has a part in. */
export default route({
  right: 'author',
  body: SharedMediaInput,
  run({ me, ids, body: { from, hash }, desks }) {
    if (!desks.people.roleIn(from, me.id)) refuse({ code: 'no-such-media', place: hash });
    return desks.media.share(from, ids.course, hash, me.id);
  },
});
