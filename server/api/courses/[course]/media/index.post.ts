import { BODY_LIMITS } from '../../../../rights/limits';
import { withUpload } from '../../../../utils/upload';
import { FileQuery } from '../../../../inputs/query';
import { route } from '../../../../route';

/** Takes in a file of media for a course. */
export default route({
  right: 'author',
  query: FileQuery,
  carries: 'media',
  run: ({ event, me, ids, desks }) =>
    withUpload(event, (path, name) => desks.media.take(ids.course, path, name, me.id), {
      most: BODY_LIMITS.media.bytes,
    }),
});
