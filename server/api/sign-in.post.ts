import { defineEventHandler } from 'h3';
import { checkPassword } from '../rights/password';
import { SignInInput } from '../inputs/people';
import { foldedLogin } from '../rights/logins';
import { installation } from '../utils/installation';
import { answering, bodyAs, refuse } from '../utils/request';
import { addressOf, beginSession } from '../utils/session';

/** Signs in by name and password. A try counts before anything is checked. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { login, password } = await bodyAs(event, SignInInput);
    const { people, tries, audit, now } = installation();
    const person = await tries(foldedLogin(login), addressOf(event), async () => {
      const found = people.byLogin(foldedLogin(login)) ?? people.byLogin(login);
      return (await checkPassword(password, found?.password)) ? found : undefined;
    });
    if (!person) {
      audit.note(now(), null, 'sign-in-refused', undefined, `${login} ${addressOf(event)}`);
      return refuse({ code: 'wrong-sign-in' });
    }
    beginSession(event, person);
    return { id: person.id, name: person.name, role: person.role, mustChange: person.must_change === 1 };
  }),
);
