import { idFrom } from '../../document/id';
import { richRange } from '../../source/rich';
import type { BlockDraft } from '../draft';

export const terms: BlockDraft = (part, place, matter) => {
  const id = idFrom('b', place);
  const terms = part.items.map(({ passage }) => {
    const entry = matter.of(passage.id).entries.get(passage.id)!;
    // The whole of what is said of the term, not its first sentence only.
    return {
      term: entry.term,
      text: richRange(passage, entry.range.from, passage.text.length, [], passage.text.slice(entry.range.from), id),
    };
  });
  return [{ id, kind: 'terms', body: { terms } }];
};
