import { MarkInput } from '../../../../../inputs/learning';
import { route } from '../../../../../route';

/** A person's mark for a learner's last answer to a check; gives all their answers as they count now. */
export default route({
  right: 'marker',
  body: MarkInput,
  run({ body, me, ids, desks }) {
    const { learners, audit, now } = desks;
    learners.mark(ids.course, ids.learner, body, me.id);
    audit.note(now(), me.id, 'answer-marked', ids.course, `${Math.round(body.score * 100)} %`);
    return learners.answers(ids.course, ids.learner);
  },
});
