import { fail } from '../../../../../../core/document/problem';
import { route } from '../../../../../route';

/** What the sources offer whoever says what a module is for by itself. */
export default route({
  right: 'author',
  async run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const { course } = courses.load(ids.course);
    const asked = { course, moduleId: ids.module, sources: sources.keys(ids.course) };
    return (await drafter.ask('moduleOffers', asked)) ?? fail('gone', undefined, ids.module);
  },
});
