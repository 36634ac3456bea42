import { BeginInput } from '../../../inputs/learning';
import { fail } from '../../../../core/document/problem';
import { courseAt, keepKey, learnerAt, mayTake, notTooOften } from '../../../utils/learner';
import { addressOf } from '../../../utils/session';
import { route } from '../../../route';

/** Begins a course; who has begun already stays where they are. */
export default route({
  right: 'anyone',
  body: BeginInput,
  run({ event, me, ids, body, desks }) {
    const { name } = body;
    const { releases, learners, rates } = desks;
    const link = ids.link;
    const course = courseAt(link);
    if (learnerAt(event, link)) return { begun: true };
    const person = me;
    const release = releases.current(course);
    if (!release || mayTake(release, person) !== 'open') fail('not-available');
    if (!person) notTooOften(rates.beginAddress(addressOf(event)), rates.beginLink(link));
    const { key } = learners.begin(course, release, { person, name });
    keepKey(event, link, key);
    return { begun: true };
  },
});
