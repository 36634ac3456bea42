import { route } from '../../../route';

/** What the sources offer whoever writes the brief: how long, for whom, for what. */
export default route({
  right: 'author',
  run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    return drafter.ask('offers', { course: courses.load(ids.course).course, sources: sources.keys(ids.course) });
  },
});
