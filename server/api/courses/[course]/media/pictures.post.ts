import { defineEventHandler } from 'h3';
import { PictureInput } from '../../../../inputs/media';
import { installation } from '../../../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../../../utils/request';

/** Takes a picture of one of the course's sources in, for its pages. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { source, hash } = await bodyAs(event, PictureInput);
    const { sources, media } = installation();
    const course = idOf(event, 'course');
    const key = sources.keys(course).find(({ id }) => id === source);
    const held = key && sources.read(key.id, key.version)?.source;
    if (!held?.pictures.some((picture) => picture.hash === hash)) refuse({ code: 'no-such-media', place: hash });
    return media.addOfSource(course, held!, hash, personOf(event).id);
  }),
);
