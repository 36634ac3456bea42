import { QuestionsQuery } from '../../../inputs/query';
import { route } from '../../../route';

/** Questions that the sources hold for a wish, besides those the course has. Nothing of it changes. */
export default route({
  right: 'author',
  query: QuestionsQuery,
  run({ ids, query: wish, desks }) {
    const { courses, sources, drafter } = desks;
    return drafter.ask('questions', {
      course: courses.load(ids.course).course,
      wish,
      sources: sources.keys(ids.course),
    });
  },
});
