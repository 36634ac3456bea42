import { withoutStart, type ReadBlock, type ReadPassage } from './blocks';

const NUMBER = /^(?:§\s*)?([0-9]{1,3}(?:\.[0-9]{1,3}){1,4}|[A-Z](?:\.[0-9]{1,3}){1,4})\.?\s+(?=[\p{Lu}"“‘'(])/u;
/** Fewer numbered paragraphs than this are figures that happen to begin one. */
const FEWEST = 3;

/**
 * Policies number their paragraphs ("4.1 Check the address ..."): the number says where a passage stands, not what
 * it says, so it goes from the text to its place. Only where several paragraphs carry one.
 */
export function settleClauses(blocks: readonly ReadBlock[]): ReadBlock[] {
  const numbered = (block: ReadBlock): block is ReadPassage =>
    (block.kind === 'paragraph' || block.kind === 'item') && NUMBER.test(block.text);
  if (blocks.filter(numbered).length < FEWEST) return [...blocks];
  return blocks.map((block) => {
    if (!numbered(block)) return block;
    const [all, clause] = NUMBER.exec(block.text)!;
    return { ...withoutStart(block, all.length), clause };
  });
}
