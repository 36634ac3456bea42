import type { Block } from '../../blocks/forms';
import type { RichText } from '../../document/rich-text';
import type { UsedSentence } from '../../unit/shown';
import type { Part } from '../parts';
import { andMore, canCut, stretch, type PartShape } from './shape';

/** So many ways of one thing are looked at one at a time. */
const FEWEST = 3;
/** The name of a way is a few words. */
const LONGEST = { characters: 40, words: 5 };

/**
 * Paragraphs that each begin with the name of a way and a colon ("By post: …", "At the counter: …"), as tabs: who needs
 * one of them needs not the others.
 */
export const variants: PartShape = (parts, _, place) => {
  const ways: { first: UsedSentence; colon: number; more: UsedSentence[] }[] = [];
  for (const part of parts) {
    const colon = colonOf(part);
    if (colon === undefined) break;
    const [first, ...more] = part.items[0].sentences;
    ways.push({ first, colon, more });
  }
  if (ways.length < FEWEST) return undefined;
  const id = place('variants');
  const panels = ways.map(({ first, colon, more }): { title: RichText; texts: RichText[] } => {
    const { text } = first.sentence;
    const from = colon + 1 + /^\s*/.exec(text.slice(colon + 1))![0].length;
    return {
      title: stretch(first, { from: 0, to: colon }, id),
      texts: [andMore(stretch(first, { from, to: text.length }, id, true), more, id)],
    };
  });
  const block: Block = { id, kind: 'panels', body: { show: 'tabs', panels } };
  return { parts: ways.length, blocks: [block] };
};

/** Where the colon behind the name of a way stands; undefined where a paragraph begins with none. */
function colonOf({ kind, items: [{ passage, sentences }] }: Part): number | undefined {
  const [first] = sentences;
  if (kind !== 'text' || passage.callout || !first || first.sentence.from > 0) return undefined;
  const { text } = first.sentence;
  const colon = text.indexOf(':');
  const name = text.slice(0, colon);
  return colon > 0 &&
    name.length <= LONGEST.characters &&
    name.split(/\s+/).length <= LONGEST.words &&
    !/[.!?,]/.test(name) &&
    text.slice(colon + 1).trim() !== '' &&
    canCut(first, colon)
    ? colon
    : undefined;
}
