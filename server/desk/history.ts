import { blockIdsOf, pageAt, type PageThen } from '../../core/course/page-history';
import { replayAll, type Operation } from '../../core/course/operations';
import { fail } from '../../core/document/problem';
import { coursesIn } from '../database/courses';
import type { Db } from '../database/open';
import type { CourseDesk } from './courses';

/** Changes of one person with less between them are one moment. */
const TOGETHER = 10 * 60_000;
const MOST = 80;

/** A time at which somebody had changed a lesson; the course as it stood then is that of its revision. */
export interface Moment {
  revision: number;
  at: number;
  by: string;
  /** It was drafted. */
  drafted?: true;
  /** Before anybody changed it, as it came into the course. */
  came?: true;
  /** What was done, each thing once. */
  what: string[];
}

/** Whether a change brought a lesson into the course, alone or with its module. */
const makes = (operation: Operation, lessonId: string): boolean =>
  operation.type === 'insert' &&
  (operation.node.id === lessonId ||
    ('lessons' in operation.node && operation.node.lessons.some(({ id }) => id === lessonId)));

/** What became of a lesson, and how it stood at any time: read out of the course's log. */
export function historyDesk(db: Db, courses: CourseDesk) {
  const log = coursesIn(db);
  return {
    /** The moments at which a lesson was changed, newest first. */
    moments(courseId: string, lessonId: string): Moment[] {
      const { course } = courses.load(courseId);
      const named = (nodes: readonly string[]) => log.changesTouching(courseId, nodes, lessonId);
      // First what names the lesson: that tells which parts it ever had.
      const parts = blockIdsOf(
        course,
        lessonId,
        // What was taken out of it says so in what would put it back.
        named([lessonId]).flatMap(({ operation, inverse }) => [operation, inverse]),
      );
      const moments: Moment[] = [];
      const changes = named([lessonId, ...parts]);
      const [first] = changes;
      // How it stood before: not for one that the first change made.
      if (first && !makes(first.operation, lessonId))
        moments.push({ revision: first.revision - 1, at: first.made_at, by: '', came: true, what: [] });
      for (const { revision, made_at, who, job, what } of changes) {
        const by = who ?? '';
        const last = moments.at(-1);
        const same =
          last !== undefined &&
          !last.came &&
          last.by === by &&
          made_at - last.at < TOGETHER &&
          Boolean(last.drafted) === Boolean(job);
        const moment = same ? last : { revision, at: made_at, by, ...(job && { drafted: true as const }), what: [] };
        if (!same) moments.push(moment);
        Object.assign(moment, { revision, at: made_at });
        if (what && !moment.what.includes(what)) moment.what.push(what);
      }
      return moments.reverse().slice(0, MOST);
    },
    /** A lesson with its checks as it stood at a revision; throws `no-such-version`, `gone`. */
    page(courseId: string, lessonId: string, revision: number): PageThen {
      const { course, revision: now } = courses.load(courseId);
      if (revision > now) fail('no-such-version', undefined, String(revision));
      // Back from what stands, change by change.
      const back: Operation[] = log
        .changesAfter(courseId, revision)
        .reverse()
        .map(({ inverse }) => inverse);
      const then = replayAll(course, back);
      if (!then.ok) fail('no-such-version', undefined, String(revision));
      return pageAt(then.course, lessonId) ?? fail('gone', undefined, lessonId);
    },
  };
}
