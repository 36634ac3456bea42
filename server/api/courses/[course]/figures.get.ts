import { route } from '../../../route';

/** Reading grade of each lesson, and the minutes a blank one is planned for. */
export default route({
  right: 'reader',
  run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    const id = ids.course;
    return drafter.ask('figures', { course: courses.load(id).course, sources: sources.keys(id) });
  },
});
