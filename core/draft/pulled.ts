import type { Block } from '../blocks/forms';
import { composePage } from '../lesson/compose';
import { partsOf } from '../lesson/parts';
import { passageBlock } from '../source/on-page';
import type { DraftContext } from './context';

/**
 * Passages that an author wants on a page, in the shapes that drafting would give them: a list as a list, rules by case
 * as a table of cases. `whole`: with all that stands or falls with them. Nothing is left out, neither what is light nor
 * what is said elsewhere; nothing of ours is added. `place` is what ids are made of.
 */
export function pulledBlocks(
  passages: readonly string[],
  { matter: drafting }: Pick<DraftContext, 'matter'>,
  place: string,
  whole: boolean,
): Block[] {
  const matter = { ...drafting, noise: new Map(), said: new Map(), also: new Map(), known: [] };
  const wanted = whole
    ? [...new Set(passages.map((id) => matter.unitOf(id)))].flatMap((unit) => unit.passages)
    : [...new Set(passages)];
  const section = { id: place, title: '', path: [], passages: wanted };
  const parts = partsOf({ sections: [section] }, matter);
  const sourceId = matter.of(wanted[0]).source.id;
  const scope = { title: '', sourceId, sections: [section], words: 0, weight: 0 };
  const { blocks } = composePage({ id: place, title: '' }, scope, parts, matter, '', { recalled: [], ours: false });
  const own = blocks.filter(({ kind }) => kind !== 'heading' && kind !== 'summary');
  // What says nothing that could be drafted is on the page as it is.
  return own.length > 0
    ? own
    : wanted.map((id, at) => passageBlock(matter.of(id).passages.get(id)!, `${place}${at > 0 ? at : ''}`));
}
