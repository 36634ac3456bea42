import { idFrom } from '../../document/id';
import { richSentences } from '../../lesson/rich';
import type { BlockDraft } from '../draft';

/** What the source sets apart as somebody's words stays apart. */
export const quote: BlockDraft = ({ items }, place) => {
  const id = idFrom('b', place);
  return [{ id, kind: 'quote', body: { paragraphs: items.map(({ sentences }) => richSentences(sentences, id)) } }];
};
