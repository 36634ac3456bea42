import { beforeAll, describe, expect, it } from 'vitest';
import type { AskingForm } from '../../core/checks/check';
import { checkText, type Check, type CheckKind, type CheckKinds } from '../../core/checks/forms';
import { allLessons, type Course } from '../../core/course/course';
import { validateCourse } from '../../core/course/validate';
import { draftCourse } from '../../core/draft';
import { bandOf } from '../../core/language/en/bands';
import { withValue } from '../../core/language/en/quantities';
import { aBrief, knowing } from '../builders';

const SOURCE = `# The bicycle shed

## Words here

A **stand** is the frame that one bicycle hangs in while it is worked on. A **float** means the coins that lie in the till when we open. A **ghost** is a bicycle that nobody has asked about for 90 days. The **keeper** of a stand is the person whose name is on its board.

## Closing the shed

Each evening:

1. Hang the tools back on the board.
2. Sweep the floor under the stands.
3. Count the float with somebody else.
4. Switch off the compressor at the wall.
5. Lock the side door from inside.

## Who pays

| Cost of parts | Who may say yes |
| --- | --- |
| Up to £20 | The person at the stand |
| £21 to £100 | The shed keeper |
| £101 to £400 | The treasurer |
| Above £400 | The whole committee |

## Where things go

| Thing | Box |
| --- | --- |
| Cut cables | Metal |
| Bent spokes | Metal |
| Old tyres | Rubber |
| Tubes with holes | Rubber |
| Worn chains | Metal |

## Where tools hang

| Tool | Place |
| --- | --- |
| Truing stand | By the window |
| Chain whip | On the red board |
| Headset press | In the locked drawer |
| Spoke key | Under the counter |

## Pumps

Keep the hose off the floor. Write every fault on the board. Never leave the compressor running alone. Do not point the nozzle at a person. Check the gauge before you fill a tube.

## Times

Bring a lent pump back within 14 days. A repair that takes longer than three weeks must be agreed with the shed keeper.
`;
let course: Course;
beforeAll(async () => {
  const brief = aBrief({ sourcesOnly: false, size: { questionsPerLesson: 3 } });
  ({ course } = draftCourse(brief, [await knowing(SOURCE)], 'The bicycle shed'));
});
const drafted = <Kind extends CheckKind>(form: AskingForm, kind: Kind): CheckKinds[Kind][] =>
  course.checks.filter(
    (check): check is CheckKinds[Kind] & Check => check.drafted?.form === form && check.kind === kind,
  );

