/** A line that recurs on so many pages, and on this share of them, runs through the document. */
const RUNNING = { least: 3, share: 0.5 };

/** A page number: alone or named ("Page 3 of 9", "- 4 -"). */
const NUMBER = /^[\s#./|()–—-]*(?:page|seite|página|side|pagina)?[\s#./|()–—-]*(?:of|von|de|sur)?[\s#]*$/i;
/** A number behind a gap or a word for page ends the line: "Store manual                Page 3". */
const NUMBERED =
  /(?:\s{3,}\d{1,4}|\b(?:page|seite|página|side|pagina)\s+\d{1,4}(?:\s*(?:of|von|de|sur|\/)\s*\d{1,4})?)\s*$/i;

const shapeOf = (line: string): string => line.replace(/\d+/g, '#').replace(/\s+/g, ' ').trim();

/**
 * Takes running heads, feet and page numbers out of a text: of pages that a form feed parts, the first and last lines
 * that recur; in a text without, lines that stand alone, recur and end in a page number.
 */
export function withoutFurniture(text: string): string {
  return text.includes('\f') ? ofPages(text.split('\f')) : ofLines(text.split('\n'));
}

function ofPages(pages: readonly string[]): string {
  const cut = pages.map((page) => page.split('\n'));
  const edges = cut.map((lines) => {
    const filled = lines.flatMap((line, at) => (line.trim() ? [at] : []));
    return [...new Set([filled[0], filled.at(-1)])].filter((at) => at !== undefined);
  });
  const counts = counted(cut.flatMap((lines, page) => edges[page].map((at) => shapeOf(lines[at]))));
  // A number alone is the page's when it counts with the pages; any other ("112") is what the text says.
  const ahead = (line: string, page: number) => Number(/\d+/.exec(line)?.[0] ?? NaN) - page;
  const numbered = counted(
    cut.flatMap((lines, page) =>
      edges[page].filter((at) => NUMBER.test(shapeOf(lines[at]))).map((at) => String(ahead(lines[at], page))),
    ),
  );
  const runs = (line: string, page: number) =>
    NUMBER.test(shapeOf(line))
      ? (numbered.get(String(ahead(line, page))) ?? 0) >= 2
      : counts.get(shapeOf(line))! >= Math.max(RUNNING.least, pages.length * RUNNING.share);
  // A paragraph that the end of a page cut goes on behind it.
  return cut
    .map((lines, page) =>
      lines
        .filter((line, at) => !edges[page].includes(at) || !runs(line, page))
        .join('\n')
        .replace(/\s+$/, ''),
    )
    .reduce(
      (whole, page) =>
        whole +
        (/[\p{Ll},;-]$/u.test(whole) && /^\s*\p{Ll}/u.test(page) ? `\n${page.replace(/^\s*\n/, '')}` : `\n\n${page}`),
    );
}

function ofLines(lines: readonly string[]): string {
  const alone = (at: number) => !lines[at - 1]?.trim() && !lines[at + 1]?.trim() && NUMBERED.test(lines[at]);
  const places = lines.flatMap((_, at) => (alone(at) ? [at] : []));
  const counts = counted(places.map((at) => shapeOf(lines[at])));
  const running = new Set(places.filter((at) => counts.get(shapeOf(lines[at]))! >= RUNNING.least));
  return running.size === 0 ? lines.join('\n') : lines.filter((_, at) => !running.has(at)).join('\n');
}

function counted(shapes: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const shape of shapes) counts.set(shape, (counts.get(shape) ?? 0) + 1);
  return counts;
}
