import { idFrom } from '../../document/id';
import type { RichText } from '../../document/rich-text';
import { asksWhy } from '../../language/why';
import type { Matter, Part } from '../../lesson/parts';
import { richSentences } from '../../lesson/rich';
import { instructs } from '../../unit/facets';
import type { CalloutTone } from '../callout/form';
import type { Block } from '../forms';

/** Told in so many sentences, most of them in the past, of somebody, an example is a story. */
const STORY = { sentences: 3, past: 0.5 };

/** A paragraph; set apart as what it is where its source, its teller, its unit or its words say so. */
export function paragraph(part: Part, place: string, isTold: boolean, matter: Matter): Block {
  const id = idFrom('b', place);
  const text: RichText = richSentences(part.items[0].sentences, id);
  const tone = isTold ? 'experience' : toneOf(part, matter);
  return tone ? { id, kind: 'callout', body: { tone, paragraphs: [text] } } : { id, kind: 'text', body: { text } };
}

function toneOf({ items: [{ passage, sentences }] }: Part, matter: Matter): CalloutTone | undefined {
  if (passage.callout) return passage.callout;
  const [{ sentence }] = sentences;
  const { pack } = matter.of(passage.id);
  const past = sentences.filter(({ sentence: { facts } }) => facts?.past).length;
  const ofSomebody = sentences.some(
    ({ sentence: { facts, text } }) => facts?.firstPerson || pack.aboutPerson?.(text) === true,
  );
  if (ofSomebody && sentences.length >= STORY.sentences && past >= sentences.length * STORY.past) return 'case';
  const unit = matter.unitOf(passage.id);
  if (unit.kind === 'warning' && (matter.claims.get(passage.id) ?? []).some(instructs)) return 'warning';
  if (asksWhy(sentence.text) && sentences.length > 1) return 'why';
  return sentence.facts?.example && sentence.index === 0 && sentences.length > 1 ? 'example' : undefined;
}
