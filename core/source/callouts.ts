import { withoutStart, type ReadBlock } from './blocks';
import type { Passage } from './source';

const WORDS: Record<string, Passage['callout']> = {
  note: 'note',
  notes: 'note',
  'nota bene': 'note',
  information: 'note',
  hinweis: 'note',
  anmerkung: 'note',
  remarque: 'note',
  nota: 'note',
  observación: 'note',
  tip: 'tip',
  tips: 'tip',
  hint: 'tip',
  tipp: 'tip',
  astuce: 'tip',
  conseil: 'tip',
  consejo: 'tip',
  sugerencia: 'tip',
  warning: 'warning',
  caution: 'warning',
  danger: 'warning',
  important: 'warning',
  attention: 'warning',
  'be careful': 'warning',
  warnung: 'warning',
  achtung: 'warning',
  vorsicht: 'warning',
  wichtig: 'warning',
  gefahr: 'warning',
  avertissement: 'warning',
  prudence: 'warning',
  advertencia: 'warning',
  atención: 'warning',
  cuidado: 'warning',
  importante: 'warning',
  precaución: 'warning',
  aviso: 'warning',
};

/** The callout that a word or class name stands for. */
export function calloutOf(word: string): Passage['callout'] {
  return WORDS[
    word
      .trim()
      .toLowerCase()
      .replace(/[\s:.!]+$/, '')
  ];
}

/**
 * Settles callouts: a heading or paragraph that says only "Note" or "Warning" becomes a mark on what follows, and a
 * paragraph that begins with such a word and a colon carries the mark itself, and loses the word, which the mark says.
 */
export function settleCallouts(blocks: readonly ReadBlock[]): ReadBlock[] {
  const settled: ReadBlock[] = [];
  let next: Passage['callout'];
  for (const block of blocks) {
    if (block.kind === 'picture' || block.kind === 'code') {
      settled.push(block);
      continue;
    }
    const lone = block.kind === 'heading' || block.kind === 'paragraph' ? calloutOf(block.text) : undefined;
    // "Notes" as a heading over a whole section is a section; over one paragraph it is a callout.
    if (lone && !(block.kind === 'heading' && /^(notes|information)$/i.test(block.text))) {
      next = lone;
      continue;
    }
    if (block.kind === 'heading') {
      next = undefined;
      settled.push(block);
      continue;
    }
    // "sugerencia La vista …": a label in small letters, as layouts set it before the text, whose colon is lost.
    const opening = /^([\p{L} ]{3,14}?)\s?[:!]\s/u.exec(block.text) ?? /^(\p{Ll}{3,14})\s+(?=\p{Lu})/u.exec(block.text);
    const callout = next ?? block.callout ?? (opening ? calloutOf(opening[1]) : undefined);
    settled.push(
      callout
        ? { ...(opening && calloutOf(opening[1]) ? withoutStart(block, opening[0].length) : block), callout }
        : block,
    );
    if (block.kind !== 'item') next = undefined;
  }
  return settled;
}
