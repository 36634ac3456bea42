import { defineEventHandler } from 'h3';
import { freshId } from '../desk/courses';
import { PersonInput } from '../rights/input';
import { hashPassword } from '../rights/password';
import { installation } from '../utils/installation';
import { bodyAs, personOf, refuse } from '../utils/request';

/** Adds a person to the installation. */
export default defineEventHandler(async (event) => {
  const { name, login, password } = await bodyAs(event, PersonInput);
  const { people, audit, now } = installation();
  if (people.byLogin(login)) refuse({ code: 'name-taken' });
  const person = { id: freshId('p'), name, login, role: 'member' as const };
  people.add(person, await hashPassword(password), now());
  audit.note(now(), personOf(event).id, 'person-added', person.id);
  return person;
});
