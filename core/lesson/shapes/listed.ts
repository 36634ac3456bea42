import type { Block } from '../../blocks/forms';
import { idFrom } from '../../document/id';
import type { Range } from '../../language/pack';
import type { UsedSentence } from '../../unit/shown';
import { canCut, stretch, type SentenceShape } from './shape';

/** So many things behind a colon are a list. */
const FEWEST = 3;

/** What stands behind the colon of a sentence, cut at its semicolons; undefined where that is no list. */
function listIn(used: UsedSentence): { lead: Range; items: Range[] } | undefined {
  const { text } = used.sentence;
  const colon = text.indexOf(': ');
  if (colon < 0 || /["“”]/.test(text)) return undefined;
  const items: Range[] = [];
  let from = colon + 2;
  for (const piece of text.slice(from).split(';')) {
    const start = from + /^\s*/.exec(piece)![0].length;
    items.push({ from: start, to: from + piece.trimEnd().length });
    from += piece.length + 1;
  }
  return items.length >= FEWEST && items.every((each) => each.to > each.from && canCut(used, each.from))
    ? { lead: { from: 0, to: colon + 1 }, items }
    : undefined;
}

/** A sentence that names things behind a colon, semicolons between, as a list led in by its beginning. */
export const listed: SentenceShape = (sentences, at) => {
  const found = listIn(sentences[at]);
  if (!found) return undefined;
  const used = sentences[at];
  return {
    to: at + 1,
    make: (id): Block[] => [
      { id: idFrom('b', id, 'lead'), kind: 'text', body: { text: stretch(used, found.lead, id) } },
      {
        id,
        kind: 'list',
        body: { ordered: false, items: found.items.map((range) => ({ depth: 0, text: stretch(used, range, id) })) },
      },
    ],
  };
};
