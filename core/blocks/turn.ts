import { plainEntries, type Entry } from './entry';
import { BLOCKS, formOf, type Block, type BlockKind } from './forms';

/** Kinds that a block can be turned into, and which can be turned: those made of words. */
export const TURNABLE = (Object.keys(BLOCKS) as BlockKind[]).filter((kind) => BLOCKS[kind].fromEntries);

/** What a block says, thing by thing. */
export function entriesOf(block: Pick<Block, 'kind' | 'body'>): Entry[] {
  const form = formOf(block);
  return form.entries?.(block.body) ?? plainEntries(form.texts(block.body));
}

/**
 * A block, or neighbouring ones together, as another kind, their words and evidence kept: several blocks where the kind
 * holds one text each. `id` gives ids for further blocks. What is not made of words alone stays what it is, and so does
 * what the kind cannot hold.
 */
export function turnBlocks(blocks: readonly Block[], kind: BlockKind, id: () => string): Block[] {
  const make = formOf({ kind }).fromEntries;
  const same = blocks.length === 1 && blocks[0].kind === kind;
  if (!make || same || blocks.some((block) => !formOf(block).fromEntries)) return [...blocks];
  const entries = blocks.flatMap(entriesOf);
  const bodies = make(entries.length > 0 ? entries : [{ texts: [[]] }]);
  return bodies.length === 0
    ? [...blocks]
    : bodies.map((body, at) => {
        const { id: own = id(), paired } = blocks.at(at) ?? {};
        return { id: own, kind, body, ...(paired && { paired }) } as Block;
      });
}
