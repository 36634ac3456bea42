import { defineEventHandler } from 'h3';
import { PICTURE_TYPES, type PictureType } from '../../../../../../../core/document/media';
import { installation } from '../../../../../../utils/installation';
import { mediaHash, sendMedia } from '../../../../../../utils/media';
import { answering, idOf, refuse } from '../../../../../../utils/request';

/** A picture of a source, to look at. */
export default defineEventHandler((event) =>
  answering(() => {
    const { sources, files } = installation();
    const [id, hash] = [idOf(event, 'source'), mediaHash(event)];
    const key = sources.keys(idOf(event, 'course')).find((each) => each.id === id);
    const picture = key && sources.read(key.id, key.version)?.source.pictures.find((each) => each.hash === hash);
    if (!picture || !Object.hasOwn(PICTURE_TYPES, picture.type) || !files.has(hash))
      refuse({ code: 'no-such-media', place: hash });
    return sendMedia(event, { type: picture!.type as PictureType, path: files.pathOf(hash), name: hash });
  }),
);
