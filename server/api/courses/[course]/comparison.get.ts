import { ComparisonQuery } from '../../../inputs/query';
import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Two sources of a course side by side. */
export default route({
  right: 'reader',
  query: ComparisonQuery,
  run({ query, ids, desks }) {
    const { drafter, sources, courses } = desks;
    const id = ids.course;
    const keys = sources.keys(id);
    const [left, right] = [query.first, query.second].map((wanted) => keys.find((key) => key.id === wanted));
    if (!left || !right || left === right) refuse({ code: 'two-sources' });
    return drafter.ask('compare', { course: courses.load(id).course, sources: [left, right] });
  },
});
