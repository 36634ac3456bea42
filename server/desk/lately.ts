import type { Lately } from '../../core/course/row';
import { coursesIn } from '../database/courses';
import type { Db } from '../database/open';
import { releasesIn } from '../database/releases';

/**
 * So many lines are told, out of the courses changed last, and of each so many of its newest changes and learners are
 * looked at.
 */
const TOLD = { lines: 10, courses: 12, changes: 60, learners: 40 };
/** Of what was changed in one go so many kinds are named. */
const NAMED = 2;
const DAY = 24 * 60 * 60 * 1000;

/**
 * What happened lately in a person's courses, newest first: changes (those of one person on one day together),
 * releases, and, for authors, who learned.
 */
export function latelyOf(db: Db, person: string): Lately[] {
  const courses = coursesIn(db);
  const releases = releasesIn(db);
  return courses
    .ofPerson(person)
    .slice(0, TOLD.courses)
    .flatMap(({ id, title, role }): Lately[] => {
      const course = { id, title };
      const { newest } = releases.standing(id);
      return [
        ...together(courses.newestChanges(id, TOLD.changes)).map((line) => ({
          kind: 'change' as const,
          course,
          ...line,
        })),
        ...(newest ? [{ kind: 'release' as const, course, at: newest.made_at, number: newest.number }] : []),
        ...(role === 'author'
          ? byDay(releases.newestLearners(id, TOLD.learners)).map((line) => ({
              kind: 'learner' as const,
              course,
              ...line,
            }))
          : []),
      ];
    })
    .sort((a, b) => b.at - a.at || (a.course.id < b.course.id ? -1 : 1))
    .slice(0, TOLD.lines);
}

/** Learners, last seen first, of one day as one line. */
function byDay(learners: readonly { seen_at: number; name: string }[]): { at: number; who: string[] }[] {
  const lines: { at: number; who: string[] }[] = [];
  for (const { seen_at, name } of learners) {
    const last = lines.at(-1);
    if (last && last.at - seen_at < DAY) last.who.push(name);
    else lines.push({ at: seen_at, who: [name] });
  }
  return lines;
}

/** Changes, newest first, of one person within a day as one line. */
function together(
  changes: readonly { made_at: number; who: string | null; what: string | null }[],
): { at: number; who: string; what: string[] }[] {
  const lines: { at: number; who: string; what: string[] }[] = [];
  for (const { made_at, who, what } of changes) {
    const last = lines.at(-1);
    const line =
      last && last.who === (who ?? '') && last.at - made_at < DAY ? last : { at: made_at, who: who ?? '', what: [] };
    if (line !== last) lines.push(line);
    if (what && !line.what.includes(what)) line.what.push(what);
  }
  return lines.map((line) => ({ ...line, what: line.what.slice(0, NAMED) }));
}
