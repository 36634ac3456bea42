import { readRow, type ReadBlock, type ReadPassage } from '../source/blocks';
import { looksLikeHeader } from './html/table';

/**
 * A grid of cells as passages, one a row, each with its header cells. `marked`: the first row is known to be the
 * header; otherwise it is taken for one when it looks like it. A grid of one column is no table: each cell is a
 * paragraph.
 */
export function gridBlocks(
  key: string,
  grid: readonly string[][],
  place: Partial<ReadPassage> = {},
  marked = false,
): ReadBlock[] {
  const rows = grid.filter((cells) => cells.some(Boolean)).map((cells) => [...cells]);
  const width = Math.max(0, ...rows.map((cells) => cells.findLastIndex(Boolean) + 1));
  if (width === 0) return [];
  if (width === 1) return rows.map((cells) => ({ kind: 'paragraph', text: cells[0], ...place }));
  const even = rows.map((cells) => Array.from({ length: width }, (_, at) => cells[at] ?? ''));
  if (even.length === 1) return [readRow(key, [], even[0], place)];
  const headed = marked || looksLikeHeader(even);
  return (headed ? even.slice(1) : even).map((cells) => readRow(key, headed ? even[0] : [], cells, place));
}

/** A first row of different short words, all filled, none of them a figure, above rows: how sheets are headed. */
function headsSheet([first, ...rest]: readonly string[][]): boolean {
  const filled = first.filter(Boolean);
  return (
    rest.length > 0 &&
    filled.length > 1 &&
    new Set(filled).size === filled.length &&
    filled.length === first.findLastIndex(Boolean) + 1 &&
    filled.every((cell) => cell.length <= 60 && !/^[\d.,%£$€ -]+$/.test(cell))
  );
}

/**
 * The rows of a sheet, blank ones among them: each block of filled rows a table. A lone cell above a table is its
 * heading; empty columns at its left are the sheet's.
 */
export function sheetBlocks(rows: readonly string[][], key: string): ReadBlock[] {
  const groups: string[][][] = [[]];
  for (const row of rows) {
    if (row.some(Boolean)) groups[groups.length - 1].push(row);
    else if (groups[groups.length - 1].length > 0) groups.push([]);
  }
  const lone = (row: string[] | undefined) =>
    row !== undefined && row.filter(Boolean).length === 1 && row.find(Boolean)!.length <= 120;
  const filled = groups.filter((group) => group.length > 0);
  return filled.flatMap((group, at): ReadBlock[] => {
    const heads =
      group.length === 1
        ? filled[at + 1] !== undefined && !lone(filled[at + 1][0])
        : group.length > 2 && !lone(group[1]);
    const titled = lone(group[0]) && heads;
    const grid = titled ? group.slice(1) : group;
    const left = Math.min(...grid.map((row) => row.findIndex(Boolean)));
    const even = grid.map((row) => row.slice(left));
    return [
      ...(titled ? [{ kind: 'heading' as const, level: 2, text: group[0].find(Boolean)! }] : []),
      ...(grid.length > 0 ? gridBlocks(`${key}.${at + 1}`, even, {}, headsSheet(even)) : []),
    ];
  });
}
