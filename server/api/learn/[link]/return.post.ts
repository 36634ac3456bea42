import { ReturnInput } from '../../../inputs/learning';
import { fail } from '../../../../core/document/problem';
import { courseAt, keepKey, learnerAt, notTooOften } from '../../../utils/learner';
import { addressOf } from '../../../utils/session';
import { route } from '../../../route';

/**
 * Comes back on another device, by the address that was copied where the course was begun. Whose place it is is said
 * first; it is taken when that is confirmed.
 */
export default route({
  right: 'anyone',
  body: ReturnInput,
  run({ event, ids, body, desks }) {
    const { key, take } = body;
    const { learners, rates } = desks;
    const link = ids.link;
    notTooOften(rates.returnAddress(addressOf(event)));
    const found = learners.byKey(courseAt(link), key) ?? fail('wrong-key');
    const here = learnerAt(event, link)?.id === found.id;
    if (take && !here) keepKey(event, link, key);
    return { name: found.name, here };
  },
});
