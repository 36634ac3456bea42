import { readRow, type ReadBlock, type ReadPassage } from '../../source/blocks';
import { folded } from '../../source/inline';
import { goesOnWithAddress, isOneWord } from '../../source/line-ends';
import type { Mark } from '../../source/source';
import { wordList, type ReadOptions } from '../options';
import { wordsOf, type Words } from '../text/lines';
import type { Headings } from './headings';
import type { Line } from './lines';
import { tableAt } from './table';

const BULLET = /^[•·▪‣◦●○■□–—\u2022\u25cf\uf0b7-]\s+/u;
const BARE_BULLET = /^[•·▪‣◦●○■□–—\uf0b7-]$/u;
const NUMBER = /^\(?(\d{1,3}|[a-z])[.)]\s+/;

/**
 * Joins lines into paragraphs, list items, code and table rows, with headings between; a section's footnotes follow it.
 */
export function blocksOf(
  lines: readonly Line[],
  headings: Headings,
  footnotes: ReadonlyMap<number, string[]>,
  wordsIn?: ReadOptions['wordsIn'],
): ReadBlock[] {
  const blocks: ReadBlock[] = [];
  const whole = lines.map((line) => line.text).join('\n');
  const known: Words = { inText: wordsOf(whole), ...wordList(whole, wordsIn) };
  const leading = commonLeading(lines);
  let list = 0;
  let noted = 0;
  const note = (page: number) => {
    for (; noted < page; noted++) {
      for (const text of footnotes.get(noted + 1) ?? [])
        blocks.push({ kind: 'footnote', text: folded(text), page: noted + 1 });
    }
  };
  for (let at = 0; at < lines.length;) {
    const heading = headings.get(at);
    const line = lines[at];
    if (heading) {
      note(line.page - 1);
      blocks.push({ kind: 'heading', level: heading.level, text: folded(heading.text), page: line.page });
      at += heading.lines;
      continue;
    }
    const table = tableAt(lines, at, (index) => headings.has(index));
    if (table) {
      const key = `t${line.page}.${at}`;
      blocks.push(...table.rows.map((cells) => readRow(key, table.header, cells, { page: line.page })));
      at += table.lines;
      continue;
    }
    let end = at + 1;
    if (line.mono) {
      while (
        end < lines.length &&
        lines[end].mono &&
        !headings.has(end) &&
        near(lines[end - 1], lines[end], leading * 1.8)
      )
        end++;
      const left = Math.min(...lines.slice(at, end).map((each) => each.from));
      const text = lines
        .slice(at, end)
        .map((each) => ' '.repeat(Math.max(0, Math.round((each.from - left) / (each.size * 0.6)))) + each.text)
        .join('\n');
      if (/\S/.test(text)) blocks.push({ kind: 'code', text, page: line.page });
      at = end;
      continue;
    }
    const item = BULLET.test(line.text) || BARE_BULLET.test(line.text) || numbered(line, blocks);
    const inner = item ? textStart(line) : line.from;
    while (end < lines.length && !headings.has(end) && goesOn(lines, at, end, { item, inner, leading })) end++;
    const { text, marks } = joinLines(lines.slice(at, end), known);
    const bare = item ? text.replace(BARE_BULLET, '').replace(BULLET, '').replace(NUMBER, '') : text;
    const cut = text.length - bare.length;
    const shifted = marks
      .map((mark) => ({ ...mark, from: Math.max(0, mark.from - cut), to: mark.to - cut }))
      .filter((mark) => mark.to > mark.from && mark.to <= bare.length);
    if (/[\p{L}\p{N}]/u.test(bare)) {
      const last = blocks[blocks.length - 1];
      if (item && last?.kind !== 'item') list++;
      const number = item && !BULLET.test(line.text) ? NUMBER.exec(line.text)?.[1] : undefined;
      const passage: ReadPassage = {
        kind: item ? 'item' : 'paragraph',
        text: bare,
        page: line.page,
        ...(shifted.length > 0 && { marks: shifted }),
        ...(item && {
          list: {
            key: `l${list}`,
            ordered: number !== undefined,
            depth: 0,
            ...(number && /\d/.test(number) && { number: Number(number) }),
          },
        }),
      };
      blocks.push(passage);
    }
    at = end;
  }
  note(lines[lines.length - 1]?.page ?? 0);
  return blocks;
}

