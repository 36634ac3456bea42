import { route } from '../../../route';

/** Where the sources of a course contradict each other, or themselves. */
export default route({
  right: 'reader',
  run({ ids, desks }) {
    const { drafter, sources, courses } = desks;
    const id = ids.course;
    const { corrections, supporting } = courses.load(id).course;
    return drafter.ask('contradictions', { course: { corrections, supporting }, sources: sources.keys(id) });
  },
});
