import { defineEventHandler } from 'h3';
import { freshId } from '../desk/courses';
import { PersonInput } from '../rights/input';
import { hashPassword } from '../rights/password';
import { installation } from '../utils/installation';
import { bodyAs, refuse } from '../utils/request';
import { beginSession } from '../utils/session';

/** Makes the first person, who owns the installation; refused once there is anybody. */
export default defineEventHandler(async (event) => {
  const { name, login, password } = await bodyAs(event, PersonInput);
  const hashed = await hashPassword(password);
  const { people, now } = installation();
  if (people.all().length > 0) refuse({ code: 'has-owner' });
  const person = { id: freshId('p'), name, login, role: 'owner' as const };
  people.add(person, hashed, now());
  beginSession(event, person);
  return { id: person.id, name, role: person.role };
});
