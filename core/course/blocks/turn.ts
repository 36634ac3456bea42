import type { RichText } from '../rich-text';
import { blockTexts, type Block, type BlockKindName } from './index';

/** Kinds that a block can be turned into: those made of running text alone. */
export const TURNABLE = ['text', 'heading', 'list', 'steps', 'callout', 'summary'] as const satisfies readonly BlockKindName[];
export type TurnableKind = (typeof TURNABLE)[number];

/**
 * A block as one of another kind, its words and their evidence kept: several blocks where the kind holds one text each. `id` gives ids for
 * further blocks. Tables, terms, code and checks stay what they are.
 */
export function turnBlock(block: Block, kind: TurnableKind, id: () => string): Block[] {
  if (!(TURNABLE as readonly string[]).includes(block.kind) || block.kind === kind) return [block];
  const texts = blockTexts(block).filter((text) => text.length > 0);
  if (texts.length === 0) texts.push([]);
  const single = (make: (text: RichText) => Block['body']) => texts.map((text, at) => ({ id: at === 0 ? block.id : id(), kind, body: make(text) }) as Block);
  switch (kind) {
    case 'text':
      return single((text) => ({ text }));
    case 'heading':
      return single((text) => ({ level: 2, text: text.map((run) => run) }));
    case 'list':
      return [{ id: block.id, kind, body: { ordered: false, items: texts.map((text) => ({ depth: 0, text })) } }];
    case 'steps':
      return [{ id: block.id, kind, body: { steps: texts.map((text) => ({ text })) } }];
    case 'callout':
      return [{ id: block.id, kind, body: { tone: 'note', paragraphs: texts } }];
    case 'summary':
      return [{ id: block.id, kind, body: { points: texts } }];
  }
}
