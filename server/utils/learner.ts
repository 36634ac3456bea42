import { deleteCookie, getCookie, setCookie, type H3Event } from 'h3';
import { fail } from '../../core/document/problem';
import type { LearnerRow, ReleaseRow } from '../database/releases';
import type { SurveyBody } from '../../core/blocks/survey/form';
import type { Person } from '../database/people';
import { personOf } from '../route';
import { installation } from './installation';
import { isHttps } from './session';

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
  const person = personOf(event);
  const key = getCookie(event, cookieOf(link));
  return (person && learners.byPerson(course, person.id)) ?? (key ? learners.byKey(course, key) : undefined);
}

const placeOf = (event: H3Event, link: string) =>
  ({ httpOnly: true, sameSite: 'lax', secure: isHttps(event), path: `/api/learn/${link}` }) as const;

/** Keeps a learner's key in the browser, for this course only. */
export function keepKey(event: H3Event, link: string, key: string): void {
  setCookie(event, cookieOf(link), key, { ...placeOf(event, link), maxAge: LASTS });
}

/** Forgets a learner's key in the browser: whoever has their address can come back by it. */
export function forgetKey(event: H3Event, link: string): void {
  deleteCookie(event, cookieOf(link), placeOf(event, link));
}

/** Refuses what is done too often, with how long to wait. */
export function notTooOften(...waits: number[]): void {
  const wait = Math.max(...waits);
  if (wait > 0) fail('too-often', { seconds: Math.ceil(wait / 1000) });
}

/** Whether a release may be taken by somebody: `open`, or what is missing. */
export function mayTake(
  release: ReleaseRow | undefined,
  person: Person | undefined,
): 'open' | 'sign-in' | 'closed' | 'withdrawn' {
  if (release && release.withdrawn_at !== null) return 'withdrawn';
  if (!release || release.access === 'nobody') return 'closed';
  return release.access === 'people' && !person ? 'sign-in' : 'open';
}

/** The learner at a link who may go on; throws `not-begun`, `not-available`, `withdrawn`. */
export function learnerWhoMay(event: H3Event, link: string): LearnerRow {
  const learner = learnerAt(event, link) ?? fail('not-begun');
  const release = installation().releases.get(learner.course_id, learner.release_id);
  const may = mayTake(release, personOf(event));
  if (may !== 'open') fail(may === 'withdrawn' ? 'withdrawn' : 'not-available');
  return learner;
}

/**
 * Where a feedback form is filled in: the release that a learner is on, or, where that does not have it, the one that
 * can be had now; and whether it can be. Throws `no-such-link`, `not-available`, `no-such-form`.
 */
export function formAt(
  event: H3Event,
  link: string,
  block: string,
): { release: ReleaseRow; body: SurveyBody; state: 'open' | 'sign-in' | 'closed'; learner?: LearnerRow } {
  const { releases, surveys } = installation();
  const course = courseAt(link);
  const learner = learnerAt(event, link);
  const own = learner && releases.get(course, learner.release_id);
  const all = [own, releases.current(course)].filter((each) => each !== undefined);
  if (all.length === 0) fail('not-available');
  for (const release of all) {
    const body = surveys.formIn(release, block);
    const may = mayTake(release, personOf(event));
    if (body) return { release, body, state: may === 'withdrawn' ? 'closed' : may, ...(learner && { learner }) };
  }
  return fail('no-such-form', undefined, block);
}
