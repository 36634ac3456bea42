import { exportArchive } from '../../../desk/archive';
import { route } from '../../../route';
import { sendZip } from '../../../utils/zip';

/** The course as an archive, to keep or to give on. */
export default route({
  right: 'reader',
  run({ event, me, ids, desks }) {
    const { name, files } = exportArchive(desks, ids.course);
    desks.audit.note(desks.now(), me.id, 'export', ids.course);
    return sendZip(event, name, files);
  },
});
