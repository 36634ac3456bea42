import { MemberInput } from '../../../inputs/people';
import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Offers somebody a part in a course, changes the one they have, or takes it away. The last author stays one. */
export default route({
  right: 'author',
  body: MemberInput,
  run({ me, ids, body, desks }) {
    const { person, role } = body;
    const { people, audit, now } = desks;
    const course = ids.course;
    const by = me.id;
    if (!people.byId(person)) refuse({ code: 'no-such-person' });
    const members = people.membersOf(course);
    const authors = members.filter((member) => member.role === 'author' && member.accepted_at !== null);
    if (role !== 'author' && authors.length === 1 && authors[0].id === person) refuse({ code: 'last-author' });
    const has = members.some((member) => member.id === person && member.accepted_at !== null);
    if (role === 'none') people.removeRole(course, person);
    else people.invite(course, person, role, by);
    audit.note(now(), by, has || role === 'none' ? 'rights-changed' : 'rights-offered', course, `${person} ${role}`);
    return {};
  },
});
