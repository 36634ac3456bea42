import { route } from '../../../route';

/** Everybody of the installation, with the part they have in this course, and whether they accepted it. */
export default route({
  right: 'author',
  run({ ids, desks }) {
    const { people } = desks;
    const members = new Map(people.membersOf(ids.course).map((member) => [member.id, member]));
    return people.all().map(({ id, name }) => ({
      id,
      name,
      role: members.get(id)?.role ?? ('none' as const),
      waits: members.has(id) && members.get(id)!.accepted_at === null,
    }));
  },
});
