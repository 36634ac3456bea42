import { route } from '../../../../route';

/** Every answer of a learner, each try of it, with what is right. */
export default route({
  right: 'marker',
  run: ({ ids, desks }) => desks.learners.answers(ids.course, ids.learner),
});
