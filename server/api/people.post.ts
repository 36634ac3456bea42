import { defineEventHandler } from 'h3';
import { PersonInput } from '../inputs/people';
import { installation } from '../utils/installation';
import { personFrom } from '../utils/new-person';
import { answering, bodyAs, personOf, refuse } from '../utils/request';

/** Adds a person to the installation; their first password is to be replaced by their own. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { people, audit, now } = installation();
    const { person, hashed } = await personFrom(await bodyAs(event, PersonInput), 'member');
    // Asked again: another request may have taken the name while the password was hashed.
    if (people.byLogin(person.login)) refuse({ code: 'name-taken' });
    people.add(person, hashed, now(), true);
    audit.note(now(), personOf(event).id, 'person-added', person.id);
    return person;
  }),
);
