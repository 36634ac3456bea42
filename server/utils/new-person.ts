import type { Person } from '../database/people';
import { freshId } from '../ids';
import type { NewPersonInput } from '../inputs/people';
import { foldedLogin, isWeakPassword, lookOf, mixesScripts } from '../rights/logins';
import { hashPassword } from '../rights/password';
import { installation } from './installation';
import { refuse } from './request';

/**
 * A person as they were entered, checked as a form cannot: a sign-in name that nobody else's could be taken for, a
 * password that is none to guess.
 */
export async function personFrom(
  { name, login, password, mail }: NewPersonInput,
  role: Person['role'],
): Promise<{ person: Person; hashed: string }> {
  const { people } = installation();
  const folded = foldedLogin(login);
  if (mixesScripts(folded)) refuse({ code: 'mixed-name' });
  const alike = people.all().find((each) => lookOf(each.login) === lookOf(folded));
  if (alike)
    refuse({
      code: foldedLogin(alike.login) === folded ? 'name-taken' : 'name-alike',
      parameters: { login: alike.login },
    });
  if (password !== undefined && isWeakPassword(password, folded)) refuse({ code: 'weak-password' });
  return {
    person: { id: freshId('p'), name: name.trim(), login: folded, role, mail: mail ?? null },
    // Without one nobody signs in until they chose theirs by the link of a letter.
    hashed: password === undefined ? '' : await hashPassword(password),
  };
}
