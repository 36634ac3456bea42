import { PictureInput } from '../../../../inputs/media';
import { refuse } from '../../../../utils/request';
import { route } from '../../../../route';

/** Takes a picture of one of the course's sources in, for its pages. */
export default route({
  right: 'author',
  body: PictureInput,
  run({ me, ids, body, desks }) {
    const { source, hash } = body;
    const { sources, media } = desks;
    const course = ids.course;
    const key = sources.keys(course).find(({ id }) => id === source);
    const held = key && sources.read(key.id, key.version)?.source;
    if (!held?.pictures.some((picture) => picture.hash === hash)) refuse({ code: 'no-such-media', place: hash });
    return media.addOfSource(course, held!, hash, me.id);
  },
});
