import { isLadder } from '../check/forms/bands';
import { entriesOf } from '../blocks/turn';
import type { Block } from '../blocks/forms';
import { textOf, type RichText } from '../document/rich-text';
import type { LanguagePack } from '../language/pack';
import type { Drawing } from './index';

/** Bands side by side are few, and what holds in each is said in few words. */
const BANDS = { fewest: 2, most: 5 };
const WORDS = 16;

const words = (text: RichText | undefined) => textOf(text ?? []).trim();
/** A kind of block that says what holds under heads. */
const HEADED = new Set<Block['kind']>(['table', 'list', 'terms', 'panels', 'cards', 'figures']);

/** Bands that follow one another, in a table or under heads, as a scale. */
export const scaleIn: Drawing = (blocks, pack, id) =>
  blocks.flatMap((block) => {
    const rows = rowsOf(block);
    const bands = rows.map(({ head }) => pack.bandOf?.(head));
    if (rows.length < BANDS.fewest || rows.length > BANDS.most || bands.some((band) => !band)) return [];
    const ordered = rows
      .map((row, at) => ({ ...row, band: bands[at]! }))
      .sort((a, b) => a.band.from - b.band.from || (a.band.to ?? Infinity) - (b.band.to ?? Infinity));
    if (!isLadder(ordered.map(({ band }) => band)) || !ordered.every(({ text }) => fits(text, pack))) return [];
    const parts = ordered.map(({ head, text }) => ({ id: id(), label: head.replace(/[:.]$/, ''), text }));
    const title = block.kind === 'table' ? block.body.header.map(words).filter(Boolean).join(': ') : '';
    return [{ body: { form: 'scale', parts, ...(title && { title }) }, of: [block] }];
  });

const fits = (text: string, pack: LanguagePack) =>
  text !== '' && pack.stemmedWords(text).length <= WORDS && text.length <= 400;

/** What a block says, by what heads it: of a table its first column and the next. */
function rowsOf(block: Block): { head: string; text: string }[] {
  if (!HEADED.has(block.kind)) return [];
  if (block.kind === 'table') {
    // Of more columns than two nobody says which one the scale is of.
    const { rows } = block.body;
    return rows.every((row) => row.length === 2)
      ? rows.map(([head, text]) => ({ head: words(head), text: words(text) }))
      : [];
  }
  const entries = entriesOf(block);
  return entries.every(({ lead, texts }) => lead && texts.length === 1)
    ? entries.map(({ lead, texts }) => ({ head: words(lead), text: words(texts[0]) }))
    : [];
}
