import { describe, expect, it } from 'vitest';
import { blockTexts, plainText, type Block, type BlockBodies, type BlockKind } from '../../../core/blocks/forms';
import { allLessons, type Brief } from '../../../core/course/course';
import { evidencedSentences, sentenceHash, textOf } from '../../../core/document/rich-text';
import { draftCourse } from '../../../core/draft';
import { aBrief, knowing } from '../../builders';

/** A handbook of a boat hire, in which every shape is asked for by its matter. */
const SOURCE = `# The boat hire

## Who does what

The caretaker opens the gate and decides whether boats go out. The caretaker keeps the wind log.

Volunteers take the money and hand out the life jackets. They never hand out a jacket that was dropped in the water.

A mechanic repairs the engines. If no mechanic is there, the boat stays on land.

## The weather

If the wind rises above force four, no boat leaves the harbour. If fog comes up, hoist the red flag and ring the bell. This is done by the host on the jetty. If lightning is seen, call every boat back. Rain alone is no reason to close the hire.

## Words we use

A painter is a rope that holds the bow of a boat to the jetty. A fender is a cushion that keeps a boat off the jetty. Hang two of them on each side. A thwart is a board that people sit on across a boat.

## What we lend and to whom

We lend boats to:

- grown-ups who can swim;
- schools with a teacher in each boat.

We do not lend boats to:

- people who have been drinking;
- children without a grown-up.

## What it costs

- Rowing boat: 8 pounds an hour
- Canoe: 10 pounds an hour
- Motor boat: 25 pounds an hour

## Questions at the jetty

May I take my dog? Yes, in rowing boats, if it wears a jacket of its own.

May I pay on the way back? No. The money is taken before the boat leaves.

I have lost an oar. What now? Wave, and stay in the boat. We come and fetch you.

## The day of the fog

In my third summer a father took out two children on a clear morning. The fog came up within ten minutes. He rowed in circles for an hour, and we heard him and could not see him. We found him by his whistle.

## Why jackets first

Why do we hand out the jackets before the oars? Whoever has the oars in hand thinks of leaving. Whoever has a jacket in hand puts it on.

## When somebody is in the water

Call 112 at once when somebody is unconscious, and begin first aid on the jetty.
`;

async function drafted(changes: Partial<Brief> = {}) {
  const knowledge = await knowing(SOURCE);
  const { course } = draftCourse(
    aBrief({ promise: '', sourcesOnly: false, size: { questionsPerLesson: 0 }, ...changes }),
    [knowledge],
    'The boat hire',
  );
  const blocks = allLessons(course).flatMap((lesson) => lesson.blocks);
  const of = <Kind extends BlockKind>(kind: Kind) =>
    blocks.filter((block): block is Extract<Block, { kind: Kind }> => block.kind === kind);
  const bodies = <Kind extends BlockKind>(kind: Kind) => of(kind).map(({ body }) => body as BlockBodies[Kind]);
  return { knowledge, course, blocks, of, bodies };
}
const words = (rows: Parameters<typeof textOf>[0][][]) => rows.map((row) => row.map(textOf));

