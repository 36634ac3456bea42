import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { learnerWhoMay } from '../../../../utils/learner';
import { mediaHash, sendMedia } from '../../../../utils/media';
import { answering, idOf, refuse } from '../../../../utils/request';

/** A file of media that the learner's release shows. */
export default defineEventHandler((event) =>
  answering(() => {
    const { media, releases } = installation();
    const learner = learnerWhoMay(event, idOf(event, 'link'));
    const hash = mediaHash(event);
    if (!releases.shows(learner.release_id, hash)) refuse({ code: 'no-such-media', place: hash });
    return sendMedia(event, media.get(learner.course_id, hash));
  }),
);
