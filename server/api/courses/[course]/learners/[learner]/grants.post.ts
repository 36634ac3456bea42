import { GrantInput } from '../../../../../inputs/learning';
import { route } from '../../../../../route';

/** Grants a learner more time or more tries at a quiz; gives all their answers as they count now. */
export default route({
  right: 'author',
  body: GrantInput,
  run({ body, me, ids, desks }) {
    const { learners, audit, now } = desks;
    learners.grant(ids.course, ids.learner, body);
    const { minutes, tries } = body;
    const what = [minutes ? `${minutes} min` : '', tries ? `${tries} tries` : ''].filter(Boolean).join(', ');
    audit.note(now(), me.id, 'quiz-granted', ids.course, what);
    return learners.answers(ids.course, ids.learner);
  },
});
