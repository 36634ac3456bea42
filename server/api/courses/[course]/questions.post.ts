import { OwnQuestionsInput } from '../../../inputs/course';
import { route } from '../../../route';

/**
 * Reads questions out of an author's own file, for a lesson. Nothing of the course changes; pictures that come with
 * them are laid by, so that the questions can be looked over with them.
 */
export default route({
  right: 'author',
  body: OwnQuestionsInput,
  carries: 'text',
  async run({ me, ids, body, desks }) {
    const { courses, media, sources } = desks;
    const { language } = courses.load(ids.course).course;
    const bytes = Buffer.from(body.data, 'base64');
    const { media: came, ...given } = await sources.readOwnQuestions(body.name, bytes, body.lesson, language, me.id);
    media.adopt(ids.course, given.checks, came, me.id);
    return given;
  },
});
