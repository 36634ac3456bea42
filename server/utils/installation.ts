import { resolve } from 'node:path';
import { courseDesk } from '../desk/courses';
import { historyDesk } from '../desk/history';
import { interviewDesk } from '../desk/interview';
import { handInDesk } from '../desk/hand-ins';
import { handedFiles } from '../desk/handed-files';
import { learnerDesk } from '../desk/learners';
import { linkDesk } from '../desk/links';
import { mediaDesk } from '../desk/media';
import { newsDesk } from '../desk/news';
import { poolDesk } from '../desk/pool';
import { releaseDesk } from '../desk/releases';
import { searchDesk } from '../desk/search';
import { surveyDesk } from '../desk/surveys';
import { staleDesk } from '../desk/stale';
import { sourceDesk } from '../desk/sources';
import { fileStore } from '../files';
import { openDatabase } from '../database/open';
import { auditIn } from '../database/audit';
import { peopleIn } from '../database/people';
import { drafterFor } from '../drafting/drafter';
import { draftingKind } from '../jobs/drafting';
import { mailKind, type LetterSent } from '../jobs/mail';
import { jobQueue } from '../jobs/queue';
import { settingsIn } from '../database/settings';
import { outboxMail } from '../services/mail/outbox';
import { smtpMail } from '../services/mail/smtp';
import { say } from '../words/problems';
import { signInTries } from '../rights/sign-in';
import { ProblemError } from '../../core/document/problem';
import { demoOf } from '../demo';
import { webPages } from '../services/pages';
import { rateLimit, RATES } from '../rights/rates';
import { clearLeftovers } from '../desk/leftovers';

/** Everything a data folder holds, opened once. */
export function openInstallation(folder: string) {
  // What is written is its user's alone.
  process.umask(0o077);
  const db = openDatabase(folder);
  clearLeftovers(folder);
  const now = () => Date.now();
  const files = fileStore(folder);
  const people = peopleIn(db);
  const drafter = drafterFor(folder);
  const news = newsDesk();
  const courses = courseDesk(db, now, (course, revision) => news.tell(course, { kind: 'course', revision }));
  const search = searchDesk(db, folder);
  const sources = sourceDesk(db, folder, files, drafter, now, {
    onAdded: () => search.fill(),
    languageOf: (course) => courses.load(course).course.language,
  });
  // Hosts in closed networks that may be fetched from all the same: host:port, commas between; the demo's own site is
  // added at its start.
  const allowed = new Set(
    (process.env.UPLIFT_FETCH ?? '')
      .split(',')
      .map((host) => host.trim())
      .filter(Boolean),
  );
  const releases = releaseDesk(db, courses, now);
  const handed = handedFiles(db, folder, now);
  const learners = learnerDesk(db, releases, news, now, handed);
  const pool = poolDesk(courses);
  /** Where the demo's own site is, once it stands. */
  const site: { address?: string } = {};
  const pages = webPages(allowed, site);
  const settings = settingsIn(db);
  const outbox = outboxMail(
    db,
    now,
    () => settings.mode('mail'),
    (message) => jobs.undone('mail', { message } satisfies LetterSent, { code: 'mail-came-back' }),
  );
  // A demo writes to nobody outside, whatever is set.
  const demo = demoOf(folder, () => people.all());
  const server = demo.isFolder ? undefined : process.env.UPLIFT_MAIL;
  const mail = server ? smtpMail(server, process.env.UPLIFT_MAIL_FROM ?? 'Uplift Path <uplift@localhost>') : outbox;
  const jobs = jobQueue({
    db,
    news,
    now,
    kinds: { drafting: draftingKind({ db, courses, drafter, now }), mail: mailKind({ db, mail, now }) },
  });
  return {
    db,
    folder,
    files,
    now,
    drafter,
    news,
    courses,
    sources,
    search,
    pool,
    releases,
    history: historyDesk(db, courses),
    media: mediaDesk(db, files, now, sources.inTurn),
    allowed,
    pages,
    mail,
    outbox: mail === outbox ? outbox : undefined,
    settings,
    links: linkDesk(sources, pages),
    interview: interviewDesk(courses, sources),
    stale: staleDesk(db, courses, sources),
    people,
    audit: auditIn(db),
    jobs,
    handed,
    learners,
    handIns: handInDesk(db, learners, handed, now),
    surveys: surveyDesk(db, releases, news, now),
    tries: signInTries(db, now),
    rates: Object.fromEntries(Object.entries(RATES).map(([name, rate]) => [name, rateLimit(now, rate)])) as Record<
      keyof typeof RATES,
      (key: string) => number
    >,
    site,
    demo,
  };
}

export type Installation = ReturnType<typeof openInstallation>;

let opened: Installation | undefined;
/** Why it could not be opened, and when that was tried. */
let refused: { error: ProblemError; at: number } | undefined;
/** Milliseconds until opening is tried again: what was wrong may have been mended. */
const AGAIN = 2000;

/**
 * The installation this server runs on: the folder UPLIFT_DATA names, otherwise "data". Throws what is wrong with it,
 * until that is mended.
 */
export function installation() {
  if (opened) return opened;
  if (refused && Date.now() - refused.at < AGAIN) throw refused.error;
  try {
    opened = openInstallation(dataFolder());
    if (refused) console.log('The data folder can be used again.');
    refused = undefined;
    const desks = opened;
    // Once this call is over: before, the server does not know where its own files lie.
    for (const work of begun) setImmediate(() => work(desks));
    return opened;
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    if (refused?.error.problem.code !== error.problem.code) console.error(say(error.problem));
    refused = { error, at: Date.now() };
    throw error;
  }
}

/** The folder the data lie in. */
export const dataFolder = (): string => resolve(process.env.UPLIFT_DATA ?? 'data');

const begun: ((desks: Installation) => void)[] = [];

/**
 * Does something once the installation stands: at the server's start, or later, when what was wrong with its folder is
 * mended.
 */
export function whenOpened(work: (desks: Installation) => void): void {
  begun.push(work);
  setImmediate(openedOrNot);
}

/** The installation, or nothing while it cannot be opened. */
export function openedOrNot() {
  try {
    return installation();
  } catch (error) {
    if (error instanceof ProblemError) return undefined;
    throw error;
  }
}
