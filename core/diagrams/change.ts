import { textOf, type RichText } from '../document/rich-text';
import type { Drawing } from './index';

const LINES = 4;
const LETTERS = 400;

const lines = (items: readonly RichText[]) => items.map((item) => textOf(item).trim()).filter(Boolean);

/** How it was and how it is, where two sides are headed so. */
export const changeIn: Drawing = (blocks, pack, id) =>
  blocks.flatMap((block) => {
    if (block.kind !== 'sides') return [];
    const sides = [block.body.left, block.body.right].map(({ title, items }) => ({
      label: textOf(title).trim(),
      items: lines(items),
    }));
    const [was, is] = sides;
    const small = sides.every(({ items }) => items.length <= LINES && items.join('\n').length <= LETTERS);
    if (!small || !pack.isChange?.(was.label, is.label)) return [];
    const parts = sides.map(({ label, items }) => ({
      id: id(),
      label,
      ...(items.length > 0 && { text: items.join('\n') }),
    }));
    return [{ body: { form: 'change', parts }, of: [block] }];
  });
