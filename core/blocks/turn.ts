import { BLOCKS, blockTexts, formOf, type Block, type BlockKind } from './forms';

/** Kinds that a block can be turned into, and which can be turned: those made of running text alone. */
export const TURNABLE = (Object.keys(BLOCKS) as BlockKind[]).filter((kind) => BLOCKS[kind].fromTexts);

/**
 * A block as one of another kind, its words and their evidence kept: several blocks where the kind holds one text each.
 * `id` gives ids for further blocks. A block that is not of running text alone stays what it is.
 */
export function turnBlock(block: Block, kind: BlockKind, id: () => string): Block[] {
  const make = formOf({ kind }).fromTexts;
  if (!make || !formOf(block).fromTexts || block.kind === kind) return [block];
  const texts = blockTexts(block).filter((text) => text.length > 0);
  return make(texts.length > 0 ? texts : [[]]).map(
    (body, at) => ({ id: at === 0 ? block.id : id(), kind, body }) as Block,
  );
}
