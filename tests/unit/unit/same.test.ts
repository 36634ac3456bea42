import { describe, expect, it } from 'vitest';
import type { Knowledge } from '../../../core/knowledge';
import { factsOf } from '../../../core/unit/fact';
import { saidOnce } from '../../../core/unit/once';
import { sameFacts } from '../../../core/unit/same';
import { unitsOf } from '../../../core/unit/units';
import { knowing } from '../../builders';

const FILLER = [
  'The hall has a roof of slate.',
  'A tap stands beside the gate.',
  'The bench was painted in spring.',
  'Visitors sign the book.',
  'Rakes hang behind the door.',
  'Oil is stored in tins.',
  'A bell rings at noon.',
  'The yard slopes to the river.',
].join('\n\n');
const pair = (a: string, b: string): Promise<Knowledge[]> =>
  Promise.all(
    [`# One\n\n## A\n\n${a}\n\n${FILLER}\n`, `# Two\n\n## B\n\n${b}\n`].map((text, at) => knowing(text, `${at}.md`)),
  );
async function same(a: string, b: string, together = false): Promise<string[]> {
  const knowledge = await pair(a, b);
  const text = (key: string) => {
    const [id, at] = key.split('/');
    return knowledge.flatMap((each) => each.sentences.get(id)?.[Number(at)].text ?? [])[0];
  };
  return [
    ...sameFacts(
      factsOf(knowledge, () => true),
      () => (together ? 'lesson' : undefined),
    ),
  ].map(([less, fuller]) => `${text(less)} = ${text(fuller)}`);
}

describe('the same fact', () => {
  it('in other words is found, and the fuller wording stays', async () => {
    expect(
      await same(
        'Ring the occupational health line on 960 358, day or night, within one hour.',
        'Ring occupational health: 960 358, inside 60 minutes',
      ),
    ).toEqual([
      'Ring occupational health: 960 358, inside 60 minutes = Ring the occupational health line on 960 358, day or night, within one hour.',
    ]);
    expect(
      await same(
        'The bur is removed before the handpiece is laid down.',
        'Take the bur out before you lay the handpiece down.',
        true,
      ),
    ).toHaveLength(1);
  });
  it.each([
    [
      'another figure',
      'The box must reach the dirty zone within 30 minutes of the treatment.',
      'The box must reach the dirty zone within 45 minutes of the treatment.',
    ],
    [
      'a denial',
      'Gloves are washed and used again in the yard.',
      'Gloves are never washed and used again in the yard.',
    ],
    [
      'more than the other',
      'Guests sign the yellow book.',
      'Guests sign the yellow book and leave their boots outside the cellar.',
    ],
    [
      'so much else around a word or two',
      'The person who opens the door reads the strip, and signs for both.',
      'You put the sign on the door and you come and get me.',
    ],
    [
      'no verb for a sentence that has one',
      'The tool keeper is the head gardener.',
      'Anything about the tool keeper: the head gardener',
    ],
    [
      'about something else',
      'Windows are opened for five minutes after every spray.',
      'And it has got to be wet for five minutes.',
    ],
  ])('is not one with %s', async (what, a, b) => {
    const found = await same(a, b, true);
    // Who says more is the fuller one, never the one that goes.
    if (what === 'more than the other')
      expect(found.every((each) => each.startsWith('Guests sign the yellow book. ='))).toBe(true);
    else expect(found).toEqual([]);
  });
  it('within one source is only what it says letter by letter, of itself', async () => {
    const within = async (...said: string[]) => {
      const knowledge = [await knowing(`# One\n\n## A\n\n${said.join(`\n\n${FILLER}\n\n`)}\n`)];
      return sameFacts(
        factsOf(knowledge, () => true),
        () => 'lesson',
      ).size;
    };
    const RULE = 'The pump room is locked by the last keeper each evening.';
    expect(await within(RULE, RULE.replace('.', '!'))).toBe(1);
    expect(await within(RULE, RULE.replace('pump', 'boiler'))).toBe(0);
    expect(
      await within(
        'This filter keeps sand out of the wide pump room.',
        'This filter keeps sand out of the wide pump room.',
      ),
    ).toBe(0);
    expect(
      await within(
        'Before a dive:\n\n- the wide pump room is locked each evening',
        'After a dive:\n\n- the wide pump room is locked each evening',
      ),
    ).toBe(0);
  });
  it('is looked for in time that grows with the text', async () => {
    const many = await knowing(
      `# A\n\n## B\n\n${Array.from({ length: 400 }, (_, at) => `Shelf ${at} holds item${at} and part${at * 7} of the stock.`).join('\n\n')}\n`,
    );
    expect(
      sameFacts(
        factsOf([many], () => true),
        () => undefined,
      ).size,
    ).toBe(0);
  });
});

