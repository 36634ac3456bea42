import { defineEventHandler } from 'h3';
import { checkPassword } from '../rights/password';
import { SignInInput } from '../rights/input';
import { installation } from '../utils/installation';
import { bodyAs, refuse } from '../utils/request';
import { addressOf, beginSession } from '../utils/session';

/** Signs in by name and password; tries are counted by name and by address. */
export default defineEventHandler(async (event) => {
  const { login, password } = await bodyAs(event, SignInInput);
  const { people, attempts, audit, now } = installation();
  const keys = [`login ${login.toLowerCase()}`, `address ${addressOf(event)}`];
  if (!keys.every((key) => attempts.mayTry(key))) refuse({ code: 'too-many-tries' });
  const found = people.byLogin(login);
  if (!(await checkPassword(password, found?.password)) || !found) {
    keys.forEach((key) => attempts.failed(key));
    audit.note(now(), null, 'sign-in-refused', login);
    refuse({ code: 'wrong-sign-in' });
  }
  keys.forEach((key) => attempts.succeeded(key));
  beginSession(event, found);
  return { id: found.id, name: found.name, role: found.role };
});
