import type { Passage } from './source';

/** Where each cell of a table's row stands in the row's text; empty cells are empty ranges. */
export function cellRanges({ text, table }: Passage): { from: number; to: number }[] {
  let at = 0;
  return (table?.cells ?? []).map((cell) => {
    const from = cell === '' ? at : text.indexOf(cell, at);
    at = from + cell.length;
    return { from, to: at };
  });
}
