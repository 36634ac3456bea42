import { mediaHash, sendMedia } from '../../../../utils/media';
import { route } from '../../../../route';

/** A file of media that a course has. */
export default route({
  right: 'reader',
  run: ({ event, ids, desks }) => sendMedia(event, desks.media.get(ids.course, mediaHash(event))),
});
