import { checkIn, blockTexts } from '../blocks/forms';
import type { Check } from '../checks/forms';
import { evidencedSentences } from '../document/rich-text';
import { allLessons, type Course, type Lesson } from './course';
import type { Operation } from './operations';

type FreshId = (letter: string) => string;

/** The operations that put questions at the end of a page. */
export function placeIn(page: Lesson, checks: readonly Check[], freshId: FreshId): Operation[] {
  let after = page.blocks.at(-1)?.id ?? null;
  return checks.map((check) => {
    const operation = placing(page, check, after, freshId);
    after = operation.node.id;
    return operation;
  });
}

/**
 * The operations that put questions into their lessons: each behind the last part that stands on the same passage, else
 * at the end, but before a summary. Questions of lessons that are gone are left out.
 */
export function placeWhereTaught(course: Course, checks: readonly Check[], freshId: FreshId): Operation[] {
  const lessons = new Map(allLessons(course).map((lesson) => [lesson.id, lesson]));
  /** What was put behind a part, so that the next goes behind that. */
  const behind = new Map<string, string>();
  return checks.flatMap((check) => {
    const lesson = lessons.get(check.lessonId);
    if (!lesson) return [];
    const ids = new Set(check.evidence.map(({ id }) => id));
    const about = lesson.blocks.findLast((block) =>
      blockTexts(block)
        .flatMap(evidencedSentences)
        .some(({ mark }) => mark.attrs.passages.some(({ id }) => ids.has(id))),
    );
    const last = lesson.blocks.at(-1);
    const place = about ?? (last?.kind === 'summary' ? lesson.blocks.at(-2) : last);
    const operation = placing(lesson, check, place ? (behind.get(place.id) ?? place.id) : null, freshId);
    if (place) behind.set(place.id, operation.node.id);
    return [operation];
  });
}

/** The operations that take a page's drafted questions out of it: they are offers again. */
export function takeOut(page: Lesson, checks: readonly Check[]): Operation[] {
  const drafted = new Set(checks.filter((check) => check.drafted).map(({ id }) => id));
  return page.blocks.flatMap((block): Operation[] =>
    drafted.has(checkIn(block) ?? '') ? [{ type: 'remove', id: block.id, bin: null }] : [],
  );
}

const placing = (page: Lesson, { id: checkId }: Check, after: string | null, freshId: FreshId) => ({
  type: 'insert' as const,
  kind: 'block' as const,
  parent: page.id,
  after,
  node: { id: freshId('b'), kind: 'check' as const, body: { checkId } },
});
