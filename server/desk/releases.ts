import { compute } from '../../core/exchange/document';
import { mediaRefs } from '../../core/document/media';
import { fail } from '../../core/document/problem';
import { difference, type Difference } from '../../core/learning/releases';
import type { Rules } from '../../core/learning/rules';
import { freezeCourse, isEmptyForLearners, lessonsOf, type FrozenCourse } from '../../core/learning/view';
import type { Db } from '../database/open';
import { settingsIn } from '../database/settings';
import { releasesIn, type Access, type ReleaseRow } from '../database/releases';
import { packFor } from '../language/packs';
import { type CourseDesk } from './courses';
import { freshId } from '../ids';
import { remembered } from '../utils/remembered';

/** Frozen courses kept in memory. */
const KEPT = 24;

/**
 * What making the course available now would change against the newest release, with how many are under way on older
 * ones.
 */
export interface Meaning {
  since: number;
  lessons: Pick<Difference, 'same' | 'changed' | 'added' | 'gone'>;
  underWay: number;
}

/** Releases of a data folder: made, withdrawn, looked up. What is frozen never changes. */
export function releaseDesk(db: Db, courses: CourseDesk, now: () => number) {
  const releases = releasesIn(db);
  const settings = settingsIn(db);
  const cache = remembered<FrozenCourse>({ most: KEPT });
  const rules = remembered<Rules>({ most: 500 });
  const written = new WeakMap<FrozenCourse, string>();
  const shown = new WeakMap<FrozenCourse, Set<string>>();

  /** What was frozen as a release; throws `no-such-release`. */
  const frozen = (id: string): FrozenCourse =>
    cache.of(id, () => releases.document(id) ?? fail('no-such-release', undefined, id));

  /** The address learners come by, and what mixes the ids of their options: made once per course, never changed. */
  function linkOf(courseId: string): string {
    const known = releases.link(courseId);
    if (known) return known;
    const link = freshId('w');
    releases.addLink(courseId, link);
    return link;
  }

  const freeze = (courseId: string): FrozenCourse => {
    const { course } = courses.load(courseId);
    const grades = compute(course, packFor(course.language)).lessons;
    return freezeCourse(
      course,
      `${linkOf(courseId)}/options`,
      Object.fromEntries(Object.entries(grades).map(([id, { grade }]) => [id, grade])),
      settings.embeds(),
    );
  };

  function get(courseId: string, id: string): ReleaseRow {
    const row = releases.get(id);
    return row && row.course_id === courseId ? row : fail('no-such-release', undefined, id);
  }

  /** The rules of a release; they are frozen with it. */
  const rulesOf = (id: string): Rules =>
    rules.of(id, () => releases.get(id)?.rules ?? fail('no-such-release', undefined, id));

  return {
    frozen,
    get,
    rules: rulesOf,
    /** What learners get of a release, as it goes over the wire: the same for all of them. */
    viewJson(id: string): string {
      const document = frozen(id);
      const known = written.get(document) ?? JSON.stringify(document.view);
      written.set(document, known);
      return known;
    },
    /** Whether a release shows a file of media. */
    shows(id: string, hash: string): boolean {
      const document = frozen(id);
      const known = shown.get(document) ?? new Set(mediaRefs(document.view).map((ref) => ref.hash));
      shown.set(document, known);
      return known.has(hash);
    },
    list: (courseId: string) => releases.ofCourse(courseId),
    link: (courseId: string) => releases.link(courseId),
    courseOf: (link: string) => releases.courseOf(link),
    /** The newest release there is, open to anybody or not. */
    newest: (courseId: string): ReleaseRow | undefined => releases.ofCourse(courseId)[0],
    /** The release newcomers get: the newest that somebody may take. */
    current: (courseId: string) =>
      releases.ofCourse(courseId).find((row) => row.withdrawn_at === null && row.access !== 'nobody'),
    /**
     * Freezes the course as it stands. `move`: those under way go on with this release; otherwise they stay on theirs.
     * Throws `nothing-to-release`.
     */
    make(
      courseId: string,
      { note, access, rules: kept, move }: { note: string; access: Access; rules: Rules; move: boolean },
      person: string,
    ): ReleaseRow {
      if (isEmptyForLearners(courses.load(courseId).course)) fail('nothing-to-release');
      const id = freshId('r');
      db.transaction(() => {
        const document = freeze(courseId);
        const lessons = lessonsOf(document.view);
        const figures = {
          minutes: Math.round(lessons.reduce((sum, lesson) => sum + lesson.minutes, 0)),
          lessons: lessons.length,
          checks: document.view.checks.length,
        };
        const number = (releases.ofCourse(courseId)[0]?.number ?? 0) + 1;
        releases.add({
          id,
          course_id: courseId,
          number,
          note,
          document,
          figures,
          rules: kept,
          access,
          made_at: now(),
          person,
        });
        if (move) releases.moveAll(courseId, id);
      })();
      return get(courseId, id);
    },
    /** What a release made now would mean; undefined before the first one. */
    meaning(courseId: string): Meaning | undefined {
      const [newest] = releases.ofCourse(courseId);
      if (!newest) return undefined;
      const { same, changed, added, gone } = difference(frozen(newest.id).view, freeze(courseId).view);
      return {
        since: newest.number,
        lessons: { same, changed, added, gone },
        underWay: releases.learners(courseId).length,
      };
    },
    standing: (courseId: string) => releases.standing(courseId),
    /** Who may take a release, and whether it is withdrawn; what learners did is kept in any case. */
    setAccess(courseId: string, id: string, access: Access, withdrawn: boolean): ReleaseRow {
      const row = get(courseId, id);
      releases.setAccess(id, access, withdrawn ? (row.withdrawn_at ?? now()) : null);
      return get(courseId, id);
    },
  };
}

export type ReleaseDesk = ReturnType<typeof releaseDesk>;