describe('questions of other kinds than one of several', () => {
  it('are valid, stand on passages, and several kinds of them stand in lessons', () => {
    expect(validateCourse(course)).toEqual([]);
    expect(course.checks.every(({ evidence }) => evidence.length > 0)).toBe(true);
    const placed = new Set(
      allLessons(course).flatMap(({ blocks }) =>
        blocks.flatMap((block) => (block.kind === 'check' ? [block.body.checkId] : [])),
      ),
    );
    const kinds = new Set(course.checks.filter(({ id }) => placed.has(id)).map(({ kind }) => kind));
    expect(kinds.size).toBeGreaterThanOrEqual(3);
  });

  it('put the steps of a procedure in order, as they stand', () => {
    const [order] = drafted('sequence', 'order');
    expect(order.items.map(({ text }) => text)).toEqual([
      'Hang the tools back on the board',
      'Sweep the floor under the stands',
      'Count the float with somebody else',
      'Switch off the compressor at the wall',
      'Lock the side door from inside',
    ]);
    expect(order.stem).toBe('Closing the shed: put these steps in order.');
  });

  it('make a task of a procedure, each step a criterion with its passage, offered and never placed unasked', () => {
    const [task, ...others] = drafted('practice', 'task');
    expect(others).toEqual([]);
    expect(task.stem).toBe('Closing the shed: write down how you do it, one thing after another.');
    expect(task.criteria.map(({ text }) => text)).toEqual([
      'Hang the tools back on the board.',
      'Sweep the floor under the stands.',
      'Count the float with somebody else.',
      'Switch off the compressor at the wall.',
      'Lock the side door from inside.',
    ]);
    expect(task.criteria.every(({ quotes, levels }) => quotes[0].passage !== undefined && levels.length === 3)).toBe(
      true,
    );
    // The steps are what is to be known: shown before, they would only be copied.
    expect(task).toMatchObject({ criteriaShown: false, lastWord: 'confirmed', handIn: { words: { most: 300 } } });
    expect(task.model).toContain('Sweep the floor under the stands. Count the float');
    const placed = allLessons(course).flatMap(({ blocks }) => blocks.filter(({ kind }) => kind === 'check'));
    expect(placed.some(({ body }) => (body as { checkId: string }).checkId === task.id)).toBe(false);
  });

  it('match words with their meanings, where their source sets the words apart', () => {
    const pairs = drafted('pairs', 'match').find(({ stem }) => stem.startsWith('Words here'))!;
    expect(Object.fromEntries(pairs.pairs.map(({ left, right }) => [left, right]))).toMatchObject({
      Stand: 'The frame that one bicycle hangs in while it is worked on',
      Float: 'The coins that lie in the till when we open',
      Ghost: 'A bicycle that nobody has asked about for 90 days',
    });
    // Not "the keeper of a stand": its meaning would be found by the word.
    expect(
      allLessons(course)
        .find(({ title }) => title === 'Words here')!
        .blocks.map(({ kind }) => kind),
    ).toContain('terms');
  });

  it('match the rows of a table that tell themselves apart, and sort those that do not', () => {
    const hang = drafted('pairs', 'match').find(({ stem }) => stem.startsWith('Where tools hang'))!;
    expect(hang.stem).toBe('Where tools hang: which “Place” belongs to which “Tool”?');
    expect(hang.pairs).toContainEqual(expect.objectContaining({ left: 'Chain whip', right: 'On the red board' }));
    const boxes = drafted('groups', 'sort').find(({ stem }) => stem.includes('“Box”'))!;
    const inBox = (name: string) =>
      boxes.items
        .filter(({ group }) => group === boxes.groups.find(({ text }) => text === name)!.id)
        .map(({ text }) => text);
    expect(inBox('Metal')).toEqual(['Cut cables', 'Bent spokes', 'Worn chains']);
    expect(inBox('Rubber')).toEqual(['Old tyres', 'Tubes with holes']);
  });

  it('ask for a figure inside of a band, whose case is right', () => {
    const bands = drafted('band', 'choice');
    expect(bands.length).toBeGreaterThan(0);
    for (const band of bands) {
      const figure = Number(/“£([\d,]+)”/.exec(band.stem)![1].replace(',', ''));
      const who = figure <= 20 ? /stand/ : figure <= 100 ? /keeper/ : figure <= 400 ? /treasurer/ : /committee/;
      expect(band.options.find(({ id }) => id === band.key)!.text, checkText(band)).toMatch(who);
      expect([20, 21, 100, 101, 400]).not.toContain(figure);
    }
  });

  it('sort what is done from what is not, by the bare deeds', () => {
    const [sorted] = drafted('groups', 'sort').filter(({ stem }) => stem.startsWith('Pumps'));
    const [does, not] = sorted.groups;
    expect([does.text, not.text]).toEqual(['Do', 'Do not']);
    expect(sorted.items.filter(({ group }) => group === not.id).map(({ text }) => text)).toEqual([
      'Leave the compressor running alone',
      'Point the nozzle at a person',
    ]);
    expect(sorted.items.map(({ text }) => text).join()).not.toMatch(/never|do not/i);
  });

  it('have no two right sides that say the same', () => {
    for (const { pairs } of drafted('pairs', 'match'))
      expect(new Set(pairs.map(({ right }) => right.toLowerCase())).size).toBe(pairs.length);
  });
});

describe('bands of figures', () => {
  it.each([
    ['Up to £50', 0, 50],
    ['£51 to £250', 51, 250],
    ['Above £2,000', 2000, undefined],
    ['Under 4 cm', 0, 4],
    ['4 to 8 cm', 4, 8],
    ['Over 8 cm', 8, undefined],
    ['10 days or more', 10, undefined],
  ])('%s', (text, from, to) => {
    expect(bandOf(text)).toMatchObject({ from, ...(to !== undefined && { to }) });
  });

  it.each(['£50', 'A deposit of up to £50 in cash', 'S2', 'Between meals', '3 days and 5 metres'])('not %s', (text) => {
    expect(bandOf(text)).toBeUndefined();
  });

  it('write another figure as the source writes its own', () => {
    expect(withValue({ text: '£2,000', worded: false }, 1400)).toBe('£1,400');
    expect(withValue({ text: '£400', worded: false }, 1400)).toBe('£1,400');
    expect(withValue({ text: '2000 m', worded: false }, 1400)).toBe('1400 m');
    expect(withValue({ text: 'ten minutes', worded: true }, 4)).toBe('four minutes');
  });
});
