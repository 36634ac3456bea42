import { defineEventHandler } from 'h3';
import { NewCourseInput } from '../../inputs/course';
import { briefFrom } from '../../../core/brief/given';
import { installation } from '../../utils/installation';
import { answering, bodyAs, personOf } from '../../utils/request';

/** Makes an empty course. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { title, language } = await bodyAs(event, NewCourseInput);
    const { courses, audit, now } = installation();
    const person = personOf(event);
    const id = courses.create(title, briefFrom({}, language ?? 'en'), person.id);
    audit.note(now(), person.id, 'course-made', id);
    return { id };
  }),
);
