import { AnswerQuery } from '../../../../../inputs/query';
import { route } from '../../../../../route';

/** Answers that could stand in place of a wrong one. Nothing of the course changes. */
export default route({
  right: 'author',
  query: AnswerQuery,
  run({ ids, query, desks }) {
    const { courses, sources, drafter } = desks;
    return drafter.ask('answers', {
      course: courses.load(ids.course).course,
      check: ids.check,
      option: query.option,
      sources: sources.keys(ids.course),
    });
  },
});
