import { PersonChangeInput } from '../../inputs/people';
import { isWeakPassword } from '../../rights/logins';
import { hashPassword } from '../../rights/password';
import { refuse } from '../../utils/request';
import { route } from '../../route';

/** Changes somebody's standing, or gives them a password to sign in with once. The last owner stays one. */
export default route({
  right: 'owner',
  body: PersonChangeInput,
  async run({ me, ids, body, desks }) {
    const { role, password } = body;
    const { people, audit, now } = desks;
    const person = people.byId(ids.person) ?? refuse({ code: 'no-such-person' });
    if (role && role !== person.role) {
      // Who is invited and has not come yet could not let anybody in again.
      const others = people.all().filter((each) => each.id !== person.id && each.role === 'owner' && !each.invited);
      if (person.role === 'owner' && others.length === 0) refuse({ code: 'last-owner' });
      people.setStanding(person.id, role);
      audit.note(now(), me.id, 'standing-changed', person.id, role);
    }
    if (password !== undefined) {
      if (isWeakPassword(password, person.login)) refuse({ code: 'weak-password' });
      people.setPassword(person.id, await hashPassword(password), true);
      people.endPasswordLink(person.id);
      people.endSessions(person.id);
      audit.note(now(), me.id, 'password-reset', person.id);
    }
    return {};
  },
});
