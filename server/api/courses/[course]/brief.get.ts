import { setResponseHeaders } from 'h3';
import { writeBriefPage } from '../../../../core/exchange/html/brief';
import { route } from '../../../route';

/** The brief as one page, to print and to send. */
export default route({
  right: 'reader',
  run({ event, ids, desks }) {
    const { courses, sources } = desks;
    const { course } = courses.load(ids.course);
    setResponseHeaders(event, {
      'content-type': 'text/html; charset=utf-8',
      // It has its own styles, and no script.
      'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'; frame-ancestors 'none'; sandbox",
    });
    return writeBriefPage(
      course,
      sources.ofCourse(ids.course).map(({ title }) => title),
    );
  },
});
