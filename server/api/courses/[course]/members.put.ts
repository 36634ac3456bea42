import { defineEventHandler } from 'h3';
import { MemberInput } from '../../../rights/input';
import { installation } from '../../../utils/installation';
import { bodyAs, idOf, personOf, refuse } from '../../../utils/request';

/** Gives somebody a part in a course, or takes it away. The last author stays one. */
export default defineEventHandler(async (event) => {
  const { person, role } = await bodyAs(event, MemberInput);
  const { people, audit, now } = installation();
  const course = idOf(event, 'course');
  if (!people.all().some((each) => each.id === person)) refuse({ code: 'no-such-person' });
  const authors = people.membersOf(course).filter((member) => member.role === 'author');
  if (role !== 'author' && authors.length === 1 && authors[0].id === person) refuse({ code: 'last-author' });
  if (role === 'none') people.removeRole(course, person);
  else people.setRole(course, person, role);
  audit.note(now(), personOf(event).id, 'rights-changed', course, `${person} ${role}`);
  return {};
});
