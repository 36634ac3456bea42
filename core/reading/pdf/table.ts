import { looksLikeHeader } from '../html/table';
import type { Cell, Line } from './lines';

/** A table rebuilt from positions, and how many lines it took. */
export interface FoundTable {
  lines: number;
  header: string[];
  rows: string[][];
}

const SAME = 5;

/**
 * Rebuilds a simple table that begins at a line: rows of cells that start at the same places. A line with
 * cells only in some columns, close under a row or beside its middle, goes on in that row.
 */
export function tableAt(
  lines: readonly Line[],
  start: number,
  isHeading: (index: number) => boolean,
): FoundTable | undefined {
  const first = lines[start];
  if (
    first.cells.length < 2 ||
    first.mono ||
    /^[•·▪‣◦●\uf0b7-]/.test(first.text) ||
    /^\d{1,2}[.)]$/.test(first.cells[0].text)
  )
    return undefined;
  const columns = columnsFrom(lines, start);
  if (columns.length < 2) return undefined;
  const rows: string[][] = [];
  let full = 0;
  let at = start;
  let anchor = first.y;
  for (; at < lines.length && !isHeading(at); at++) {
    const line = lines[at];
    const before = lines[at - 1];
    const cells = cellsAt(line, columns);
    const places = cells.map((cell) => columns.findIndex((column) => Math.abs(column - cell.from) <= SAME));
    const begins = at === start || places.includes(0);
    // A cell of several lines may stand around the middle of its row: then its first line is above the row's own.
    const beside = !begins && Math.min(Math.abs(anchor - line.y), Math.abs(before.y - line.y)) <= line.size * 1.4;
    if (
      at > start &&
      (line.page !== before.page || before.y - line.y > line.size * 3.2 || (before.y < line.y - 2 && !beside))
    )
      break;
    if (places.some((place) => place < 0) || new Set(places).size < places.length) break;
    const close = at > start && Math.abs(before.y - line.y) <= line.size * 1.4;
    if (
      (places.length >= 2 && !((close || beside) && !begins)) ||
      (begins && at > start && opensRow(lines, at, columns))
    ) {
      rows.push(columns.map((_, column) => cells[places.indexOf(column)]?.text ?? ''));
      anchor = line.y;
      full++;
    } else if ((close || beside) && rows.length > 0 && fitsColumn(cells, places, columns)) {
      const row = rows[rows.length - 1];
      // In the order of the page: what stands above the row's own line comes first.
      places.forEach(
        (place, index) =>
          (row[place] = (
            row[place] && line.y > anchor + 2 && !begins
              ? `${cells[index].text} ${row[place]}`
              : `${row[place]} ${cells[index].text}`
          ).trim()),
      );
    } else break;
  }
  if (full < 3 || rows.length < 3) return undefined;
  const heads = lines[start].bold || looksLikeHeader(rows);
  return { lines: at - start, header: heads ? rows[0] : [], rows: heads ? rows.slice(1) : rows };
}

/** A single cell in the first column that runs on to the right is a paragraph, not a cell. */
function fitsColumn(cells: readonly Cell[], places: readonly number[], columns: readonly number[]): boolean {
  return places.every((place, index) => place === columns.length - 1 || cells[index].to <= columns[place + 1] + 2);
}

/**
 * A lone first cell begins a row when the rest of the row stands right under or over its middle, not a line further.
 */
function opensRow(lines: readonly Line[], at: number, columns: readonly number[]): boolean {
  const [line, next] = [lines[at], lines[at + 1]];
  if (!next || next.page !== line.page || cellsAt(line, columns).length !== 1) return false;
  const others = cellsAt(next, columns);
  return (
    others.length >= 2 && Math.abs(others[0].from - columns[0]) > SAME && Math.abs(line.y - next.y) < line.size * 0.9
  );
}

/** The cells of a line, those that run over a column's start cut there: heads of columns stand close together. */
function cellsAt(line: Line, columns: readonly number[]): Cell[] {
  return line.cells.flatMap((cell) => {
    const cuts = cell.pieces.filter(
      (piece, index) => index > 0 && columns.some((column) => Math.abs(column - piece.from) <= SAME),
    );
    if (cuts.length === 0) return [cell];
    const starts = [{ at: 0, from: cell.from }, ...cuts];
    return starts.map(({ at, from }, index) => ({
      text: cell.text.slice(at, starts[index + 1]?.at).trim(),
      from,
      to: starts[index + 1]?.from ?? cell.to,
      pieces: [{ at: 0, from }],
    }));
  });
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
