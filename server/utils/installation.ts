import { existsSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { courseDesk } from '../desk/courses';
import { sourceDesk } from '../desk/sources';
import { openDatabase } from '../database/open';
import { auditIn, peopleIn } from '../database/people';
import { drafterFor } from '../drafting/drafter';
import { attemptLimit } from '../rights/password';

/** Everything a data folder holds, opened once. */
export function openInstallation(folder: string) {
  const db = openDatabase(folder);
  const now = () => Date.now();
  const drafter = drafterFor(folder);
  return {
    db, folder, now, drafter,
    people: peopleIn(db), audit: auditIn(db), courses: courseDesk(db, now), sources: sourceDesk(db, folder, drafter, now),
    attempts: attemptLimit(now),
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
