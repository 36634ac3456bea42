import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { answering, idOf } from '../../../utils/request';

/** Everybody of the installation, with the part they have in this course, and whether they accepted it. */
export default defineEventHandler((event) =>
  answering(() => {
    const { people } = installation();
    const members = new Map(people.membersOf(idOf(event, 'course')).map((member) => [member.id, member]));
    return people.all().map(({ id, name }) => ({
      id,
      name,
      role: members.get(id)?.role ?? 'none',
      waits: members.has(id) && members.get(id)!.accepted_at === null,
    }));
  }),
);
