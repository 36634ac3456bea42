import { checkIn } from '~~/core/blocks/forms';
import type { Course, Lesson, Module } from '~~/core/course/course';

/** A row of the outline: a module, a lesson, or a check (or feedback form) where it stands. */
export type Row =
  | { kind: 'module'; id: string; module: Module; number: number }
  | { kind: 'lesson'; id: string; lesson: Lesson; module: string }
  | { kind: 'check'; id: string; stem: string; lesson: string };

/** The rows of a course; lessons of folded modules are left out, checks only when wanted. */
export function rowsOf(course: Course, folded: ReadonlySet<string>, checks: boolean): Row[] {
  const stems = new Map(course.checks.map(({ id, stem }) => [id, stem]));
  return course.modules.flatMap((module, at): Row[] => [
    { kind: 'module', id: module.id, module, number: at + 1 },
    ...(folded.has(module.id)
      ? []
      : module.lessons.flatMap((lesson): Row[] => [
          { kind: 'lesson', id: lesson.id, lesson, module: module.id },
          ...(checks
            ? lesson.blocks.flatMap((block): Row[] => {
                const place = checkIn(block);
                const stem = block.kind === 'survey' ? block.body.title : place && stems.get(place);
                return stem ? [{ kind: 'check', id: block.id, stem, lesson: lesson.id }] : [];
              })
            : []),
        ])),
  ]);
}

/**
 * The rows of now, each that says the same as before as the object it was: what is drawn of it need not be drawn anew.
 */
export function keptRows(before: readonly Row[], now: readonly Row[]): Row[] {
  const known = new Map(before.map((row) => [row.id, row]));
  return now.map((row) => {
    const was = known.get(row.id) as Record<string, unknown> | undefined;
    return was && Object.entries(row).every(([key, value]) => was[key] === value) ? (was as unknown as Row) : row;
  });
}

/** Questions that wait for an answer, by lesson. */
export function openSlotsOf({ answers = [] }: Pick<Course, 'answers'>): Map<string, number> {
  const counts = new Map<string, number>();
  for (const { lesson, text } of answers)
    if (lesson && text.trim() === '') counts.set(lesson, (counts.get(lesson) ?? 0) + 1);
  return counts;
}

/** The row of the list (`places`) that an event is in: asked of the list as a whole, not of each row. */
export function rowAt({ target }: Event, places: readonly string[]): string | undefined {
  const id = (target as HTMLElement | null)?.closest<HTMLElement>('[data-row]')?.dataset.row;
  return id !== undefined && places.includes(id) ? id : undefined;
}
