import { allLessons } from '../../../../../../core/course/course';
import { fail } from '../../../../../../core/document/problem';
import { RewriteInput } from '../../../../../inputs/course';
import { route } from '../../../../../route';

/** What parts of a lesson's page could be changed to, towards an aim; nothing is changed by asking. */
export default route({
  right: 'reader',
  body: RewriteInput,
  async run({ ids, body, desks }) {
    const { course } = desks.courses.load(ids.course);
    const lesson = allLessons(course).find(({ id }) => id === ids.lesson) ?? fail('gone', undefined, ids.lesson);
    const wanted = new Set(body.blocks);
    const blocks = lesson.blocks.filter(({ id }) => wanted.size === 0 || wanted.has(id));
    const found = await desks.drafter.ask('rewrite', { blocks, aim: body.aim, language: course.language });
    return { looked: blocks.length, known: found !== undefined, proposals: found ?? [] };
  },
});
