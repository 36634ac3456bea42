/** A table that holds data: header cells (empty strings where it has none) and rows of equal length. */
export interface ReadTable {
  caption?: string;
  header: string[];
  rows: string[][];
}

/** Reads a data table; undefined when the table only lays out a page (one column, tables or headings in its cells). */
export function readTable(table: Element, textOf: (cell: Element) => string): ReadTable | undefined {
  const inside = (element: Element) => element.closest('table') === table;
  const rows = [...table.querySelectorAll('tr')].filter(inside);
  if (table.querySelector('table, h1, h2, h3, h4, h5, h6')) return undefined;
  const grid = rows.map((row) => cellsOf(row, textOf)).filter((cells) => cells.some((cell) => cell.text));
  const width = Math.max(0, ...grid.map((cells) => cells.length));
  if (width < 2 || grid.length < 2) return undefined;
  const marked = rows.find((row) => row.closest('thead') && inside(row)) !== undefined;
  const first = grid[0];
  const heads =
    marked ||
    (first.every((cell) => cell.head || !cell.text) && !(grid.length > 1 && grid[1].every((cell) => cell.head))) ||
    looksLikeHeader(grid.map((cells) => cells.map((cell) => cell.text)));
  const padded = (cells: { text: string }[]) => Array.from({ length: width }, (_, at) => cells[at]?.text ?? '');
  const caption = [...table.children].find((child) => child.localName === 'caption');
  return {
    ...(caption && textOf(caption) ? { caption: textOf(caption) } : {}),
    header: heads ? padded(first) : [],
    rows: (heads ? grid.slice(1) : grid).map(padded),
  };
}

/** Without marked header cells: the first row heads the others when it is short, without figures, and they are not. */
export function looksLikeHeader(grid: readonly string[][]): boolean {
  const [first, ...rest] = grid;
  if (rest.length < 2 || first.some((cell) => cell.length > 40 || /\d/.test(cell) || cell === '')) return false;
  const length = (cells: readonly string[]) => cells.reduce((sum, cell) => sum + cell.length, 0) / cells.length;
  const below = rest.reduce((sum, cells) => sum + length(cells), 0) / rest.length;
  return below > length(first) * 1.15 || rest.some((cells) => cells.some((cell) => /\d/.test(cell)));
}

/** A word processor's style for heads of tables, or nothing in the cell that is not bold. */
function isHeadByLooks(cell: Element): boolean {
  const text = (element: Element) => (element.textContent ?? '').replace(/\s+/g, '');
  const bold = [...cell.querySelectorAll('strong, b, p.th')]
    .filter((element) => !element.parentElement?.closest('strong, b, p.th'))
    .map(text)
    .join('');
  return bold !== '' && bold === text(cell);
}

function cellsOf(row: Element, textOf: (cell: Element) => string): { text: string; head: boolean }[] {
  return [...row.children]
    .filter((cell) => cell.localName === 'td' || cell.localName === 'th')
    .flatMap((cell) => {
      const span = Math.min(Math.max(Number(cell.getAttribute('colspan') ?? 1) || 1, 1), 40);
      const read = { text: textOf(cell), head: cell.localName === 'th' || isHeadByLooks(cell) };
      return [read, ...Array.from({ length: span - 1 }, () => ({ ...read, text: '' }))];
    });
}