describe('lists that say the same point by point', () => {
  const lesson = async (a: string, b: string) => {
    const knowledge = await Promise.all(
      [`# One\n\n## A\n\n${a}\n\n${FILLER}\n`, `# Two\n\n## A\n\n${b}\n`].map((text, at) => knowing(text, `${at}.md`)),
    );
    const home = new Map(
      knowledge.flatMap((each) => each.source.passages.map((passage) => [passage.id, 'lesson'] as const)),
    );
    const { said } = saidOnce({ knowledge, sources: knowledge.map(unitsOf), matter: { noise: new Map() } }, home);
    const text = (key: string) => {
      const [id, at] = key.split('/');
      return knowledge.flatMap((each) => each.sentences.get(id)?.[Number(at)].text ?? [])[0];
    };
    return [...said].map(([less, fuller]) => [text(less), text(fuller)]);
  };
  const FIVE = [
    'Clean the blades:',
    '',
    '- before you cut a rose;',
    '- before a clean cut, such as a graft;',
    '- after any contact with sap or blight;',
    '- after you cut a diseased branch;',
    '- after the last row, every time.',
  ].join('\n');
  it('are taught once and whole, the points of one word too', async () => {
    const found = await lesson(
      FIVE,
      [
        'Five moments:',
        '',
        '- before the rose',
        '- clean cut',
        '- sap',
        '- after the diseased branch',
        '- after the last row',
      ].join('\n'),
    );
    expect(found).toContainEqual(['sap', 'after any contact with sap or blight;']);
    expect(found).toHaveLength(6);
  });
  it('stay both where the order or the words of a single point are others', async () => {
    for (const other of [
      [
        'Five moments:',
        '',
        '- after the last row',
        '- after the diseased branch',
        '- after sap',
        '- clean cut',
        '- before the rose',
      ],
      [
        'Five moments:',
        '',
        '- before the rose',
        '- before the tea break',
        '- after sap',
        '- after the diseased branch',
        '- after the last row',
      ],
      [
        'Five moments:',
        '',
        '- before the rose',
        '- clean cut',
        '- never after sap',
        '- after the diseased branch',
        '- after the last row',
      ],
      [
        'Five moments:',
        '',
        '- before the rose',
        '- clean cut',
        '- after 3 contacts with sap',
        '- after the diseased branch',
        '- after the last row',
      ],
      [
        'Evening:',
        '',
        '- oil the rose shears',
        '- sharpen clean knives',
        '- empty the sap bucket',
        '- burn the diseased heap',
        '- lock the last gate',
      ],
    ])
      expect(
        (await lesson(FIVE, other.join('\n'))).filter(([less]) => other.some((line) => line.endsWith(less))),
      ).toEqual([]);
  });
  it('never stand for each other in turn: something that says it is always shown', async () => {
    // The handout's list says nothing but the policy's, while a point of the policy is said more fully by one of the
    // handout's.
    const policy =
      '- You must ring the harbour office.\n- Close the red valve beside the pump with the brass key.\n- Write the log of the day in ink.';
    const handout = '- You must ring the harbour office quickly\n- Close the valve\n- Write the log';
    const found = new Map((await lesson(policy, handout)).map(([less, fuller]) => [less, fuller]));
    expect(found.size).toBe(3);
    for (const fuller of found.values()) expect(found.has(fuller)).toBe(false);
  });
  it('of entries with two halves one goes alone, of a list of names none', async () => {
    const rules = 'Dirty blades are scrubbed with soap and water for 40 seconds.';
    expect(
      await lesson(
        rules,
        '- Clean blades → a dry cloth\n- Dirty blades → soap and water, 40 seconds\n- Rusty blades → the grey box',
      ),
    ).toEqual([['Dirty blades → soap and water, 40 seconds', rules]]);
    expect(await lesson('The grey gloves hang beside the yellow apron.', '- Grey gloves\n- Boots\n- Helmet')).toEqual(
      [],
    );
  });
});
