import type { Part } from '../parts';
import { andMore, canCut, stretch, type PartShape } from './shape';

/** So many items that are all cut alike are rows. */
const FEWEST = 3;
/** What stands before the sign is a name or a case, no sentence. */
const LONGEST = { characters: 60, words: 8 };
/** What stands between two halves of an item. */
const SIGNS = [/\s*[→⇒]\s*/, /\s+[–—]\s+/, /:\s+/];

/** Items that all have a sign between a short half and what belongs to it, as rows of two cells. */
export const pairs: PartShape = ([part], _, place) => {
  if (part.kind !== 'list' || part.items.length < FEWEST) return undefined;
  if (part.items.some(({ passage }) => passage.list?.ordered || (passage.list?.depth ?? 0) > 0)) return undefined;
  const sign = SIGNS.find((each) => part.items.every((item) => cutAt(item, each)));
  if (!sign) return undefined;
  const id = place('pairs');
  const rows = part.items.map((item) => {
    const { from, to } = cutAt(item, sign)!;
    const [first, ...more] = item.sentences;
    const end = first.sentence.text.length;
    return [stretch(first, { from: 0, to: from }, id), andMore(stretch(first, { from: to, to: end }, id), more, id)];
  });
  return { parts: 1, blocks: [{ id, kind: 'table', body: { header: [], rows } }] };
};

/** Where the sign stands in the first sentence of an item. */
function cutAt(
  { passage, sentences: [first] }: Part['items'][number],
  sign: RegExp,
): { from: number; to: number } | undefined {
  if (!first || first.sentence.from > 0 || passage.kind === 'code') return undefined;
  const found = sign.exec(first.sentence.text);
  if (!found || found.index === 0) return undefined;
  const [from, to] = [found.index, found.index + found[0].length];
  const left = first.sentence.text.slice(0, from);
  return left.length <= LONGEST.characters &&
    left.split(/\s+/).length <= LONGEST.words &&
    !/[.!?]/.test(left) &&
    to < first.sentence.text.length &&
    canCut(first, from) &&
    canCut(first, to)
    ? { from, to }
    : undefined;
}
