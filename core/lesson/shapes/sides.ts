import type { Side } from '../../blocks/side';
import type { UsedSentence } from '../../unit/shown';
import { richSentences } from '../rich';
import type { Part } from '../parts';
import { stretch, type PartShape, type ShapeContext } from './shape';

/** Of the words of two lead-ins without their "not", so many are the same. */
const ALIKE = 0.5;

/**
 * Two lists behind each other, of which one says what holds and the other what does not ("We pay for:", "We do not pay
 * for:"), as two sides of one thing.
 */
export const twoLists: PartShape = ([lead, list, otherLead, otherList], context, place) => {
  if (!otherList || !introduces(lead, list) || !introduces(otherLead, otherList)) return undefined;
  const [a, b] = [leadOf(lead), leadOf(otherLead)];
  if (!opposed(a, b, context)) return undefined;
  const id = place('sides');
  return {
    parts: 4,
    blocks: [{ id, kind: 'sides', body: { left: sideOf(a, list, id), right: sideOf(b, otherList, id) } }],
  };
};

const leadOf = ({ items: [{ sentences }] }: Part): UsedSentence => sentences[0];

/** Whether a part is one sentence that leads a flat list in. */
const introduces = (lead: Part, list: Part): boolean =>
  lead.kind === 'text' &&
  list.kind === 'list' &&
  lead.items[0].sentences.length === 1 &&
  list.items[0].passage.leadIn === lead.items[0].passage.id &&
  list.items.every(({ passage }) => passage.kind !== 'code' && !passage.list?.ordered && passage.list?.depth === 0);

function opposed(a: UsedSentence, b: UsedSentence, { matter }: ShapeContext): boolean {
  const { pack } = matter.of(a.sentence.passage.id);
  if (!pack.denies || pack.denies(a.sentence.text) === pack.denies(b.sentence.text)) return false;
  const [own, other] = [new Set(a.sentence.stems), new Set(b.sentence.stems)];
  const same = [...own].filter((stem) => other.has(stem)).length;
  return same >= ALIKE * Math.max(1, Math.min(own.size, other.size));
}

function sideOf(lead: UsedSentence, { items }: Part, id: string): Side {
  const { text } = lead.sentence;
  return {
    title: stretch(lead, { from: 0, to: text.replace(/\s*[:：]\s*$/, '').length }, id),
    items: items.map(({ sentences }) => richSentences(sentences, id)),
  };
}
