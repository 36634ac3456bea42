import { defineEventHandler } from 'h3';
import { BeginInput } from '../../../inputs/learning';
import { fail } from '../../../../core/document/problem';
import type { Person } from '../../../database/people';
import { installation } from '../../../utils/installation';
import { courseAt, keepKey, learnerAt, mayTake, notTooOften } from '../../../utils/learner';
import { answering, bodyAs, idOf } from '../../../utils/request';
import { addressOf } from '../../../utils/session';

/** Begins a course; who has begun already stays where they are. */
export default defineEventHandler((event) =>
  answering(async () => {
    const { name } = await bodyAs(event, BeginInput);
    const { releases, learners, rates } = installation();
    const link = idOf(event, 'link');
    const course = courseAt(link);
    if (learnerAt(event, link)) return { begun: true };
    const person = event.context.person as Person | undefined;
    const release = releases.current(course);
    if (!release || mayTake(release, person) !== 'open') fail('not-available');
    if (!person) notTooOften(rates.beginAddress(addressOf(event)), rates.beginLink(link));
    const { key } = learners.begin(course, release, { person, name });
    keepKey(event, link, key);
    return { begun: true };
  }),
);