describe('matter that asks for a shape', () => {
  it('has people and their work in a table: who, and what they do', async () => {
    const { bodies } = await drafted();
    const table = bodies('table').find(({ header }) => header[0] && textOf(header[0]) === 'Who')!;
    expect(words(table.rows)).toEqual([
      ['The caretaker', 'opens the gate and decides whether boats go out. The caretaker keeps the wind log.'],
      [
        'Volunteers',
        'take the money and hand out the life jackets. They never hand out a jacket that was dropped in the water.',
      ],
      ['A mechanic', 'repairs the engines. If no mechanic is there, the boat stays on land.'],
    ]);
  });

  it('has its cases beside what holds in them; what leans on one stays with it, and what is no case outside', async () => {
    const { bodies, blocks } = await drafted();
    const table = bodies('table').find(({ header }) => header[0] && textOf(header[0]) === 'Case')!;
    expect(words(table.rows)).toEqual([
      ['If the wind rises above force four', 'No boat leaves the harbour.'],
      ['If fog comes up', 'Hoist the red flag and ring the bell. This is done by the host on the jetty.'],
      ['If lightning is seen', 'Call every boat back.'],
    ]);
    expect(blocks.filter(({ kind }) => kind === 'text').map(plainText)).toContain(
      'Rain alone is no reason to close the hire.',
    );
  });

  it('has words with their meanings, and what is said further of each', async () => {
    const { bodies } = await drafted();
    const [{ terms }] = bodies('terms');
    expect(terms.map(({ term, text }) => [term, textOf(text)])).toEqual([
      ['Painter', 'a rope that holds the bow of a boat to the jetty.'],
      ['Fender', 'a cushion that keeps a boat off the jetty. Hang two of them on each side.'],
      ['Thwart', 'a board that people sit on across a boat.'],
    ]);
  });

  it('has two lists that say the opposite as two sides', async () => {
    const { bodies } = await drafted();
    const [{ left, right }] = bodies('sides');
    expect([left, right].map(({ title }) => textOf(title))).toEqual(['We lend boats to', 'We do not lend boats to']);
    expect(right.items.map(textOf)).toEqual(['people who have been drinking;', 'children without a grown-up.']);
  });

  it('has items that are all cut alike as rows, questions as folds, stories, reasons and emergencies set off', async () => {
    const { bodies } = await drafted();
    const prices = bodies('table').find(({ header }) => header.length === 0)!;
    expect(words(prices.rows)[1]).toEqual(['Canoe', '10 pounds an hour']);
    const [{ show, panels }] = bodies('panels');
    expect(show).toBe('folds');
    expect(panels.map(({ title }) => textOf(title))).toEqual([
      'May I take my dog?',
      'May I pay on the way back?',
      'I have lost an oar. What now?',
    ]);
    const tones = bodies('callout').map(({ tone, paragraphs }) => [tone, textOf(paragraphs[0]).split(' ')[0]]);
    expect(tones).toEqual(
      expect.arrayContaining([
        ['case', 'In'],
        ['why', 'Why'],
        ['warning', 'Call'],
      ]),
    );
  });

  it('loses no sentence on the way, and every cell says letter by letter where it stands', async () => {
    const { knowledge, blocks } = await drafted();
    const shown = new Map<string, [number, number][]>();
    for (const { mark, text } of blocks.flatMap(blockTexts).flatMap(evidencedSentences)) {
      const [range] = mark.attrs.passages;
      const { text: passage } = knowledge.passages.get(range.id)!;
      let made = '';
      let at = range.from;
      for (const edit of range.edits ?? []) {
        made += passage.slice(at, edit.from) + edit.with;
        at = edit.to;
      }
      expect(made + passage.slice(at, range.to)).toBe(text);
      expect(sentenceHash(text)).toBe(mark.attrs.was);
      shown.set(range.id, [...(shown.get(range.id) ?? []), [range.from, range.to]]);
    }
    for (const [id, ranges] of shown) {
      const { text } = knowledge.passages.get(id)!;
      const gone = [...text].filter((_, at) => !ranges.some(([from, to]) => at >= from && at < to)).join('');
      // What falls between two cells: signs; and of a definition, its term, which is no running text, and "is".
      expect(gone.replace(/[\s,:.]/g, '')).toMatch(/^(?:A(?:painter|fender|thwart)is)*$/i);
    }
  });

  it('has no words of ours where only its sources may speak', async () => {
    const { blocks, bodies } = await drafted({ sourcesOnly: true });
    const runs = blocks.flatMap(blockTexts).flat();
    expect(runs.filter(({ marks }) => marks?.some(({ type }) => type === 'connecting'))).toEqual([]);
    expect(bodies('table').every(({ header }) => header.length === 0)).toBe(true);
  });

  it('stays as it is where there are too few, or where it only looks alike', async () => {
    const knowledge = await knowing(`# The yard

## Gate

If a van comes, open the gate. If a car comes, ask who it is. The gate is green.

The porter opens the gate. The guard closes it.

## Files

- Green: the list of vans is long. It is kept here.
- Every van has a number

## Past

The yard was built in 1910. The roof was renewed in 1960. The gate was painted in 1990.
`);
    const { course } = draftCourse(aBrief({ promise: '', size: { questionsPerLesson: 0 } }), [knowledge], 'The yard');
    const kinds = allLessons(course).flatMap((lesson) => lesson.blocks.map(({ kind }) => kind));
    expect(new Set(kinds)).toEqual(new Set(['text', 'list', ...kinds.filter((kind) => kind === 'heading')]));
  });
});

