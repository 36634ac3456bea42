import { describe, expect, it } from 'vitest';
import { blockTexts, plainText, type BlockBodies, type BlockKind } from '../../../core/blocks/forms';
import { allLessons } from '../../../core/course/course';
import { evidencedSentences, replay, textOf } from '../../../core/document/rich-text';
import { draftCourse } from '../../../core/draft';
import { aBrief, knowing } from '../../builders';

/** A hostel and a workshop, told in sentences that ask for a shape without drawing it. */
const SOURCE = `# Night desk

## Deposits

Deposits up to 50 pounds stay in the drawer. Sums from 50 to 200 pounds go into the safe before midnight. Anything over 200 pounds is counted by two people. A lost key costs 15 pounds.

## Arrivals

Check the name against the sheet. Take the deposit in cash or by card. Never say the room number aloud in the lobby. Do not hand a key to a friend who is already staying here.

## Noise

At the first complaint, go there and ask. At the second complaint about the same room, take the name. At the third complaint, ring the duty manager. You never throw anybody out on your own.

## Morning

By half past six, count the drawer. By a quarter to seven, put the wet towels out. By seven, the day desk has the keys. Tell the day desk about: rooms with damage; guests who owe money; anything promised to somebody.

## Unclaimed bags

After 30 days we write to the owner. After 60 days we write again. After 90 days the bag is given to the school.

## The lamp at the door

Green means it can go. Amber means test again after five minutes. Red means it stays here.

## Luggage

By post: open the parcel in front of the camera. Write to the guest within two days.

At the counter: look at the bag together with the guest.

By courier: sign only for the number of parcels.

## Who does what

Desk staff answer the door and the phone. They keep the book. The duty manager decides about late arrivals. Cleaners come at six and may be asked to open rooms.

## What a repair costs

An example: Mrs Okafor brings a drill and writes 40 pounds on the slip. The mechanic finds a broken gear, which is 22 pounds. Work is 15 pounds. Together that is 37 pounds, three less than she allowed. She pays 37 pounds at the counter.

## Words

The night book is the red book in which every round is written down. A swap night is a night that a resident works instead of paying rent. The duty manager is the person on the list by the phone.
`;

async function drafted(source = SOURCE, sourcesOnly = false) {
  const knowledge = await knowing(source);
  const brief = aBrief({ sourcesOnly, size: { questionsPerLesson: 0 } });
  const { course } = draftCourse(brief, [knowledge], 'Night desk');
  const blocks = allLessons(course).flatMap((lesson) => lesson.blocks);
  /** Bodies of a kind that say some words. */
  const bodies = <Kind extends BlockKind>(says: string, kind: Kind): BlockBodies[Kind][] =>
    blocks.flatMap((each) =>
      each.kind === kind && plainText(each).includes(says) ? [each.body as BlockBodies[Kind]] : [],
    );
  return { knowledge, bodies, blocks };
}
const rows = (table: BlockBodies['table'] | undefined) => table?.rows.map((row) => row.map(textOf));

