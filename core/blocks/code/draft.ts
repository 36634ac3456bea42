import { idFrom } from '../../document/id';
import type { RichText } from '../../document/rich-text';
import type { Part } from '../../lesson/parts';
import { passageBlock } from '../../source/on-page';
import { richRange } from '../../source/rich';
import type { Passage } from '../../source/source';
import type { BlockDraft } from '../draft';
import type { Block } from '../forms';

/** Code within a list of up to so many lines stands in its item, line by line; longer code stands behind the list. */
const LINES_IN_ITEM = 4;

export const code: BlockDraft = (part, place) => {
  const [{ passage }] = part.items;
  return [passageBlock(passage, idFrom('b', place))];
};

/** Whether a passage of a list is code too long for an item. */
export const standsApart = ({ kind, text }: Passage): boolean =>
  kind === 'code' && text.trim().split('\n').length > LINES_IN_ITEM;

/** Short code as lines of an item, each on its evidence. */
export function codeLines(passage: Passage, place: string): RichText[] {
  const marked: Passage = { ...passage, marks: [{ from: 0, to: passage.text.length, kind: 'code' }] };
  return [...passage.text.matchAll(/\S[^\n]*/g)].map((line) =>
    richRange(marked, line.index, line.index + line[0].trimEnd().length, [], line[0].trimEnd(), place),
  );
}

/** The code of a list that stands behind it. */
export function codeOf(part: Part, place: string): Block[] {
  return part.items
    .filter(({ passage }) => standsApart(passage))
    .map(({ passage }) => passageBlock(passage, idFrom('b', place, passage.id)));
}
