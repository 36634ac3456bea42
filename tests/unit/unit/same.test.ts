import { describe, expect, it } from 'vitest';
import type { Knowledge } from '../../../core/knowledge';
import { sameFacts } from '../../../core/unit/same';
import { knowing } from '../../builders';

const FILLER = ['The hall has a roof of slate.', 'A tap stands beside the gate.', 'The bench was painted in spring.', 'Visitors sign the book.', 'Rakes hang behind the door.', 'Oil is stored in tins.', 'A bell rings at noon.', 'The yard slopes to the river.'].join('\n\n');
const pair = (a: string, b: string): Promise<Knowledge[]> => Promise.all([`# One\n\n## A\n\n${a}\n\n${FILLER}\n`, `# Two\n\n## B\n\n${b}\n`].map((text, at) => knowing(text, `${at}.md`)));
async function same(a: string, b: string, together = false): Promise<string[]> {
  const knowledge = await pair(a, b);
  const text = (key: string) => { const [id, at] = key.split('/'); return knowledge.flatMap((each) => each.sentences.get(id)?.[Number(at)].text ?? [])[0]; };
  return [...sameFacts(knowledge, () => (together ? 'lesson' : undefined), () => true)].map(([less, fuller]) => `${text(less)} = ${text(fuller)}`);
}

describe('the same fact', () => {
  it('in other words is found, and the fuller wording stays', async () => {
    expect(await same('Ring the occupational health line on 960 358, day or night, within one hour.', 'Ring occupational health: 960 358, inside 60 minutes')).toEqual(['Ring occupational health: 960 358, inside 60 minutes = Ring the occupational health line on 960 358, day or night, within one hour.']);
    expect(await same('The bur is removed before the handpiece is laid down.', 'Take the bur out before you lay the handpiece down.', true)).toHaveLength(1);
  });
  it.each([
    ['another figure', 'The box must reach the dirty zone within 30 minutes of the treatment.', 'The box must reach the dirty zone within 45 minutes of the treatment.'],
    ['a denial', 'Gloves are washed and used again in the yard.', 'Gloves are never washed and used again in the yard.'],
    ['more than the other', 'Guests sign the yellow book.', 'Guests sign the yellow book and leave their boots outside the cellar.'],
    ['about something else', 'Windows are opened for five minutes after every spray.', 'And it has got to be wet for five minutes.'],
  ])('is not one with %s', async (what, a, b) => {
    const found = await same(a, b, true);
    // Who says more is the fuller one, never the one that goes.
    if (what === 'more than the other') expect(found.every((each) => each.startsWith('Guests sign the yellow book. ='))).toBe(true);
    else expect(found).toEqual([]);
  });
  it('is looked for in time that grows with the text', async () => {
    const many = await knowing(`# A\n\n## B\n\n${Array.from({ length: 400 }, (_, at) => `Shelf ${at} holds item${at} and part${at * 7} of the stock.`).join('\n\n')}\n`);
    expect(sameFacts([many], () => undefined, () => true).size).toBe(0);
  });
});
