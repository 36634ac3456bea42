import { readFileSync } from 'node:fs';
import { withUpload } from '../../../../utils/upload';
import { FileQuery } from '../../../../inputs/query';
import { route } from '../../../../route';

/** Takes in a picture for a course. */
export default route({
  right: 'author',
  query: FileQuery,
  carries: 'file',
  run: ({ event, me, ids, desks }) =>
    withUpload(event, (path, name) => {
      const { media } = desks;
      const bytes = new Uint8Array(readFileSync(path));
      return Promise.resolve(media.add(ids.course, bytes, name, me.id));
    }),
});
