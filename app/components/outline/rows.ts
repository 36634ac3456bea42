import { checkIn } from '~~/core/blocks/forms';
import type { Course, Lesson, Module } from '~~/core/course/course';

/** A row of the outline: a module, a lesson, or a check where it stands. */
export type Row =
  | { kind: 'module'; id: string; module: Module; number: number }
  | { kind: 'lesson'; id: string; lesson: Lesson; module: string }
  | { kind: 'check'; id: string; checkId: string; stem: string; lesson: string };

/** The rows of a course; lessons of folded modules are left out, checks only when wanted. */
export function rowsOf(course: Course, folded: ReadonlySet<string>, checks: boolean): Row[] {
  return course.modules.flatMap((module, at): Row[] => [
    { kind: 'module', id: module.id, module, number: at + 1 },
    ...(folded.has(module.id)
      ? []
      : module.lessons.flatMap((lesson): Row[] => [
          { kind: 'lesson', id: lesson.id, lesson, module: module.id },
          ...(checks
            ? lesson.blocks.flatMap((block): Row[] => {
                const place = checkIn(block);
                const check = place ? course.checks.find((each) => each.id === place) : undefined;
                return check
                  ? [{ kind: 'check', id: `${block.id}`, checkId: check.id, stem: check.stem, lesson: lesson.id }]
                  : [];
              })
            : []),
        ])),
  ]);
}
