import { readFileSync } from 'node:fs';
import { defineEventHandler } from 'h3';
import { installation } from '../../../../utils/installation';
import { answering, idOf, personOf } from '../../../../utils/request';
import { withUpload } from '../../../../utils/upload';

/** Takes in a picture for a course. */
export default defineEventHandler((event) =>
  answering(() =>
    withUpload(event, (path, name) => {
      const { media } = installation();
      const bytes = new Uint8Array(readFileSync(path));
      return Promise.resolve(media.add(idOf(event, 'course'), bytes, name, personOf(event).id));
    }),
  ),
);
