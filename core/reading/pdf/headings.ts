import { headingNumber } from '../../source/headings';
import type { Line } from './lines';

/** An entry of the document's own outline. */
export interface OutlineEntry {
  title: string;
  level: number;
  page: number;
}

/** Where headings stand: index of the first line -> how many lines it takes, its level. */
export type Headings = Map<number, { lines: number; level: number; text: string }>;

/** Letters at least this much larger than the body's make a heading. */
const LARGER = 1.12;

/**
 * Finds headings: the document's outline where it has one, then larger letters, then (where sizes tell nothing)
 * lone bold lines. Wrapped headings are joined.
 */
export function findHeadings(lines: readonly Line[], body: number, outline: readonly OutlineEntry[]): Headings {
  const found: Headings = new Map();
  fromOutline(lines, outline, found);
  const levelOf = levelsBySize(lines, body, found);
  for (let at = 0; at < lines.length; at++) {
    const known = found.get(at);
    if (known) {
      at += known.lines - 1;
      continue;
    }
    if (!isLarge(lines[at], body)) continue;
    let count = 1;
    while (
      count < 4 &&
      at + count < lines.length &&
      !found.has(at + count) &&
      continues(lines[at + count - 1], lines[at + count])
    )
      count++;
    const text = joined(lines.slice(at, at + count));
    if (text.length <= 200 && /\p{L}{2}/u.test(text))
      found.set(at, { lines: count, level: levelOf(lines[at].size), text });
    at += count - 1;
  }
  if (found.size < Math.max(2, lines.length / 400)) fromWeight(lines, body, found);
  return found;
}

function fromOutline(lines: readonly Line[], outline: readonly OutlineEntry[], found: Headings): void {
  const byPage = new Map<number, number[]>();
  lines.forEach((line, index) => byPage.set(line.page, [...(byPage.get(line.page) ?? []), index]));
  for (const entry of outline) {
    const wanted = letters(entry.title);
    if (!wanted) continue;
    for (const at of [...(byPage.get(entry.page) ?? []), ...(byPage.get(entry.page + 1) ?? [])]) {
      if (found.has(at)) continue;
      const count = matches(lines, at, wanted);
      if (count > 0) {
        found.set(at, { lines: count, level: entry.level, text: joined(lines.slice(at, at + count)) });
        break;
      }
    }
  }
}

/** How many lines from `at` on give the wanted title (with or without its number); 0 when they do not. */
function matches(lines: readonly Line[], at: number, wanted: string): number {
  let text = '';
  for (let count = 1; count <= 4 && at + count <= lines.length; count++) {
    text += ` ${lines[at + count - 1].text}`;
    const bare = letters(text);
    if (bare === wanted || letters(headingNumber(text.trim())?.title ?? '') === wanted) return count;
    if (bare.length > wanted.length + 12) return 0;
  }
  return 0;
}

function isLarge(line: Line, body: number): boolean {
  return line.size >= body * LARGER && !line.mono && line.cells.length <= 2 && /\p{L}/u.test(line.text);
}

function continues(before: Line, line: Line): boolean {
  return (
    line.page === before.page &&
    Math.abs(line.size - before.size) < 0.6 &&
    before.y - line.y < before.size * 1.6 &&
    before.y > line.y &&
    !headingNumber(line.text)
  );
}

function levelsBySize(lines: readonly Line[], body: number, found: Headings): (size: number) => number {
  const known = new Map<number, number>();
  for (const [at, heading] of found) known.set(lines[at].size, Math.max(known.get(lines[at].size) ?? 0, heading.level));
  const sizes = [...new Set(lines.filter((line) => isLarge(line, body)).map((line) => line.size))].sort(
    (a, b) => b - a,
  );
  if (known.size === 0) return (size) => sizes.indexOf(size) + 1;
  return (size) => {
    const same = known.get(size);
    if (same !== undefined) return same;
    const larger = [...known].filter(([other]) => other > size).map(([, level]) => level);
    return larger.length > 0 ? Math.max(...larger) + 1 : 1;
  };
}

/** Bold lines of their own, with room above, that end no sentence. */
function fromWeight(lines: readonly Line[], body: number, found: Headings): void {
  lines.forEach((line, at) => {
    const before = lines[at - 1];
    const after = lines[at + 1];
    const room = !before || before.page !== line.page || before.y - line.y > line.size * 1.5;
    const lone = !after || !after.bold || after.page !== line.page;
    if (
      line.bold &&
      room &&
      lone &&
      line.size >= body * 0.95 &&
      line.text.length <= 90 &&
      !/[.,;:]$/.test(line.text) &&
      /\p{L}{2}/u.test(line.text) &&
      line.cells.length === 1
    ) {
      found.set(at, { lines: 1, level: headingNumber(line.text)?.depth ?? 2, text: line.text });
    }
  });
}

function joined(lines: readonly Line[]): string {
  return lines
    .map((line) => line.text)
    .join(' ')
    .replace(/\s+/g, ' ')
    .replace(/(\p{L})- (?=\p{Ll})/gu, '$1-')
    .trim();
}

function letters(text: string): string {
  return text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, '');
}
