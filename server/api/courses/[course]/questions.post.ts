import { OwnQuestionsInput } from '../../../inputs/course';
import { route } from '../../../route';

/** Reads questions out of an author's own file, for a lesson. Nothing of the course changes. */
export default route({
  right: 'author',
  body: OwnQuestionsInput,
  carries: 'text',
  run({ me, ids, body, desks }) {
    const { courses, sources } = desks;
    const { language } = courses.load(ids.course).course;
    return sources.readOwnQuestions(body.name, Buffer.from(body.data, 'base64'), body.lesson, language, me.id);
  },
});
