import type { ReadBlock, ReadDocument } from '../../source/blocks';
import { headingNumber } from '../../source/headings';
import { folded, visible } from '../../source/inline';
import { LIMITS } from '../limits';
import { withoutContents } from './contents';
import { decodeText } from './decode';
import { looksLikeCode, unwrapped, wordsOf, type Chunk } from './lines';

const RULE = /^\s*([=\-~*_#.+^"'])\1{2,}\s*$/;
const BULLET = /^(\s*)([*•·▪‣◦–—o-]|\+)\s+(?=\S)/;
const NUMBER = /^(\s*)(?:\(?(\d{1,3}|[a-z])[.)])\s+(?=\S)/;

/** Reads plain text: numbered, underlined and capital headings, bullets and numbers, code by its looks; contents pages dropped. */
export function readText(bytes: Uint8Array): ReadDocument {
  const { text, notices } = decodeText(bytes);
  const clean = visible(text.replace(/\f/g, '\n\n')).replace(/\t/g, '        ');
  const known = wordsOf(clean);
  const chunks = withoutContents(chunksOf(clean.split('\n')));
  const bodyIndent = commonIndent(chunks);
  const blocks: ReadBlock[] = [];
  let list = 0;
  let title: string | undefined;
  chunks.forEach((chunk, index) => {
    const heading = headingOf(chunk, chunks[index + 1], known);
    const lone = folded(chunk.lines.join(' '));
    if (index === 0 && chunk.lines.length === 1 && lone.length <= 90 && !heading && !/[.;,:]$/.test(lone)) {
      title = lone;
      return;
    }
    if (heading) {
      if (index === 0 && heading.level === 1 && !headingNumber(heading.text)) title = heading.text;
      else blocks.push({ kind: 'heading', ...heading });
      if (heading.rest.length > 0) paragraph(heading.rest);
      return;
    }
    paragraph(chunk.lines);
  });
  return { ...(title && { title }), blocks, media: new Map(), notices };

  function paragraph(lines: readonly string[]) {
    const indent = indentOf(lines[0]);
    if (lines.every((line) => RULE.test(line))) return;
    if (indent >= bodyIndent + 2 && !BULLET.test(lines[0]) && !NUMBER.test(lines[0]) && looksLikeCode(lines)) {
      const cut = Math.min(...lines.filter((line) => line.trim()).map(indentOf));
      blocks.push({ kind: 'code', text: lines.map((line) => line.slice(cut).trimEnd()).join('\n') });
      return;
    }
    for (const group of itemGroups(lines)) {
      const bullet = BULLET.exec(group[0]);
      const number = bullet ? null : NUMBER.exec(group[0]);
      const mark = bullet ?? number;
      const body = mark ? [group[0].slice(mark[0].length), ...group.slice(1)] : group;
      for (const piece of pieces(folded(unwrapped(body, known)))) {
        if (!mark) {
          blocks.push({ kind: 'paragraph', text: piece });
          continue;
        }
        const depth = Math.max(0, Math.min(5, Math.floor((mark[1].length - bodyIndent) / 4)));
        const last = blocks[blocks.length - 1];
        if (last?.kind !== 'item') list++;
        blocks.push({ kind: 'item', text: piece, list: { key: `k${list}`, ordered: number !== null, depth, ...(number && /\d/.test(number[2]) && { number: Number(number[2]) }) } });
      }
    }
  }
}

/** Cuts text that no person wrote as one paragraph, so that nothing later meets a line of megabytes. */
export function pieces(text: string): string[] {
  if (text.length <= LIMITS.passageCharacters) return /[\p{L}\p{N}]/u.test(text) ? [text] : [];
  const parts: string[] = [];
  for (let from = 0; from < text.length;) {
    let to = Math.min(from + LIMITS.passageCharacters / 4, text.length);
    if (to < text.length) {
      // Looked for in this stretch only: in a text without any, the whole would be searched each time.
      const stretch = text.slice(from, to);
      const end = stretch.lastIndexOf('. ');
      const space = stretch.lastIndexOf(' ');
      to = end > 200 ? from + end + 1 : space > 0 ? from + space : to;
    }
    const part = text.slice(from, to).trim();
    if (/[\p{L}\p{N}]/u.test(part)) parts.push(part);
    from = to;
  }
  return parts;
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

function headingOf(chunk: Chunk, next: Chunk | undefined, known: (word: string) => boolean): { level: number; text: string; rest: string[] } | undefined {
  const { lines } = chunk;
  const first = lines[0].trim();
  if (lines.length >= 2 && RULE.test(lines[1]) && !RULE.test(lines[0]) && first.length <= 100) {
    return { level: RULE.exec(lines[1])![1] === '=' ? 1 : 2, text: folded(first.replace(/^#+\s*/, '')), rest: lines.slice(2) };
  }
  const text = folded(unwrapped(lines, known));
  if (text.length > 160 || lines.length > 3) return undefined;
  const number = headingNumber(text);
  if (number && chunk.indent <= 3 && (!/[.;,:]$/.test(text.replace(/\betc\.$|\?$/, '')) || (number.depth > 1 && text.length <= 80 && text.endsWith('.')))) {
    const followedByNumber = next && headingNumber(folded(next.lines.join(' '))) && next.lines.length <= 2;
    const listLike = number.depth === 1 && /^\d/.test(text) && followedByNumber && next.indent === chunk.indent;
    if (!listLike) return { level: number.depth, text, rest: [] };
  }
  const letters = text.replace(/[^\p{L}]/gu, '');
  if (lines.length === 1 && letters.length >= 4 && text.length <= 70 && letters === letters.toUpperCase() && letters !== letters.toLowerCase() && !/[.;,]$/.test(text)) {
    return { level: 2, text, rest: [] };
  }
  const standsOut = lines.length === 1 && text.length <= 60 && /^\p{Lu}/u.test(text) && !/[.;,:!?)"]$/.test(text) && text.split(' ').length <= 8;
  if (standsOut && next && next.indent > chunk.indent && chunk.indent === 0) return { level: 4, text, rest: [] };
  return undefined;
}

function itemGroups(lines: readonly string[]): string[][] {
  const groups: string[][] = [];
  for (const line of lines) {
    if (groups.length === 0 || BULLET.test(line) || (NUMBER.test(line) && startsCount(line, groups))) groups.push([line]);
    else groups[groups.length - 1].push(line);
  }
  return groups;
}

/** "1." begins a list; "12." inside a paragraph is most often the end of a sentence unless the list has come so far. */
function startsCount(line: string, groups: readonly string[][]): boolean {
  const number = Number(NUMBER.exec(line)![2]);
  const before = NUMBER.exec(groups[groups.length - 1][0]);
  return Number.isNaN(number) ? before !== null : number === 1 || (before !== null && Number(before[2]) === number - 1);
}

function commonIndent(chunks: readonly Chunk[]): number {
  const counts = new Map<number, number>();
  for (const chunk of chunks) for (const line of chunk.lines) counts.set(indentOf(line), (counts.get(indentOf(line)) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0] - b[0])[0]?.[0] ?? 0;
}

function indentOf(line: string): number {
  return line.length - line.trimStart().length;
}
