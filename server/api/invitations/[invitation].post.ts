import { AcceptInput } from '../../inputs/people';
import { refuse } from '../../utils/request';
import { route } from '../../route';

/** Accepts or declines a part in a course that one is offered. */
export default route({
  right: 'signed-in',
  body: AcceptInput,
  run({ me, ids, body, desks }) {
    const { accept } = body;
    const { people, audit, now } = desks;
    const [course, { id }] = [ids.invitation, me];
    if (!people.invitations(id).some((row) => row.course_id === course)) refuse({ code: 'no-such-course' });
    if (accept) people.accept(course, id, now());
    else people.removeRole(course, id);
    audit.note(now(), id, accept ? 'rights-accepted' : 'rights-left', course);
    return {};
  },
});
