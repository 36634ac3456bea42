import { LinkTokenInput } from '../../inputs/people';
import { tokenHash } from '../../rights/password';
import { route } from '../../route';
import { notTooOften } from '../../utils/learner';
import { refuse } from '../../utils/request';
import { addressOf } from '../../utils/session';

/** Whose the link of a letter is, as long as it works. */
export default route({
  right: 'anyone',
  body: LinkTokenInput,
  run({ event, body, desks: { people, rates, now } }) {
    notTooOften(rates.linkAddress(addressOf(event)));
    const person = people.byPasswordLink(tokenHash(body.token), now()) ?? refuse({ code: 'link-over' });
    return { name: person.name, login: person.login };
  },
});
