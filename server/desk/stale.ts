import { followReworded } from '../../core/course/rebase';
import { usesOf } from '../../core/course/uses';
import { sentencesNow, type Stale } from '../../core/review/stale';
import { compareVersions, type VersionChange } from '../../core/source/versions';
import type { Db } from '../database/open';
import { searchIn } from '../database/search';
import { packFor } from '../language/packs';
import { OPERATION_VERSION, type CourseDesk } from './courses';
import { freshId } from '../ids';
import type { SourceDesk } from './sources';
import { remembered } from '../utils/remembered';

/** Comparisons of versions kept: they are asked for again and again while somebody mends. */
const KEPT = 8;

/** What of a course stands on words that newer versions of its sources changed or dropped. */
export function staleDesk(db: Db, courses: CourseDesk, sources: SourceDesk) {
  const search = searchIn(db);
  const compared = remembered<VersionChange>({ most: KEPT });

  function change(id: string, from: string, to: string): VersionChange | undefined {
    return compared.of(`${id}/${from}/${to}`, () => {
      const [before, after] = [sources.read(id, from), sources.read(id, to)];
      return before && after && compareVersions(before.source, after.source);
    });
  }

  return {
    /** What stands on passages that a newer version words differently follows them where its words are there still. */
    follow(courseId: string, person: string, { changed }: Pick<VersionChange, 'changed'>): void {
      const { course, revision } = courses.load(courseId);
      const operations = followReworded(course, changed);
      const group = freshId('g');
      if (operations.length > 0)
        courses.post(
          courseId,
          operations.map((operation) => ({
            id: freshId('x'),
            group,
            actor: { person },
            version: OPERATION_VERSION,
            operation,
          })),
          revision,
          'evidence moved to the newer version',
        );
    },
    /**
     * Passages that are not in the sources as they were; those of sources taken off the course are left out: nobody
     * changed them.
     */
    of(courseId: string): Stale[] {
      const rows = new Map(sources.ofCourse(courseId).map((row) => [row.id, row]));
      const held = new Map(
        [...rows.values()].flatMap((row) =>
          sources.read(row.id, row.version)!.source.passages.map((passage) => [passage.id, passage] as const),
        ),
      );
      return [...usesOf(courses.load(courseId).course)].flatMap(([id, uses]): Stale[] => {
        const known = held.has(id) ? undefined : search.known(id);
        const row = known && rows.get(known.source_id);
        if (!known || !row) return [];
        const became = change(row.id, known.version, row.version)?.changed.find((each) => each.id === id);
        const after = became && held.get(became.afterId);
        const now = after ? sentencesNow(known.text, after, uses, packFor(row.language)) : [];
        return [
          {
            id,
            sourceId: row.id,
            title: row.title,
            before: known.text,
            now,
            ...(after && { after: { id: after.id, text: after.text } }),
          },
        ];
      });
    },
  };
}

export type StaleDesk = ReturnType<typeof staleDesk>;
