import type { Line } from './lines';

/** The height of most lines' letters: the body's size. */
export function bodySize(lines: readonly Line[]): number {
  const sizes = new Map<number, number>();
  for (const line of lines) if (!line.mono) sizes.set(line.size, (sizes.get(line.size) ?? 0) + line.text.length);
  return [...sizes].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0] ?? 10;
}

/** Drops running heads and feet, page numbers, and contents pages. */
export function withoutFurniture(pages: readonly Line[][]): Line[][] {
  const body = bodySize(pages.flat());
  const shape = (line: Line) =>
    line.text
      .replace(/\d+|\b[ivxlc]+\b/g, '#')
      .replace(/\s+/g, ' ')
      .trim();
  const counts = new Map<string, number>();
  for (const lines of pages)
    for (const line of new Set(edges(lines).map(shape))) counts.set(line, (counts.get(line) ?? 0) + 1);
  const often = Math.max(3, pages.length * 0.02);
  const cleaned = pages.map((lines) => {
    const edge = new Set(edges(lines));
    // A heading that many chapters share ("Purpose") also stands at the top of pages, but in larger letters.
    return lines.filter(
      (line) =>
        !edge.has(line) ||
        line.size > body * 1.12 ||
        (!/^[\s#./|–-]*(page|seite|página)?[\s#./|–-]*$/i.test(shape(line)) && (counts.get(shape(line)) ?? 0) < often),
    );
  });
  return withoutContents(cleaned);
}

function edges(lines: readonly Line[]): Line[] {
  if (lines.length === 0) return [];
  const heights = lines.map((line) => line.y).sort((a, b) => b - a);
  const top = heights[Math.min(1, heights.length - 1)];
  const bottom = heights[Math.max(heights.length - 2, 0)];
  return lines.filter((line) => line.y >= top || line.y <= bottom);
}

const ENTRY = /(\.\s?){3,}\s*[\divxlc]+$|\S\s{1,3}\d{1,4}$/;

/** Contents and lists of figures: pages, or stretches of a page, where most lines end in a page number. */
function withoutContents(pages: readonly Line[][]): Line[][] {
  const limit = Math.max(8, pages.length * 0.15);
  return pages.map((lines, index) => {
    if (index >= limit + 20) return [...lines];
    if (index < limit) lines = lines.filter((line) => !/(\.\s?){8,}\s*[\divxlc]+$/.test(line.text));
    const entries = lines.filter((line) => ENTRY.test(line.text));
    if (entries.length < 4) return [...lines];
    const dotted = entries.filter((line) => /(\.\s?){3,}/.test(line.text)).length;
    if (dotted < 3 && (index >= limit || entries.length < lines.length * 0.6)) return [...lines];
    const first = lines.indexOf(entries[0]);
    const last = lines.indexOf(entries[entries.length - 1]);
    const heading = first > 0 && lines[first - 1].text.length < 40 ? first - 1 : first;
    return [...lines.slice(0, heading), ...lines.slice(last + 1)];
  });
}

/** Footnotes: smaller letters at the foot of a page, beginning with a number or mark; taken out of the flow. */
export function splitFootnotes(pages: readonly Line[][]): { pages: Line[][]; footnotes: Map<number, string[]> } {
  const body = bodySize(pages.flat());
  const footnotes = new Map<number, string[]>();
  const flows = pages.map((lines) => {
    let start = lines.length;
    while (start > 0 && lines[start - 1].size <= body * 0.92 && !lines[start - 1].mono) start--;
    const tail = lines.slice(start);
    const first = tail.findIndex((line) => /^(\d{1,3}|[*†‡])\s?\S*/.test(line.text));
    if (first < 0 || start === 0)
      return lines.filter((line) => !/^\d{1,3}$/.test(line.text) || line.size > body * 0.92);
    const notes: string[] = [];
    for (const line of tail.slice(first)) {
      if (/^(\d{1,3}|[*†‡])(\s|$)/.test(line.text) || notes.length === 0)
        notes.push(line.text.replace(/^(\d{1,3}|[*†‡])\s*/, ''));
      else notes[notes.length - 1] += ` ${line.text}`;
    }
    footnotes.set(
      tail[0].page,
      notes.map((note) => note.trim()).filter((note) => note.length > 8),
    );
    return lines.slice(0, start + first);
  });
  return { pages: flows, footnotes };
}
