import { defineEventHandler, setResponseHeaders } from 'h3';
import { exportArchive } from '../../../desk/archive';
import { installation } from '../../../utils/installation';
import { answering, idOf, personOf } from '../../../utils/request';

/** The course as an archive, to keep or to give on. */
export default defineEventHandler((event) =>
  answering(() => {
    const desks = installation();
    const id = idOf(event, 'course');
    const { name, bytes } = exportArchive(desks, id);
    desks.audit.note(desks.now(), personOf(event).id, 'export', id);
    setResponseHeaders(event, {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}"`,
    });
    return Buffer.from(bytes);
  }),
);
