import { learnerWhoMay } from '../../../../utils/learner';
import { mediaHash, sendMedia } from '../../../../utils/media';
import { refuse } from '../../../../utils/request';
import { route } from '../../../../route';

/** A file of media that the learner's release shows. */
export default route({
  right: 'anyone',
  run({ event, ids, desks }) {
    const { media, releases } = desks;
    const learner = learnerWhoMay(event, ids.link);
    const hash = mediaHash(event);
    if (!releases.shows(learner.release_id, hash)) refuse({ code: 'no-such-media', place: hash });
    return sendMedia(event, media.get(learner.course_id, hash));
  },
});