/** A numbered line is an item when it begins at one, or goes on from the item before. */
function numbered(line: Line, blocks: readonly ReadBlock[]): boolean {
  const number = NUMBER.exec(line.text)?.[1];
  if (!number) return false;
  const last = blocks[blocks.length - 1];
  if (number === '1' || number === 'a') return true;
  return (
    last?.kind === 'item' &&
    last.list?.ordered === true &&
    (!/\d/.test(number) || last.list.number === Number(number) - 1)
  );
}

function textStart(line: Line): number {
  const mark = (BULLET.exec(line.text) ?? NUMBER.exec(line.text))?.[0].length ?? 0;
  return line.cells[1]?.from && mark > 0 && line.cells[0].text.length <= mark
    ? line.cells[1].from
    : line.from + mark * line.size * 0.45;
}

function goesOn(
  lines: readonly Line[],
  start: number,
  at: number,
  { item, inner, leading }: { item: boolean; inner: number; leading: number },
): boolean {
  const first = lines[start];
  const before = lines[at - 1];
  const line = lines[at];
  if (line.mono || BULLET.test(line.text) || BARE_BULLET.test(line.text) || Math.abs(line.size - first.size) > 1)
    return false;
  if (item && /^\(?\d{1,3}[.)]\s/.test(line.text) && Math.abs(line.from - first.from) < 6) return false;
  if (line.page !== before.page) return /[\p{Ll},;-]$/u.test(before.text) && /^[\p{Ll}(]/u.test(line.text);
  if (!near(before, line, leading * 1.3)) return false;
  if (item) return line.from >= Math.min(inner, first.from + 4) - 3;
  const indented = line.from - before.from > first.size * 0.8 && at - start > 1;
  return !indented || /^[\p{Ll}]/u.test(line.text);
}

function near(before: Line, line: Line, most: number): boolean {
  return before.page === line.page && before.y - line.y <= most && before.y - line.y > -2;
}

/** The most frequent distance between neighbouring lines of one size. */
function commonLeading(lines: readonly Line[]): number {
  const counts = new Map<number, number>();
  for (let at = 1; at < lines.length; at++) {
    const distance = lines[at - 1].y - lines[at].y;
    if (lines[at].page === lines[at - 1].page && distance > 4 && distance < 40) {
      const key = Math.round(distance * 2) / 2;
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
  }
  return [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0] ?? 12;
}

function joinLines(lines: readonly Line[], { inText, isWord }: Words): { text: string; marks: Mark[] } {
  let text = '';
  const marks: Mark[] = [];
  for (const line of lines) {
    const broken = /(\p{L}+)[-\u00ad]$/u.exec(text);
    const next = /^(\p{Ll}+)/u.exec(line.text);
    if (broken && next) {
      // Without a word list a hyphen at a line's end is most often the typesetter's.
      if (text.endsWith('\u00ad') || isOneWord(broken[1], next[1], inText, isWord ?? (() => false)))
        text = text.slice(0, -1);
    } else if (text && !goesOnWithAddress(text, line.text)) text += ' ';
    const base = text.length;
    text += line.text;
    for (const stretch of line.code) {
      const last = marks[marks.length - 1];
      if (last && base + stretch.from - last.to <= 1) last.to = base + stretch.to;
      else marks.push({ from: base + stretch.from, to: base + stretch.to, kind: 'code' });
    }
  }
  return {
    text: text.replace(/[\u00ad\u200b\ufeff]/g, (character) => (character === '\u00ad' ? '-' : ' ')).trimEnd(),
    marks,
  };
}
