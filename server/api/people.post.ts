import { NewPersonInput } from '../inputs/people';
import { sendLink } from '../jobs/mail';
import { route } from '../route';
import { deskAddress } from '../utils/desk-address';
import { personFrom } from '../utils/new-person';
import { refuse } from '../utils/request';

/**
 * Adds a person to the installation: with a first password, to be replaced by their own, or by a letter with a link to
 * choose one.
 */
export default route({
  right: 'owner',
  body: NewPersonInput,
  async run({ event, me, body, desks: { people, jobs, audit, now } }) {
    const { person, hashed } = await personFrom(body, 'member');
    // Asked again: another request may have taken the name while the password was hashed.
    if (people.byLogin(person.login)) refuse({ code: 'name-taken' });
    people.add(person, hashed, now(), hashed !== '');
    audit.note(now(), me.id, 'person-added', person.id);
    if (hashed === '') sendLink(jobs, person, { letter: 'invitation', by: me.id, desk: deskAddress(event) });
    return person;
  },
});
