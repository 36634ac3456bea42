import { refuse } from '../../../utils/request';
import { route } from '../../../route';

/** Leaves a course. The last author stays one. */
export default route({
  right: 'reader',
  run({ me, ids, desks }) {
    const { people, audit, now } = desks;
    const [course, { id }] = [ids.course, me];
    const authors = people
      .membersOf(course)
      .filter((member) => member.role === 'author' && member.accepted_at !== null);
    if (authors.length === 1 && authors[0].id === id) refuse({ code: 'last-author' });
    people.removeRole(course, id);
    audit.note(now(), id, 'rights-left', course);
    return {};
  },
});
