import { defineEventHandler } from 'h3';
import { PersonChangeInput } from '../../inputs/people';
import { isWeakPassword } from '../../rights/logins';
import { hashPassword } from '../../rights/password';
import { installation } from '../../utils/installation';
import { answering, bodyAs, idOf, personOf, refuse } from '../../utils/request';

/** Changes somebody's standing, or gives them a password to sign in with once. The last owner stays one. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { role, password } = await bodyAs(event, PersonChangeInput);
    const { people, audit, now } = installation();
    const person = people.byId(idOf(event, 'person')) ?? refuse({ code: 'no-such-person' });
    if (role && role !== person.role) {
      if (person.role === 'owner' && people.all().filter((each) => each.role === 'owner').length === 1)
        refuse({ code: 'last-owner' });
      people.setStanding(person.id, role);
      audit.note(now(), personOf(event).id, 'standing-changed', person.id, role);
    }
    if (password !== undefined) {
      if (isWeakPassword(password, person.login)) refuse({ code: 'weak-password' });
      people.setPassword(person.id, await hashPassword(password), true);
      people.endSessions(person.id);
      audit.note(now(), personOf(event).id, 'password-reset', person.id);
    }
    return {};
  }),
);
