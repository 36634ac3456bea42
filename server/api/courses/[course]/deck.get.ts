import { setResponseHeaders } from 'h3';
import { writePptx } from '../../../../core/exchange/deck/pptx';
import { slidesOf } from '../../../../core/exchange/deck/slides';
import { fileName } from '../../../../core/exchange/package';
import { packFor } from '../../../language/packs';
import { route } from '../../../route';

/** The course as slides with what their speaker says, to be shown and changed elsewhere. */
export default route({
  right: 'reader',
  async run({ event, me, ids, desks }) {
    const { courses, media, audit, now } = desks;
    const { course } = courses.load(ids.course);
    const bytes = await writePptx(slidesOf(course, packFor(course.language)), course.title, (hash) =>
      media.bytesOf(course.id, hash),
    );
    audit.note(now(), me.id, 'export', course.id, 'slides');
    setResponseHeaders(event, {
      'content-type': 'application/vnd.openxmlformats-officedocument.presentationml.presentation',
      'content-disposition': `attachment; filename="${fileName(course.title)}.pptx"`,
    });
    return Buffer.from(bytes);
  },
});
