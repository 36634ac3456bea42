import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { courseDesk } from '../desk/courses';
import { interviewDesk } from '../desk/interview';
import { learnerDesk } from '../desk/learners';
import { linkDesk } from '../desk/links';
import { newsDesk } from '../desk/news';
import { releaseDesk } from '../desk/releases';
import { searchDesk } from '../desk/search';
import { staleDesk } from '../desk/stale';
import { sourceDesk } from '../desk/sources';
import { openDatabase } from '../database/open';
import { auditIn, peopleIn } from '../database/people';
import { drafterFor } from '../drafting/drafter';
import { draftJobs } from '../jobs/drafting';
import { attemptLimit } from '../rights/password';

/** Everything a data folder holds, opened once. */
export function openInstallation(folder: string) {
  const db = openDatabase(folder);
  const now = () => Date.now();
  const drafter = drafterFor(folder);
  const news = newsDesk();
  const courses = courseDesk(db, now, (course, revision) => news.tell(course, { kind: 'course', revision }));
  const search = searchDesk(db, folder);
  const sources = sourceDesk(db, folder, drafter, now, { onAdded: () => search.fill(), languageOf: (course) => courses.load(course).course.language });
  // Hosts in closed networks that may be fetched from all the same: host:port, commas between; the demo's own site is added at its start.
  const allowed = new Set((process.env.UPLIFT_FETCH ?? '').split(',').map((host) => host.trim()).filter(Boolean));
  const releases = releaseDesk(db, courses, now);
  return {
    db, folder, now, drafter, news, courses, sources, search, releases, allowed, links: linkDesk(sources, allowed), interview: interviewDesk(courses, sources), stale: staleDesk(db, courses, sources),
    people: peopleIn(db), audit: auditIn(db), jobs: draftJobs({ db, courses, sources, drafter, news, now }), learners: learnerDesk(db, releases, news, now),
    attempts: attemptLimit(now),
    /** Where the demo's own site is, once it stands. */
    site: {} as { address?: string },
    /** People may be taken on by one click in a demo folder only. */
    isDemo: existsSync(join(folder, 'demo')),
  };
}

let opened: ReturnType<typeof openInstallation> | undefined;

/** The installation this server runs on: the folder UPLIFT_DATA names, otherwise "data". */
export function installation() {
  opened ??= openInstallation(resolve(process.env.UPLIFT_DATA ?? 'data'));
  return opened;
}
