import { setResponseHeaders } from 'h3';
import { exportArchive } from '../../../desk/archive';
import { route } from '../../../route';

/** The course as an archive, to keep or to give on. */
export default route({
  right: 'reader',
  run({ event, me, ids, desks }) {
    const id = ids.course;
    const { name, bytes } = exportArchive(desks, id);
    desks.audit.note(desks.now(), me.id, 'export', id);
    setResponseHeaders(event, {
      'content-type': 'application/zip',
      'content-disposition': `attachment; filename="${name}"`,
    });
    return Buffer.from(bytes);
  },
});
