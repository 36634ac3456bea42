import { idFrom } from '../../document/id';
import type { RichText } from '../../document/rich-text';
import type { Part } from '../../lesson/parts';
import { richSentences } from '../../lesson/rich';
import type { Block } from '../forms';

/** A paragraph; set apart as what it is where its source, its teller or its words say so. */
export function paragraph({ items: [{ passage, sentences }] }: Part, place: string, isTold: boolean): Block {
  const id = idFrom('b', place);
  const text: RichText = richSentences(sentences, id);
  const [{ sentence }] = sentences;
  const callout = isTold ? 'experience' : passage.callout;
  if (callout) return { id, kind: 'callout', body: { tone: callout, paragraphs: [text] } };
  if (sentence.facts?.example && sentence.index === 0 && sentences.length > 1)
    return { id, kind: 'callout', body: { tone: 'example', paragraphs: [text] } };
  return { id, kind: 'text', body: { text } };
}
