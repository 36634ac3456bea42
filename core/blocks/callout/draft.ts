import { idFrom } from '../../document/id';
import type { Part } from '../../lesson/parts';
import { richSentences } from '../../lesson/rich';
import type { Block } from '../forms';

/** A list of what somebody says of themselves, told by them item by item. */
export function toldList({ items }: Part, place: string): Block {
  const id = idFrom('b', place);
  return {
    id,
    kind: 'callout',
    body: {
      tone: 'experience',
      paragraphs: items.filter((item) => item.sentences.length > 0).map((item) => richSentences(item.sentences, id)),
    },
  };
}
