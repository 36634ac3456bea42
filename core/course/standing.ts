import { blockTexts, type Block } from './blocks';
import { evidencedSentences, sentenceHash, textOf } from './rich-text';

/** What a block stands on: its sources word for word as drafted, sources but changed since, the author alone, our connecting words, or nothing to say. */
export type Standing = 'source' | 'changed' | 'own' | 'connecting' | 'none';

/** Letters outside of sourced sentences that make no words of their own: spaces, stops, list marks. */
const GLUE = /^[\s\p{P}]*$/u;

/** Tells a block's standing from its evidence marks. */
export function standingOf(block: Block): Standing {
  if (block.kind === 'heading' || block.kind === 'check') return 'none';
  if (block.kind === 'code') return block.evidence?.length ? 'source' : 'own';
  const texts = blockTexts(block).filter((text) => textOf(text).trim() !== '');
  if (texts.length === 0) return 'none';
  let sourced = 0;
  let changed = false;
  let own = false;
  let connecting = false;
  for (const text of texts) {
    for (const { mark, text: words } of evidencedSentences(text)) {
      sourced++;
      if (sentenceHash(words) !== mark.attrs.was) changed = true;
    }
    for (const run of text) {
      if (run.marks?.some((mark) => mark.type === 'evidence') || GLUE.test(run.text)) continue;
      if (run.marks?.some((mark) => mark.type === 'connecting')) connecting = true;
      // A table's header and a defined word stand without marks of their own.
      else if (block.kind !== 'table') own = true;
    }
  }
  if (sourced === 0) return own ? 'own' : connecting ? 'connecting' : block.kind === 'table' ? 'own' : 'none';
  return changed || own ? 'changed' : 'source';
}
