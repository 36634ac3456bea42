import { LearnerRemovalInput } from '../../../../inputs/people';
import { route } from '../../../../route';

/** Takes a learner out with all they did; `?what=name`: only their name and the way back in. */
export default route({
  right: 'author',
  query: LearnerRemovalInput,
  run({ query, me, ids, desks }) {
    const { learners, audit, now } = desks;
    const [course, person] = [ids.course, me.id];
    const whole = query.what !== 'name';
    const number = learners.remove(course, ids.learner, whole);
    audit.note(now(), person, whole ? 'learner-removed' : 'learner-unnamed', course, `${number} events`);
    return {};
  },
});
