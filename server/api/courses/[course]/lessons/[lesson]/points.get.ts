import { fail } from '../../../../../../core/document/problem';
import { route } from '../../../../../route';

/** What the sources offer whoever settles the points of a lesson, with the passages that all of them stand on. */
export default route({
  right: 'reader',
  async run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const { course } = courses.load(ids.course);
    const asked = { course, lessonId: ids.lesson, sources: sources.keys(ids.course) };
    const offers = (await drafter.ask('points', asked)) ?? fail('gone', undefined, ids.lesson);
    const points = course.modules.flatMap(({ lessons }) => lessons).find(({ id }) => id === ids.lesson)!.points;
    const wanted = [...offers.offered, ...(points ?? [])].flatMap(({ passages }) => passages);
    return {
      ...offers,
      passages: sources.passages(ids.course, [...new Set([...wanted, ...Object.values(offers.fitting).flat()])], 0),
    };
  },
});
