import { defineEventHandler } from 'h3';
import { ReturnInput } from '../../../inputs/learning';
import { fail } from '../../../../core/document/problem';
import { installation } from '../../../utils/installation';
import { courseAt, keepKey, learnerAt, notTooOften } from '../../../utils/learner';
import { answering, bodyAs, idOf } from '../../../utils/request';
import { addressOf } from '../../../utils/session';

/**
 * Comes back on another device, by the address that was copied where the course was begun. Whose place it is is said
 * first; it is taken when that is confirmed.
 */
export default defineEventHandler((event) =>
  answering(async () => {
    const { key, take } = await bodyAs(event, ReturnInput);
    const { learners, rates } = installation();
    const link = idOf(event, 'link');
    notTooOften(rates.returnAddress(addressOf(event)));
    const found = learners.byKey(courseAt(link), key) ?? fail('wrong-key');
    const here = learnerAt(event, link)?.id === found.id;
    if (take && !here) keepKey(event, link, key);
    return { name: found.name, here };
  }),
);
