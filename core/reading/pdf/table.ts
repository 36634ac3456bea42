import { looksLikeHeader } from '../html/table';
import type { Line } from './lines';

/** A table rebuilt from positions, and how many lines it took. */
export interface FoundTable {
  lines: number;
  header: string[];
  rows: string[][];
}

const SAME = 5;

/**
 * Rebuilds a simple table that begins at a line: rows of cells that start at the same places. A line with
 * cells only in some columns, close under a row, goes on in that row.
 */
export function tableAt(lines: readonly Line[], start: number, isHeading: (index: number) => boolean): FoundTable | undefined {
  const first = lines[start];
  if (first.cells.length < 2 || first.mono || /^[•·▪‣◦●\uf0b7-]/.test(first.text) || /^\d{1,2}[.)]$/.test(first.cells[0].text)) return undefined;
  const columns = columnsFrom(lines, start);
  if (columns.length < 2) return undefined;
  const rows: string[][] = [];
  let full = 0;
  let at = start;
  for (; at < lines.length && !isHeading(at); at++) {
    const line = lines[at];
    const before = lines[at - 1];
    if (at > start && (line.page !== before.page || before.y - line.y > line.size * 3.2 || before.y < line.y - 2)) break;
    const places = line.cells.map((cell) => columns.findIndex((column) => Math.abs(column - cell.from) <= SAME));
    if (places.some((place) => place < 0) || new Set(places).size < places.length) break;
    const close = at > start && before.y - line.y <= line.size * 1.4;
    if (places.length >= 2 && !(close && !places.includes(0))) {
      rows.push(columns.map((_, column) => line.cells[places.indexOf(column)]?.text ?? ''));
      full++;
    } else if (close && rows.length > 0 && fitsColumn(line, places, columns)) {
      const row = rows[rows.length - 1];
      places.forEach((place, index) => (row[place] = `${row[place]} ${line.cells[index].text}`.trim()));
    } else break;
  }
  if (full < 3 || rows.length < 3) return undefined;
  const heads = lines[start].bold || looksLikeHeader(rows);
  return { lines: at - start, header: heads ? rows[0] : [], rows: heads ? rows.slice(1) : rows };
}

/** A single cell in the first column that runs on to the right is a paragraph, not a cell. */
function fitsColumn(line: Line, places: readonly number[], columns: readonly number[]): boolean {
  return places.every((place, index) => place === columns.length - 1 || line.cells[index].to <= columns[place + 1] + 2);
}

/** Starts of columns: places where cells of at least two of the next rows begin, and all of the first row's do. */
function columnsFrom(lines: readonly Line[], start: number): number[] {
  const near = lines.slice(start, start + 12).filter((line) => line.page === lines[start].page);
  const wide = near.filter((line) => line.cells.length >= 2);
  if (wide.length < 3) return [];
  const starts: number[] = [];
  for (const cell of wide.flatMap((line) => line.cells)) {
    if (starts.some((known) => Math.abs(known - cell.from) <= SAME)) continue;
    const support = wide.filter((line) => line.cells.some((other) => Math.abs(other.from - cell.from) <= SAME)).length;
    if (support >= Math.max(2, wide.length * 0.4)) starts.push(cell.from);
  }
  return starts.sort((a, b) => a - b);
}