describe('the frame of a lesson', () => {
  const guide = `# The kiln

## Firing a kiln

To load the kiln, follow these steps:

1. Sweep the floor of the kiln.
2. Set the shelves.
3. Put the largest pots at the back.

### Shelves and wax

Every shelf must be brushed with wax before it is loaded. A shelf that was not brushed sticks to the pots and has to be broken off with a chisel afterwards, which costs the shelf and an afternoon. Wax is kept in the tin by the door, and whoever takes the last of it brings a new tin on the next working day. Shelves that are bent are not turned round, because they crack along the bend in the next firing and take the pots below them along. They go to the yard, where they are broken up and laid under the path.

### What to fire when

| Clay | Temperature | Hours |
| --- | --- | --- |
| Earthenware | 1,080 °C | 9 |
| Stoneware | 1,240 °C | 12 |
| Porcelain | 1,280 °C | 14 |

### Opening it

The kiln must not be opened above 90 °C. Wear the long gloves whenever the door is open. Potters like to talk about their pots while they wait, and there is much to be said about glazes, about clay, about the weather and about everybody who is not in the room. The fan has to run for at least thirty minutes after the door was opened. Nobody under sixteen may stand in front of the open door. A pot that cracks on the shelf stays where it is until the kiln is cold, because its edges are as sharp as glass and hot glaze sticks to every glove. When the last pot is out, sweep the shelves, note the number of the firing in the book and turn the main switch off at the wall. Whoever turned it on signs for it. The book lies on the shelf beside the switch, under the lamp that shines as long as there is current on the coils, and the pen hangs from it on a string. Pots are carried two at a time, on the long board, and set down on the table by the window, where they are turned over and looked at from below.
`;
  const made = async (changes: Partial<Brief> = {}) => {
    const brief = aBrief({ promise: '', sourcesOnly: false, size: { questionsPerLesson: 0 }, ...changes });
    const { course } = draftCourse(brief, [await knowing(guide)], 'The kiln');
    return allLessons(course).flatMap((lesson) => lesson.blocks);
  };

  const opening = (blocks: readonly Block[]) => blocks.find((block) => plainText(block).includes('settled here'));

  it('opens with what is settled in it, made of its own parts and marked as ours', async () => {
    const found = opening(await made())!;
    expect(plainText(found)).toContain('how to load the kiln');
    expect(plainText(found)).toContain('the temperature and hours for each clay');
    expect(
      blockTexts(found)
        .flat()
        .every(({ marks }) => marks?.some(({ type }) => type === 'connecting')),
    ).toBe(true);
    expect(opening(await made({ sourcesOnly: true }))).toBeUndefined();
  });

  it('ends with its heaviest claims in the order taught, and nothing that weighs little', async () => {
    const summary = (await made()).findLast(({ kind }) => kind === 'summary')!;
    const points = blockTexts(summary).map(textOf);
    expect(points).toContain('The kiln must not be opened above 90 °C.');
    expect(points.join()).not.toContain('Potters like to talk');
    const places = points.map((point) => guide.replaceAll('\n', ' ').indexOf(point));
    expect(places).toEqual([...places].sort((a, b) => a - b));
  });
});
