import { PersonInput } from '../inputs/people';
import { personFrom } from '../utils/new-person';
import { refuse } from '../utils/request';
import { beginSession } from '../utils/session';
import { route } from '../route';

/** Makes the first person, who owns the installation; refused once there is anybody. */
export default route({
  right: 'anyone',
  body: PersonInput,
  async run({ event, body, desks }) {
    const input = body;
    const { people, now } = desks;
    if (people.all().length > 0) refuse({ code: 'has-owner' });
    const { person, hashed } = await personFrom(input, 'owner');
    // Asked again: somebody else may have come first while the password was hashed.
    if (people.all().length > 0) refuse({ code: 'has-owner' });
    people.add(person, hashed, now());
    beginSession(event, person);
    return { id: person.id, name: person.name, role: person.role, mustChange: false };
  },
});
