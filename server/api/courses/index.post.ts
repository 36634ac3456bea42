import { NewCourseInput } from '../../inputs/course';
import { briefFrom } from '../../../core/brief/given';
import { route } from '../../route';

/** Makes an empty course. */
export default route({
  right: 'signed-in',
  body: NewCourseInput,
  run({ me, body, desks }) {
    const { title, language } = body;
    const { courses, audit, now } = desks;
    const person = me;
    const id = courses.create(title, briefFrom({}, language ?? 'en'), person.id);
    audit.note(now(), person.id, 'course-made', id);
    return { id };
  },
});
