import type { Block } from '../blocks/forms';
import { sameData } from '../document/canonical';
import type { Operation } from './operations';

/**
 * The operations that make one page of another: blocks taken out, put in, moved, changed, told apart by id. A block
 * that turned into another kind is taken out and put in. Equal pages give none.
 */
export function pageOperations(lessonId: string, before: readonly Block[], after: readonly Block[]): Operation[] {
  const old = new Map(before.map((block) => [block.id, block]));
  const wanted = new Map(after.map((block) => [block.id, block]));
  const turned = (id: string) => old.has(id) && wanted.has(id) && old.get(id)!.kind !== wanted.get(id)!.kind;
  const operations: Operation[] = [];
  let order = before.map((block) => block.id);
  for (const { id } of before) {
    if (wanted.has(id) && !turned(id)) continue;
    operations.push({ type: 'remove', id });
    order = order.filter((each) => each !== id);
  }
  after.forEach((block, at) => {
    const previous = at === 0 ? null : after[at - 1].id;
    const place = previous === null ? 0 : order.indexOf(previous) + 1;
    if (!old.has(block.id) || turned(block.id)) {
      operations.push({ type: 'insert', kind: 'block', parent: lessonId, after: previous, node: block });
      order.splice(place, 0, block.id);
      return;
    }
    if (order[place] !== block.id) {
      operations.push({ type: 'move', id: block.id, parent: lessonId, after: previous });
      order = order.filter((each) => each !== block.id);
      order.splice(previous === null ? 0 : order.indexOf(previous) + 1, 0, block.id);
    }
    const now = old.get(block.id)!;
    if (now !== block && !sameData(now.body, block.body))
      operations.push({ type: 'set', id: block.id, field: 'body', value: block.body, was: now.body });
    for (const field of ['evidence', 'paired'] as const)
      if (now !== block && !sameData(now[field] ?? null, block[field] ?? null))
        operations.push({ type: 'set', id: block.id, field, value: block[field] ?? null, was: now[field] ?? null });
  });
  return operations;
}