describe('sentences that ask for a shape', () => {
  it('of bands of one unit are a table of them, and what is no band stays outside', async () => {
    const { bodies } = await drafted();
    expect(rows(bodies('Sums from', 'table')[0])).toEqual([
      ['Deposits up to 50 pounds', 'Stay in the drawer.'],
      ['Sums from 50 to 200 pounds', 'Go into the safe before midnight.'],
      ['Anything over 200 pounds', 'Is counted by two people.'],
    ]);
    expect(bodies('lost key', 'text').map(({ text }) => textOf(text))).toContain('A lost key costs 15 pounds.');
  });

  it('of what to do and what not to do, spread over a paragraph, are two sides in their order', async () => {
    const { bodies } = await drafted();
    const [{ left, right }] = bodies('room number', 'sides');
    expect([left, right].map(({ title, items }) => [textOf(title), items.length])).toEqual([
      ['Do', 2],
      ['Do not', 2],
    ]);
    expect(right.items.map(textOf)[0]).toBe('Never say the room number aloud in the lobby.');
  });

  it('of times that follow one another are a table by time; a list in a sentence behind them is one', async () => {
    const { bodies } = await drafted();
    expect(rows(bodies('complaint', 'table')[0])?.map(([when]) => when)).toEqual([
      'At the first complaint',
      'At the second complaint about the same room',
      'At the third complaint',
    ]);
    expect(rows(bodies('quarter to seven', 'table')[0])?.[2]).toEqual(['By seven', 'The day desk has the keys.']);
    expect(textOf(bodies('quarter to seven', 'table')[0].header[0])).toBe('When');
    expect(bodies('owe money', 'list')[0].items.map(({ text }) => textOf(text))[1]).toBe('guests who owe money');
    expect(rows(bodies('After 60 days', 'table')[0])?.[1]).toEqual(['After 60 days', 'We write again.']);
  });

  it('of what signs mean are rows without heads; ways of one thing are tabs', async () => {
    const { bodies } = await drafted();
    const [lamp] = bodies('Amber', 'table');
    expect(lamp.header).toEqual([]);
    expect(rows(lamp)?.[2]).toEqual(['Red', 'It stays here.']);
    const [{ show, panels }] = bodies('By courier', 'panels');
    expect(show).toBe('tabs');
    expect(panels.map(({ title }) => textOf(title))).toEqual(['By post', 'At the counter', 'By courier']);
    expect(panels[0].texts.map(textOf)).toEqual([
      'Open the parcel in front of the camera. Write to the guest within two days.',
    ]);
  });

  it('of people are rows even where no list knows one of them, and of words where one is only worded alike', async () => {
    const { bodies } = await drafted();
    expect(rows(bodies('Cleaners', 'table')[0])?.map(([who]) => who)).toEqual([
      'Desk staff',
      'The duty manager',
      'Cleaners',
    ]);
    const terms = bodies('Night book', 'terms')[0].terms.map(({ term }) => term);
    expect(terms).toEqual(['Night book', 'Swap night', 'Duty manager']);
  });

  it('of words that their author sets in strong letters are words and meanings; quotations stay apart', async () => {
    const { bodies } = await drafted(`# Desk

## Words we use

A **ticket** is one problem of one guest. If a note holds two problems, make two tickets. A **swap** is a way to keep somebody warm although the heater is off. **Settled** means that the guest has said so. The **owner** of a ticket is the person whose name is on it, and there is always exactly one.

## Notes to guests

Say first what they can do now. Compare:

> Dear guest, we regret any inconvenience.

> Hello Ms Ode, the lift runs again from six. Ask at the desk for the spare key.

The second took a minute longer to write.
`);
    expect(bodies('Settled', 'terms')[0].terms.map(({ term, text }) => [term, textOf(text)])).toEqual([
      ['Ticket', 'one problem of one guest. If a note holds two problems, make two tickets.'],
      ['Swap', 'a way to keep somebody warm although the heater is off.'],
      ['Settled', 'the guest has said so.'],
      ['Owner of a ticket', 'the person whose name is on it, and there is always exactly one.'],
    ]);
    expect(bodies('guest', 'quote').map(({ paragraphs }) => paragraphs.map(textOf))).toEqual([
      ['Dear guest, we regret any inconvenience.'],
    ]);
    expect(bodies('spare key', 'quote')).toHaveLength(1);
  });

  it('of an example with its figures are gone through: given, step by step, result', async () => {
    const { bodies } = await drafted();
    const [{ given, working, result }] = bodies('Okafor', 'worked');
    expect([given, working, result].map(({ title }) => textOf(title))).toEqual(['Given', 'Step by step', 'Result']);
    expect(working.items).toHaveLength(3);
    expect(result.items.map(textOf)).toEqual(['She pays 37 pounds at the counter.']);
    const plain = await drafted(SOURCE, true);
    expect(plain.bodies('Okafor', 'worked')).toEqual([]);
  });

  it('say letter by letter where they stand', async () => {
    const { knowledge, blocks } = await drafted();
    for (const { mark, text } of blocks.flatMap(blockTexts).flatMap(evidencedSentences))
      expect(replay(mark.attrs.passages, (id) => knowledge.passages.get(id)?.text)).toBe(text);
  });

  it('stay sentences where they only look alike', async () => {
    const { blocks } = await drafted(`# The yard

## In general

In general, the yard is quiet. In most cases, vans come early. In our example, the gate is green.

## Lists

For vans, cars and bicycles, the gate is open. For dogs, cats and geese, it is shut. For hens, ducks and others, ask.

## Steps that build on each other

Open the gate. Do not close it again. That lets the van in. Never run.

## Addresses

See https://fernhollow.example/find.cgi?
gate=1 for the gate. It is kept there.
`);
    const kinds = new Set(blocks.map(({ kind }) => kind));
    for (const kind of ['table', 'sides', 'panels'] as const) expect(kinds.has(kind), kind).toBe(false);
    expect(blocks.map(plainText).join(' ')).toContain('That lets the van in.');
  });
});
