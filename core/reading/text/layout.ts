import { headingNumber } from '../../source/headings';
import { folded } from '../../source/inline';
import { indentOf, RULE, type Chunk } from './lines';

/** Lines this much shorter than the text is wide were ended by their author, not by the margin of a quotation. */
const SHORT = 0.6;
/** With fewer entries a page is no page of questions or problems. */
const LEAST_ENTRIES = 4;
/** A term over its meaning has so many characters at most. */
const LONGEST_TERM = 60;
const ENDS_A_SENTENCE = /[.!?:;,]["”’)]?$/;
/** An item of a list, however it is marked. */
const MARKED = /^\s*(?:[*•·▪‣◦–—o+-]|\(?(?:\d{1,3}|[a-z])[.)])\s/;

/** How wide a text is set: what nine in ten of the lines that go on stay below. 0 when no line goes on. */
export function widthOf(chunks: readonly Chunk[]): number {
  const lengths = chunks.flatMap(({ lines }) => lines.slice(0, -1).map((line) => line.length)).sort((a, b) => a - b);
  return lengths[Math.floor(lengths.length * 0.9)] ?? 0;
}

/** Whether an indented stretch is a list without marks, or commands: each line ended early, and none is a sentence. */
export function keepsItsLines({ lines }: Chunk, width: number): boolean {
  return (
    lines.length > 1 &&
    lines.every((line) => line.length < width * SHORT && !RULE.test(line) && !MARKED.test(line)) &&
    lines.every((line) => !ENDS_A_SENTENCE.test(line.trim()))
  );
}

/** Cells that stand below each other by blanks alone. */
const ALIGNED = /\S\s{3,}\S/;
/** So many lines, and so much of them, are set in columns before they are a table. */
const COLUMNS = { lines: 3, share: 0.75 };

/**
 * From which line on a stretch is set in columns to its end; undefined where it is not. Run together, its cells would
 * say nothing.
 */
export function columnsFrom(lines: readonly string[]): number | undefined {
  const at = lines.findIndex((line) => ALIGNED.test(line));
  const rest = at < 0 ? [] : lines.slice(at);
  return rest.length >= COLUMNS.lines &&
    !rest.some((line) => MARKED.test(line)) &&
    rest.filter((line) => ALIGNED.test(line)).length >= rest.length * COLUMNS.share
    ? at
    : undefined;
}

/** Terms with what they mean indented below them, by their stretch: two and more that stand together. */
export function definitionsIn(chunks: readonly Chunk[], width: number): Map<Chunk, { term: string; lines: string[] }> {
  const shaped = chunks.map((chunk) => {
    const [term, ...lines] = chunk.lines;
    const fits =
      lines.length > 0 &&
      term.trim().length <= Math.min(LONGEST_TERM, width * SHORT) &&
      !ENDS_A_SENTENCE.test(term.trim()) &&
      !MARKED.test(term) &&
      !MARKED.test(lines[0]) &&
      !RULE.test(lines[0]) &&
      lines.every((line) => indentOf(line) >= chunk.indent + 2);
    return fits ? { term: folded(term), lines } : undefined;
  });
  return new Map(
    chunks.flatMap((chunk, at) => {
      const beside = [at - 1, at + 1].some((other) => shaped[other] && chunks[other].indent === chunk.indent);
      return shaped[at] && beside ? [[chunk, shaped[at]] as const] : [];
    }),
  );
}

/** A mark at the margin. */
const BULLET = /^[*•·▪‣◦–—-]\s+(?=\S)/;
/** So many of all marked stretches head what follows them. */
const HEADING_SHARE = 0.8;

/**
 * Stretches behind a mark at the margin that head the text below them, as in a page of problems ("* The lamp stays
 * dark."): each stands alone behind a drawn line or asks, with paragraphs below it that are no more indented. Rules
 * under marks, each with a paragraph that explains it, are a list: they say what is to be done, and would be lost as
 * headings. With what stands behind the mark.
 */
export function markedHeads(chunks: readonly Chunk[]): Map<Chunk, string[]> {
  const marked = chunks.flatMap((chunk, at) =>
    BULLET.test(chunk.lines[0])
      ? [{ chunk, before: chunks[at - 1] as Chunk | undefined, next: chunks[at + 1] as Chunk | undefined }]
      : [],
  );
  const alone = marked.filter(
    ({ chunk: { lines } }) =>
      lines.length <= 4 && lines.every((line, at) => line.length < 200 && (at === 0 || !MARKED.test(line))),
  );
  const heads = alone.filter(
    ({ next }) => next?.indent === 0 && !MARKED.test(next.lines[0]) && !RULE.test(next.lines[0]),
  );
  const parted = alone.filter(
    ({ chunk, before }) => (before && RULE.test(before.lines.at(-1)!)) || /[?？]$/.test(chunk.lines.at(-1)!.trim()),
  );
  if (heads.length < LEAST_ENTRIES || [heads, parted].some(({ length }) => length < marked.length * HEADING_SHARE))
    return new Map();
  return new Map(alone.map(({ chunk }) => [chunk, [chunk.lines[0].replace(BULLET, ''), ...chunk.lines.slice(1)]]));
}

/**
 * Entries of a page of questions: one count from 1 on, each with its answer indented below. What is no question among
 * them ("4. compress() returns an error.") is an entry like the others.
 */
export function entriesIn(chunks: readonly Chunk[]): Set<Chunk> {
  const found: { chunk: Chunk; asks: boolean }[] = [];
  chunks.forEach((chunk, at) => {
    if (chunk.lines.length > 5 || chunk.lines[0].length > 400) return;
    const text = folded(chunk.lines.join(' '));
    const number = headingNumber(text);
    const next = chunks[at + 1];
    if (number?.depth === 1 && Number(number.number) === found.length + 1 && next && next.indent > chunk.indent)
      found.push({ chunk, asks: /[?？]$/.test(text) });
  });
  return new Set(
    found.length >= LEAST_ENTRIES && found.filter(({ asks }) => asks).length >= found.length / 2
      ? found.map(({ chunk }) => chunk)
      : [],
  );
}
