import { usesOf } from '../../../../core/course/uses';
import { TypedQuery } from '../../../inputs/query';
import { route } from '../../../route';

/** Searches the sources of a course; each passage found says which lessons stand on it. */
export default route({
  right: 'reader',
  query: TypedQuery,
  async run({ query, ids, desks }) {
    const { sources, search, courses } = desks;
    const id = ids.course;
    const result = await search.find(query.typed, sources.keys(id));
    const uses = usesOf(courses.load(id).course);
    return {
      ...result,
      found: result.found.map((each) => ({
        ...each,
        lessons: [...new Set(uses.get(each.id)?.map((use) => use.lesson))],
      })),
    };
  },
});
