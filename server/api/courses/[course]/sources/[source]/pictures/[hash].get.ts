import { PICTURE_TYPES } from '../../../../../../../core/document/media';
import { mediaHash, sendMedia } from '../../../../../../utils/media';
import { refuse } from '../../../../../../utils/request';
import { route } from '../../../../../../route';

/** A picture of a source, to look at. */
export default route({
  right: 'reader',
  run({ event, ids, desks }) {
    const { sources, files } = desks;
    const [id, hash] = [ids.source, mediaHash(event)];
    const key = sources.keys(ids.course).find((each) => each.id === id);
    const picture = key && sources.read(key.id, key.version)?.source.pictures.find((each) => each.hash === hash);
    if (!picture || !Object.hasOwn(PICTURE_TYPES, picture.type) || !files.has(hash))
      refuse({ code: 'no-such-media', place: hash });
    return sendMedia(event, { type: picture!.type, path: files.pathOf(hash), name: hash });
  },
});
