import { defineEventHandler } from 'h3';
import { installation } from '../../../utils/installation';
import { idOf } from '../../../utils/request';

/** Everybody of the installation, with the part they have in this course. */
export default defineEventHandler((event) => {
  const { people } = installation();
  const roles = new Map(people.membersOf(idOf(event, 'course')).map((member) => [member.id, member.role]));
  return people.all().map(({ id, name }) => ({ id, name, role: roles.get(id) ?? 'none' }));
});
