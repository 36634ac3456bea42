import { readRow, type ReadBlock, type ReadDocument } from '../../source/blocks';
import { folded, visible } from '../../source/inline';
import { wordList, type ReadOptions } from '../options';
import { withoutContents } from './contents';
import { decodeText } from './decode';
import { withoutFurniture } from './furniture';
import { clauseDepth, headingOf, openingLines, topNumber } from './headings';
import { columnsFrom, definitionsIn, entriesIn, keepsItsLines, markedHeads, widthOf } from './layout';
import {
  indentOf,
  isSurelyCode,
  looksLikeCode,
  RULE,
  tableRows,
  unwrapped,
  wordsOf,
  type Chunk,
  type Words,
} from './lines';

const BULLET = /^(\s*)([*•·▪‣◦–—o-]|\+)\s+(?=\S)/;
const NUMBER = /^(\s*)(?:\(?(\d{1,3}|[a-z])[.)])\s+(?=\S)/;

/**
 * Reads plain text: numbered, underlined and capital headings, bullets and numbers, code by its looks; contents pages
 * dropped.
 */
export function readText(bytes: Uint8Array, { wordsIn }: ReadOptions = {}): ReadDocument {
  const { text, notices } = decodeText(bytes);
  const clean = visible(withoutFurniture(text)).replace(/\t/g, '        ');
  const known: Words = { inText: wordsOf(clean), ...wordList(clean, wordsIn) };
  const chunks = withoutContents(chunksOf(clean.split('\n')));
  const bodyIndent = commonIndent(chunks);
  const clauses = clauseDepth(chunks);
  const width = widthOf(chunks);
  const definitions = definitionsIn(chunks, width);
  const entries = entriesIn(chunks);
  const marked = markedHeads(chunks);
  const blocks: ReadBlock[] = [];
  let list = 0;
  // The last number of a list without headings between, and of a top heading: where both could go on, it is a heading.
  let counted: number | undefined;
  let headed: number | undefined;
  const opening = openingLines(chunks);
  const title = opening.toSorted((a, b) => b.length - a.length)[0];
  chunks.forEach((chunk, index) => {
    if (index < opening.length) {
      // Who issued it, a subtitle: kept, but neither title nor heading.
      if (opening[index] !== title) blocks.push({ kind: 'paragraph', text: opening[index] });
      return;
    }
    const meant = definitions.get(chunk);
    if (meant) {
      blocks.push({ kind: 'definition', term: meant.term, text: folded(unwrapped(meant.lines, known)) });
      return;
    }
    const said = marked.get(chunk);
    const heading = entries.has(chunk)
      ? { level: 1, text: folded(unwrapped(chunk.lines, known)), rest: [] }
      : said
        ? { level: 4, text: folded(unwrapped(said, known)).replace(/[.:]$/, ''), rest: [] }
        : headingOf(chunk, chunks[index + 1], known, clauses, counted === headed ? undefined : counted);
    // "3." behind an item "2." goes on counting, though no number follows it.
    if (heading) headed = topNumber(heading.text) ?? headed;
    counted = heading ? undefined : Number(/^\s*(\d{1,3})[.)]\s/.exec(chunk.lines[0])?.[1]) || undefined;
    if (heading) {
      blocks.push({ kind: 'heading', ...heading });
      if (heading.rest.length > 0) paragraph(heading.rest);
      return;
    }
    if (chunk.indent >= bodyIndent + 2 && !looksLikeCode(chunk.lines) && keepsItsLines(chunk, width)) {
      list++;
      blocks.push(
        ...chunk.lines.map((line): ReadBlock => ({
          kind: 'item',
          text: folded(line),
          list: { key: `k${list}`, ordered: false, depth: 0 },
        })),
      );
    } else paragraph(chunk.lines);
  });
  return { ...(title && { title }), blocks, media: new Map(), notices };

  function paragraph(lines: readonly string[]) {
    const indent = indentOf(lines[0]);
    if (lines.every((line) => RULE.test(line))) return;
    const rows = tableRows(lines);
    if (rows) {
      const [header, ...body] = rows;
      const key = `t${blocks.length}`;
      blocks.push(...body.map((cells) => readRow(key, header, cells)));
      return;
    }
    const columns = columnsFrom(lines);
    if (columns !== undefined) {
      if (columns > 0) paragraph(lines.slice(0, columns));
      blocks.push(asSet(lines.slice(columns)));
      return;
    }
    if (lines.length > 3 && tableRows(lines.slice(1))) {
      paragraph(lines.slice(0, 1));
      paragraph(lines.slice(1));
      return;
    }
    if (
      !BULLET.test(lines[0]) &&
      !NUMBER.test(lines[0]) &&
      (indent >= bodyIndent + 2 ? looksLikeCode(lines) : isSurelyCode(lines))
    ) {
      blocks.push(asSet(lines));
      return;
    }
    for (const group of itemGroups(lines)) {
      const bullet = BULLET.exec(group[0]);
      const number = bullet ? null : NUMBER.exec(group[0]);
      const mark = bullet ?? number;
      const body = mark ? [group[0].slice(mark[0].length), ...group.slice(1)] : group;
      const piece = folded(unwrapped(body, known));
      if (!/[\p{L}\p{N}]/u.test(piece)) continue;
      if (!mark) {
        blocks.push({ kind: 'paragraph', text: piece });
        continue;
      }
      const depth = Math.max(0, Math.min(5, Math.floor((mark[1].length - bodyIndent) / 4)));
      const last = blocks[blocks.length - 1];
      if (last?.kind !== 'item') list++;
      blocks.push({
        kind: 'item',
        text: piece,
        list: {
          key: `k${list}`,
          ordered: number !== null,
          depth,
          ...(number && /\d/.test(number[2]) && { number: Number(number[2]) }),
        },
      });
    }
  }
}

/** Lines as they were set, without the blanks that stand before all of them. */
function asSet(lines: readonly string[]): ReadBlock {
  const cut = Math.min(...lines.filter((line) => line.trim()).map(indentOf));
  return { kind: 'code', text: lines.map((line) => line.slice(cut).trimEnd()).join('\n') };
}

function chunksOf(lines: readonly string[]): Chunk[] {
  const chunks: Chunk[] = [];
  let open: string[] = [];
  const close = () => {
    if (open.length > 0) chunks.push({ lines: open, indent: indentOf(open[0]) });
    open = [];
  };
  for (const line of lines) {
    if (line.trim() === '') close();
    else open.push(line);
  }
  close();
  return chunks;
}

function itemGroups(lines: readonly string[]): string[][] {
  const groups: string[][] = [];
  for (const line of lines) {
    if (groups.length === 0 || BULLET.test(line) || (NUMBER.test(line) && startsCount(line, groups)))
      groups.push([line]);
    else groups[groups.length - 1].push(line);
  }
  return groups;
}

/** "1." begins a list; "12." inside a paragraph is most often the end of a sentence unless the list has come so far. */
function startsCount(line: string, groups: readonly string[][]): boolean {
  const number = Number(NUMBER.exec(line)![2]);
  const before = NUMBER.exec(groups[groups.length - 1][0]);
  return Number.isNaN(number)
    ? before !== null || /^\s*\(?[ai][.)]/.test(line)
    : number === 1 || (before !== null && Number(before[2]) === number - 1);
}

function commonIndent(chunks: readonly Chunk[]): number {
  const counts = new Map<number, number>();
  for (const chunk of chunks)
    for (const line of chunk.lines) counts.set(indentOf(line), (counts.get(indentOf(line)) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0] ?? 0;
}
