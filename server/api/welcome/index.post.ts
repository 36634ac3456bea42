import { WelcomeInput } from '../../inputs/people';
import { isWeakPassword } from '../../rights/logins';
import { hashPassword, tokenHash } from '../../rights/password';
import { route } from '../../route';
import { notTooOften } from '../../utils/learner';
import { refuse } from '../../utils/request';
import { addressOf, beginSession } from '../../utils/session';

/** Takes the password that somebody chose by the link of a letter, and lets them in; the link works no more. */
export default route({
  right: 'anyone',
  body: WelcomeInput,
  async run({ event, body: { token, password }, desks: { db, people, audit, rates, now } }) {
    notTooOften(rates.linkAddress(addressOf(event)));
    const owner = () => people.byPasswordLink(tokenHash(token), now()) ?? refuse({ code: 'link-over' });
    if (isWeakPassword(password, owner().login)) refuse({ code: 'weak-password' });
    const hashed = await hashPassword(password);
    // Asked again: the link may have been used while the password was hashed.
    const person = owner();
    db.transaction(() => {
      people.endPasswordLink(person.id);
      people.setPassword(person.id, hashed, false);
      // Whoever was in by the old password is out.
      people.endSessions(person.id);
    })();
    audit.note(now(), person.id, 'password-changed', undefined, 'by the link of a letter');
    beginSession(event, person);
    return { id: person.id, name: person.name, role: person.role, mustChange: false };
  },
});
