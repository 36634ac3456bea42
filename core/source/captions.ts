import type { ReadBlock, ReadPassage } from './blocks';

/** "Figure 3: ...", "Tableau 2 : ...", "Abb. 4.1 - ...": a name for what stands beside it, a number, and then its words. */
const NUMBERED = /^\p{Lu}[\p{L}.]{1,13}\s\d{1,3}(?:[.-]\d{1,3})*\s?[.:–—-]\s+\S/u;
/** No caption is longer. */
const LONGEST = 240;

/** Paragraphs with a caption's number become captions where they stand right before or behind a picture or a table. */
export function settleCaptions(blocks: readonly ReadBlock[]): ReadBlock[] {
  const shows = (block: ReadBlock | undefined) => block !== undefined && (block.kind === 'picture' || block.kind === 'row');
  return blocks.map((block, at) => (block.kind === 'paragraph' && block.text.length <= LONGEST && NUMBERED.test(block.text) && (shows(blocks[at - 1]) || shows(blocks[at + 1])) ? { ...block, kind: 'caption' } : block));
}

/** The number or sign that a note begins with. */
const NOTE = /^(?:\[\w{1,3}\]|\(\w{1,3}\)|\d{1,3}[.)]?|[*†‡§¶]{1,3})\s+(?=\S)/u;

/** The mark that leads to a note and the space behind it, as many characters; 0 where it has none. */
export function noteMark({ kind, text }: ReadPassage): number {
  return kind === 'footnote' ? (NOTE.exec(text)?.[0].length ?? 0) : 0;
}
