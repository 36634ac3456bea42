import { checkIn, mapBlockTexts, type Block } from '../blocks/forms';
import type { Course, Lesson } from './course';
import { allLessons } from './course';
import type { Operation } from './operations';

/** The parts of a page that lie under a heading on it, with the heading: what is moved or folded with it. */
export function underHeading(blocks: readonly Block[], id: string): string[] {
  const start = blocks.findIndex((block) => block.id === id);
  const head = blocks[start];
  if (head?.kind !== 'heading') return head ? [id] : [];
  const end = blocks.findIndex(
    (block, at) => at > start && block.kind === 'heading' && block.body.level <= head.body.level,
  );
  return blocks.slice(start, end < 0 ? blocks.length : end).map((block) => block.id);
}

/**
 * The operations that put new parts onto a page, in order: before one of its parts, behind one, or at its end where
 * that went meanwhile.
 */
export function putParts(
  lesson: Lesson,
  parts: readonly Block[],
  { before, behind }: { before?: string; behind?: string } = {},
): Operation[] {
  const at = lesson.blocks.findIndex(({ id }) => id === (before ?? behind));
  const found = at < 0 ? lesson.blocks.at(-1) : lesson.blocks[before === undefined ? at : at - 1];
  let after = found?.id ?? null;
  return parts.map((node): Operation => {
    const operation: Operation = { type: 'insert', kind: 'block', parent: lesson.id, after, node };
    after = node.id;
    return operation;
  });
}

/**
 * Moves parts of pages, in the order in which they stand there, behind a part of a page (null: first), of the same or
 * another lesson. What would change nothing is none.
 */
export function moveParts(course: Course, ids: readonly string[], lesson: Lesson, after: string | null): Operation[] {
  const wanted = new Set(ids);
  const moving = allLessons(course)
    .flatMap((each) => each.blocks)
    .filter((block) => wanted.has(block.id));
  if (after !== null && wanted.has(after)) return [];
  const rest = lesson.blocks.filter((block) => !wanted.has(block.id));
  const at = after === null ? 0 : rest.findIndex((block) => block.id === after) + 1;
  const next = [...rest.slice(0, at), ...moving, ...rest.slice(at)].map((block) => block.id);
  if (next.join() === lesson.blocks.map((block) => block.id).join()) return [];
  return moving.map(({ id }, place) => ({
    type: 'move',
    id,
    parent: lesson.id,
    after: place === 0 ? after : moving[place - 1].id,
  }));
}

/**
 * Copies parts of pages behind the last part of a lesson, with what they stand on. Checks are asked once, where they
 * are, and are not copied. `id` gives ids of blocks, `mark` of what sentences stand on.
 */
export function copyParts(
  course: Course,
  ids: readonly string[],
  lesson: Lesson,
  id: () => string,
  mark: () => string,
): Operation[] {
  const wanted = new Set(ids);
  let after = lesson.blocks.at(-1)?.id ?? null;
  return allLessons(course)
    .flatMap((each) => each.blocks)
    .filter((block) => wanted.has(block.id) && checkIn(block) === undefined)
    .map((block): Operation => {
      const names = new Map<string, string>();
      const renamed = (old: string) => names.get(old) ?? names.set(old, mark()).get(old)!;
      const node = {
        ...mapBlockTexts(block, (text) =>
          text.map((run) => ({
            ...run,
            ...(run.marks && {
              marks: run.marks.map((each) =>
                each.type === 'evidence' ? { ...each, attrs: { ...each.attrs, id: renamed(each.attrs.id) } } : each,
              ),
            }),
          })),
        ),
        id: id(),
      };
      const operation: Operation = { type: 'insert', kind: 'block', parent: lesson.id, after, node };
      after = node.id;
      return operation;
    });
}
