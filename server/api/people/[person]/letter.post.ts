import { LetterInput } from '../../../inputs/people';
import { sendLink } from '../../../jobs/mail';
import { route } from '../../../route';
import { deskAddress } from '../../../utils/desk-address';
import { refuse } from '../../../utils/request';

/** Sends somebody a link to choose a password: to whom they are invited, or a new one where they have one. */
export default route({
  right: 'owner',
  body: LetterInput,
  run({ event, me, ids, body, desks: { people, jobs, audit, now } }) {
    const person = people.byId(ids.person) ?? refuse({ code: 'no-such-person' });
    if (body.mail) people.setMail(person.id, body.mail);
    else if (!person.mail) refuse({ code: 'no-mail' });
    audit.note(now(), me.id, 'letter-sent', person.id);
    const letter = person.password === '' ? 'invitation' : 'new-password';
    return { job: sendLink(jobs, person, { letter, by: me.id, desk: deskAddress(event) }) };
  },
});
