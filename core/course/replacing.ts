import type { Course } from './course';
import type { Operation } from './operations';

/** Words looked for in an outline. */
export interface Sought {
  words: string;
  /** As a whole word, not within another. */
  whole?: boolean;
  /** With the same capitals. */
  cased?: boolean;
}

/** A field of the outline that has them. */
export interface FoundWords {
  /** The node and its field. */
  id: string;
  field: 'title' | 'purpose' | 'text';
  /** The row it is shown in, and where there. */
  row: string;
  part: 'title' | 'purpose' | 'can';
  text: string;
  /** How often. */
  count: number;
}

/** Where titles, purposes and objectives of an outline have words, in its order. */
export function findInOutline(course: Course, sought: Sought): FoundWords[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  const objectives = new Map(course.objectives.map((objective) => [objective.id, objective.text]));
  const fields = course.modules.flatMap((module): Omit<FoundWords, 'count'>[] => [
    { id: module.id, field: 'title', row: module.id, part: 'title', text: module.title },
    { id: module.id, field: 'purpose', row: module.id, part: 'purpose', text: module.purpose },
    ...module.lessons.flatMap((lesson): Omit<FoundWords, 'count'>[] => [
      { id: lesson.id, field: 'title', row: lesson.id, part: 'title', text: lesson.title },
      // The row shows the first.
      ...lesson.objectiveIds.slice(0, 1).map((id) => ({
        id,
        field: 'text' as const,
        row: lesson.id,
        part: 'can' as const,
        text: objectives.get(id) ?? '',
      })),
    ]),
  ]);
  return fields.flatMap((found) => {
    const count = [...found.text.matchAll(pattern)].length;
    return count > 0 ? [{ ...found, count }] : [];
  });
}

/** The operations that put other words there. A title that would have none left stays as it is. */
export function replaceInOutline(found: readonly FoundWords[], sought: Sought, to: string): Operation[] {
  const pattern = patternOf(sought);
  if (!pattern) return [];
  const done = new Set<string>();
  return found.flatMap(({ id, field, text }): Operation[] => {
    const put = text.replace(pattern, () => to).trim();
    // Where words went, no gap stays.
    const value = to === '' ? put.replace(/\s{2,}/g, ' ') : put;
    // Two lessons may lead to one objective.
    if (value === text || (value === '' && field !== 'purpose') || done.has(`${id} ${field}`)) return [];
    done.add(`${id} ${field}`);
    return [{ type: 'set', id, field, value, was: text }];
  });
}

function patternOf({ words, whole, cased }: Sought): RegExp | undefined {
  if (words.trim() === '') return undefined;
  const plain = words.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);
  return new RegExp(whole ? String.raw`(?<![\p{L}\p{N}])${plain}(?![\p{L}\p{N}])` : plain, cased ? 'gu' : 'giu');
}
