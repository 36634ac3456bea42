import { heldPictures } from '../../../../desk/held-pictures';
import { route } from '../../../../route';

/** The pictures that a course's sources hold, in their order, each with its caption. */
export default route({
  right: 'reader',
  run: ({ ids, desks }) => heldPictures(desks.sources, ids.course),
});
