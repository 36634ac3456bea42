import { defineEventHandler } from 'h3';
import { PasswordInput } from '../../inputs/people';
import { isWeakPassword } from '../../rights/logins';
import { checkPassword, hashPassword } from '../../rights/password';
import { installation } from '../../utils/installation';
import { answering, bodyAs, personOf, refuse } from '../../utils/request';
import { addressOf } from '../../utils/session';

/** Changes one's own password. Everywhere else one has to sign in anew. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { old, fresh } = await bodyAs(event, PasswordInput);
    const { people, tries, audit, now } = installation();
    const person = people.byId(personOf(event).id) ?? refuse({ code: 'no-such-person' });
    // Tried as often as a sign-in, no more: a window left open tells nobody the password.
    const right = await tries(`own ${person.login}`, addressOf(event), async () =>
      (await checkPassword(old, person.password)) ? true : undefined,
    );
    if (!right) refuse({ code: 'wrong-password' });
    if (fresh === old) refuse({ code: 'same-password' });
    if (isWeakPassword(fresh, person.login)) refuse({ code: 'weak-password' });
    people.setPassword(person.id, await hashPassword(fresh), false);
    people.endSessions(person.id, event.context.session as string);
    audit.note(now(), person.id, 'password-changed');
    return {};
  }),
);
