import { defineEventHandler } from 'h3';
import { PersonInput } from '../inputs/people';
import { installation } from '../utils/installation';
import { personFrom } from '../utils/new-person';
import { answering, bodyAs, refuse } from '../utils/request';
import { beginSession } from '../utils/session';

/** Makes the first person, who owns the installation; refused once there is anybody. */
export default defineEventHandler((event) =>
  answering(async () => {
    const input = await bodyAs(event, PersonInput);
    const { people, now } = installation();
    if (people.all().length > 0) refuse({ code: 'has-owner' });
    const { person, hashed } = await personFrom(input, 'owner');
    // Asked again: somebody else may have come first while the password was hashed.
    if (people.all().length > 0) refuse({ code: 'has-owner' });
    people.add(person, hashed, now());
    beginSession(event, person);
    return { id: person.id, name: person.name, role: person.role, mustChange: false };
  }),
);
