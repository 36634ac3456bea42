import { PasswordInput } from '../../inputs/people';
import { isWeakPassword } from '../../rights/logins';
import { checkPassword, hashPassword } from '../../rights/password';
import { refuse } from '../../utils/request';
import { addressOf } from '../../utils/session';
import { route, sessionOf } from '../../route';

/** Changes one's own password. Everywhere else one has to sign in anew. */
export default route({
  right: 'signed-in',
  body: PasswordInput,
  early: true,
  async run({ event, me, body, desks }) {
    const { old, fresh } = body;
    const { people, tries, audit, now } = desks;
    const person = people.byId(me.id) ?? refuse({ code: 'no-such-person' });
    // Tried as often as a sign-in, no more: a window left open tells nobody the password.
    const right = await tries(`own ${person.login}`, addressOf(event), async () =>
      (await checkPassword(old, person.password)) ? true : undefined,
    );
    if (!right) refuse({ code: 'wrong-password' });
    if (fresh === old) refuse({ code: 'same-password' });
    if (isWeakPassword(fresh, person.login)) refuse({ code: 'weak-password' });
    people.setPassword(person.id, await hashPassword(fresh), false);
    people.endSessions(person.id, sessionOf(event));
    audit.note(now(), person.id, 'password-changed');
    return {};
  },
});
