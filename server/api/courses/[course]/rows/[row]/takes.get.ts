import { fail } from '../../../../../../core/document/problem';
import { route } from '../../../../../route';

/** Other takes of a row of the outline, module or lesson, that differ from what stands. */
export default route({
  right: 'author',
  async run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const { course } = courses.load(ids.course);
    const asked = { course, row: ids.row, sources: sources.keys(ids.course) };
    return (await drafter.ask('rowTakes', asked)) ?? fail('gone', undefined, ids.row);
  },
});
