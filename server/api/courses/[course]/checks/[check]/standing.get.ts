import { route } from '../../../../../route';

/** Sentences of the sources that a question could stand on. Nothing of the course changes. */
export default route({
  right: 'author',
  run({ ids, desks }) {
    const { courses, sources, drafter } = desks;
    return drafter.ask('standing', {
      course: courses.load(ids.course).course,
      check: ids.check,
      sources: sources.keys(ids.course),
    });
  },
});
