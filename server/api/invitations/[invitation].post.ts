import { defineEventHandler } from 'h3';
import { AcceptInput } from '../../inputs/people';
import { installation } from '../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../utils/request';

/** Accepts or declines a part in a course that one is offered. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { accept } = await bodyAs(event, AcceptInput);
    const { people, audit, now } = installation();
    const [course, { id }] = [idOf(event, 'invitation'), personOf(event)];
    if (!people.invitations(id).some((row) => row.course_id === course)) refuse({ code: 'no-such-course' });
    if (accept) people.accept(course, id, now());
    else people.removeRole(course, id);
    audit.note(now(), id, accept ? 'rights-accepted' : 'rights-left', course);
    return {};
  }),
);
