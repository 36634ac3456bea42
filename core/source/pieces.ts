import type { ReadBlock, ReadPassage } from './blocks';

/**
 * Characters of one passage: no person writes a longer one, and what looks at sentences side by side must not meet a
 * line of megabytes.
 */
const LONGEST = 20_000;
/** What is longer is cut into pieces of so many characters. */
const PIECE = LONGEST / 4;

/**
 * Blocks with passages too long to be one cut into several, at ends of sentences or words; marks stay on their words.
 */
export function settlePieces(blocks: readonly ReadBlock[]): ReadBlock[] {
  if (blocks.every((block) => !isTooLong(block))) return [...blocks];
  return blocks.flatMap((block) => (isTooLong(block) ? piecesOf(block as ReadPassage) : [block]));
}

const isTooLong = (block: ReadBlock): boolean =>
  block.kind !== 'heading' &&
  block.kind !== 'picture' &&
  block.kind !== 'code' &&
  block.kind !== 'row' &&
  block.text.length > LONGEST;

function piecesOf(block: ReadPassage): ReadPassage[] {
  const { text } = block;
  const parts: ReadPassage[] = [];
  for (let from = 0; from < text.length;) {
    let to = Math.min(from + PIECE, text.length);
    if (to < text.length) {
      // Looked for in this stretch only: in a text without any, the whole would be searched each time.
      const stretch = text.slice(from, to);
      const end = stretch.lastIndexOf('. ');
      const space = stretch.lastIndexOf(' ');
      to = end > 200 ? from + end + 1 : space > 0 ? from + space : to;
    }
    const start = from + /^\s*/.exec(text.slice(from, to))![0].length;
    const part = text.slice(start, to).trimEnd();
    const marks = block.marks
      ?.map((mark) => ({ ...mark, from: Math.max(0, mark.from - start), to: Math.min(part.length, mark.to - start) }))
      .filter((mark) => mark.to > mark.from);
    if (/[\p{L}\p{N}]/u.test(part))
      parts.push({
        ...block,
        text: part,
        ...(block.marks && { marks }),
        ...(block.list && { list: { ...block.list, ...(parts.length > 0 && { continued: true }) } }),
      });
    from = to;
  }
  return parts;
}
