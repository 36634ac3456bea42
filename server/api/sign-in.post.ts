import { checkPassword } from '../rights/password';
import { SignInInput } from '../inputs/people';
import { foldedLogin } from '../rights/logins';
import { refuse } from '../utils/request';
import { addressOf, beginSession } from '../utils/session';
import { route } from '../route';

/** Signs in by name and password. A try counts before anything is checked. */
export default route({
  right: 'anyone',
  body: SignInInput,
  async run({ event, body, desks }) {
    const { login, password } = body;
    const { people, tries, audit, now } = desks;
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
  },
});
