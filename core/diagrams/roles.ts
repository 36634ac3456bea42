import type { DiagramLink, DiagramPart } from '../blocks/diagram/form';
import { LABEL_LONGEST } from '../blocks/diagram/form';
import { blockTexts, type Block } from '../blocks/forms';
import { textOf } from '../document/rich-text';
import type { Drawing } from './index';

/** Of fewer a sentence says as much; of more none is seen at a glance. */
const LINKS = { fewest: 2, most: 6 };
const PEOPLE = 3;
/** Parts that tell what is done; stories and quotations tell what was. */
const TOLD = new Set<Block['kind']>(['text', 'list', 'steps', 'callout', 'table', 'panels']);

/** What a part says; of a table of people and what they do, row by row as the sentence it was. */
const wordsOf = (block: Block): string[] =>
  block.kind === 'table' && block.body.rows.every((row) => row.length === 2)
    ? block.body.rows.map((row) => row.map(textOf).join(' '))
    : blockTexts(block).map(textOf);

/** What people tell, ask and hand each other in a lesson, as one drawing. */
export const rolesIn: Drawing = (blocks, pack, id) => {
  const parts: DiagramPart[] = [];
  const links: DiagramLink[] = [];
  const of = new Set<Block>();
  const partOf = (name: string) => {
    const key = pack.stems(name).join(' ');
    const known = parts.find(({ label }) => pack.stems(label).join(' ') === key);
    if (known) return known;
    const part = { id: id(), label: name[0].toUpperCase() + name.slice(1) };
    parts.push(part);
    return part;
  };
  for (const block of blocks) {
    if (!TOLD.has(block.kind) || !pack.passingIn || !pack.tags) continue;
    for (const text of wordsOf(block))
      for (const { from, to } of pack.sentences(text)) {
        const sentence = text.slice(from, to).trim();
        const found = pack.passingIn(sentence, pack.tags(sentence));
        if (!found || found.what.length > LABEL_LONGEST) continue;
        const [who, whom] = [partOf(found.who ?? pack.labels.you), partOf(found.to)];
        const isKnown = links.some((link) => link.from === who.id && link.to === whom.id && link.label === found.what);
        if (who === whom || isKnown) continue;
        links.push({ id: id(), from: who.id, to: whom.id, label: found.what });
        of.add(block);
      }
  }
  const used = parts.filter((part) => links.some(({ from, to }) => part.id === from || part.id === to));
  if (links.length < LINKS.fewest || links.length > LINKS.most || used.length < PEOPLE) return [];
  return [{ body: { form: 'roles', parts: used, links }, of: [...of] }];
};
