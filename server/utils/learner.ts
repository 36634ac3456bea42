import { getCookie, setCookie, type H3Event } from 'h3';
import { fail } from '../../core/course/problem';
import type { LearnerRow, ReleaseRow } from '../database/releases';
import type { Person } from '../database/people';
import { installation } from './installation';

/** A learner comes back within this time without their address: seconds. */
const LASTS = 400 * 86_400;
const cookieOf = (link: string) => `learner-${link}`;

/** The course at a link; throws `no-such-link`. */
export function courseAt(link: string): string {
  return installation().releases.courseOf(link) ?? fail('no-such-link');
}

/** Who learns on this browser: the place of the person signed in, or the one whose key the browser keeps. */
export function learnerAt(event: H3Event, link: string): LearnerRow | undefined {
  const { learners } = installation();
  const course = courseAt(link);
  const person = event.context.person as Person | undefined;
  const key = getCookie(event, cookieOf(link));
  return (person && learners.byPerson(course, person.id)) ?? (key ? learners.byKey(course, key) : undefined);
}

/** Keeps a learner's key in the browser, for this course only. */
export function keepKey(event: H3Event, link: string, key: string): void {
  setCookie(event, cookieOf(link), key, { httpOnly: true, sameSite: 'lax', path: `/api/learn/${link}`, maxAge: LASTS });
}

/** Whether a release may be taken by somebody: `open`, or what is missing. */
export function mayTake(release: ReleaseRow | undefined, person: Person | undefined): 'open' | 'sign-in' | 'closed' {
  if (!release || release.withdrawn_at !== null || release.access === 'nobody') return 'closed';
  return release.access === 'people' && !person ? 'sign-in' : 'open';
}

/** The learner at a link who may go on; throws `not-begun`, `not-available`. */
export function learnerWhoMay(event: H3Event, link: string): LearnerRow {
  const learner = learnerAt(event, link) ?? fail('not-begun');
  const release = installation().releases.get(learner.course_id, learner.release_id);
  if (mayTake(release, event.context.person as Person | undefined) !== 'open') fail('not-available');
  return learner;
}
