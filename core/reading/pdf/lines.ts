/** A piece of text as the PDF library gives it. Coordinates in points, y upward. */
export interface TextItem {
  str: string;
  transform: number[];
  width: number;
  height: number;
  fontName: string;
}

export interface Font {
  mono: boolean;
  bold: boolean;
}

/** A stretch of a line without a wide gap; a table row has several. */
export interface Cell {
  text: string;
  from: number;
  to: number;
  /** Where the pieces it was put together of begin: in the letters, and on the page. */
  pieces: { at: number; from: number }[];
}

export interface Line {
  page: number;
  y: number;
  from: number;
  to: number;
  /** Size of most of its letters, rounded to half points. */
  size: number;
  mono: boolean;
  bold: boolean;
  text: string;
  cells: Cell[];
  /** Stretches set in a monospaced font, as offsets of `text`. */
  code: { from: number; to: number }[];
}

interface Segment {
  y: number;
  items: TextItem[];
  from: number;
  to: number;
}

/** Groups a page's pieces into lines: stream order decides, pieces of one height that do not overlap are one line. */
export function linesOf(items: readonly TextItem[], page: number, fonts: ReadonlyMap<string, Font>): Line[] {
  const segments: Segment[] = [];
  for (const item of items) {
    if (item.str === '' || Math.abs(item.transform[1]) > Math.abs(item.transform[0])) continue;
    const [, , , , x, y] = item.transform;
    const size = Math.abs(item.transform[3]) || item.height || 10;
    const last = segments[segments.length - 1];
    if (item.str.trim() === '' && (!last || Math.abs(last.y - y) > size * 0.45)) continue;
    if (last && Math.abs(last.y - y) <= size * 0.45 && x >= last.to - size * 1.2) {
      last.items.push(item);
      last.to = Math.max(last.to, x + item.width);
      if (sizeOf(last.items[0]) < size) last.y = y;
    } else segments.push({ y, items: [item], from: x, to: x + item.width });
  }
  const merged = inColumns(segments) ? segments : mergeLevel(segments);
  return merged.map((segment) => toLine(segment, page, fonts)).filter((line) => line.text !== '');
}

function sizeOf(item: TextItem): number {
  return Math.abs(item.transform[3]) || item.height || 10;
}

/** Text in two columns: then pieces of one height belong to different lines. */
function inColumns(segments: readonly Segment[]): boolean {
  if (segments.length < 30) return false;
  const left = Math.min(...segments.map((segment) => segment.from));
  const right = Math.max(...segments.map((segment) => segment.to));
  const middle = (left + right) / 2;
  const crossing = segments.filter((segment) => segment.from < middle - 15 && segment.to > middle + 15).length;
  const beyond = segments.filter(
    (segment) => segment.from >= middle - 5 && segment.to - segment.from > (right - left) * 0.3,
  ).length;
  return crossing < segments.length * 0.15 && beyond > segments.length * 0.3;
}

function mergeLevel(segments: readonly Segment[]): Segment[] {
  const merged: Segment[] = [];
  for (const segment of segments) {
    const same = merged
      .slice(-12)
      .find(
        (other) => Math.abs(other.y - segment.y) < 2 && (segment.from >= other.to - 1 || segment.to <= other.from + 1),
      );
    if (!same) {
      merged.push({ ...segment, items: [...segment.items] });
      continue;
    }
    same.items = segment.from >= same.to - 1 ? [...same.items, ...segment.items] : [...segment.items, ...same.items];
    same.from = Math.min(same.from, segment.from);
    same.to = Math.max(same.to, segment.to);
  }
  return merged;
}

function toLine(segment: Segment, page: number, fonts: ReadonlyMap<string, Font>): Line {
  let text = '';
  let end = segment.from;
  let mono = 0;
  let bold = 0;
  const cells: Cell[] = [];
  const code: Line['code'] = [];
  const sizes = new Map<number, number>();
  for (const item of segment.items) {
    const size = sizeOf(item);
    const x = item.transform[4];
    const piece = item.str.replace(/\s+/g, ' ');
    if (piece.trim() === '') {
      if (text && !text.endsWith(' ')) text += ' ';
      if (item.width <= size * 1.5) end = Math.max(end, x + item.width);
      continue;
    }
    const gap = x - end;
    if (cells.length === 0 || gap > Math.max(size * 1.4, 9)) {
      if (text && !text.endsWith(' ')) text += ' ';
      cells.push({ text: piece, from: x, to: x + item.width, pieces: [{ at: 0, from: x }] });
    } else {
      const cell = cells[cells.length - 1];
      const space = (text.endsWith(' ') || gap > size * 0.18) && !cell.text.endsWith(' ') && !piece.startsWith(' ');
      if (space && !text.endsWith(' ')) text += ' ';
      cell.pieces.push({ at: cell.text.length + (space ? 1 : 0), from: x });
      cell.text += (space ? ' ' : '') + piece;
      cell.to = x + item.width;
    }
    const font = fonts.get(item.fontName);
    const letters = piece.trim().length;
    if (font?.mono) {
      mono += letters;
      const last = code[code.length - 1];
      const from = text.length + (piece.length - piece.trimStart().length);
      const to = text.length + piece.trimEnd().length;
      if (last && text.slice(last.to, from).trim() === '') last.to = to;
      else code.push({ from, to });
    }
    if (font?.bold) bold += letters;
    text += text.endsWith(' ') ? piece.trimStart() : piece;
    end = x + item.width;
    const key = Math.round(size * 2) / 2;
    sizes.set(key, (sizes.get(key) ?? 0) + letters);
  }
  const whole = [...sizes.values()].reduce((sum, count) => sum + count, 0);
  const size = [...sizes].sort((a, b) => b[1] - a[1] || b[0] - a[0])[0]?.[0] ?? 10;
  return {
    page,
    y: segment.y,
    from: cells[0]?.from ?? segment.from,
    to: end,
    size,
    mono: mono > whole * 0.8,
    bold: bold > whole * 0.8,
    text: text.trimEnd(),
    cells: cells.map((cell) => ({ ...cell, text: cell.text.trim() })),
    code,
  };
}
