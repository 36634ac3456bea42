import { describe, expect, it } from 'vitest';
import type { AskingForm } from '../../core/checks/check';
import type { Check, ChoiceCheck } from '../../core/checks/forms';
import { draftCourse } from '../../core/draft';
import { aBrief, knowing } from '../builders';

const TROUBLES = `# Kiln troubles

## The kiln won't light when I press the red knob

The gas tap behind the bench is shut, or its hose has come loose.

## My glaze has run down on to the shelf

The firing was too hot for this recipe, so lower the last cone by one.

## I hear a rattle while the fan turns

A screw of the guard has worked itself out and lies in the housing.

## The door says "locked" after it has cooled and I cannot open it

The latch sensor is dusty: wipe it with a dry cloth and wait a minute.

## My pots crack along the handle

The handle dries first, so hang damp paper over it for a night.
`;
const FOLDERS = `# Where things lie

## in/ : Orders of the day

### Purpose

Everything that came in since midnight waits here.

## out/post/ : Letters that are ready to go

### Purpose

The porter empties it at four.

## keep/deeds/ : Papers of a house

### Purpose

They stay for thirty years.

## keep/pay/ : Wage slips by month

### Purpose

They stay for ten years.

## scrap/ : Sheets for the shredder

### Purpose

Nothing in it may be taken out again.
`;
const INTERVIEW = `# Talking to a joiner

## What do you tell beginners about glue?

Less is more, and clamps are not for pulling.

## What do you never lend to anybody?

The block plane that my aunt gave me.

## What do you do when a drawer sticks in summer?

Candle wax on the runners does for a season.

## What do you dislike about varnish?

That everybody wants it to shine like a mirror.
`;
const GALLERY = `# The gallery

## Fire

Leave by the green door. Gather at the anchor, not at the kiosk: the engine turns there. Wheel the trolley out with both hands, not with one.

## Lost children

If a child is lost, take the colour of the coat and tell the counter by radio. The counter must ring the manager after five minutes. You may give no name to anybody. Never give a description over the loudspeaker.

Take the money to the bank when there is more than £400 in the safe, in daylight, by two ways in a week.

## Mornings

Before the doors open:

1. Switch off the alarm at the grey box.
2. Put the lights on from the board.
3. Read the gauge in the map room and write the figure in the log.
4. Look at the table in the hall and take away what lies on it.
5. Count the float and sign for it.
`;
const RULES = `# The archive

## Shelves

Every box must have a label on its short side. Boxes must not stand on the floor of the cellar. The heating must be turned off at the end of May. Visitors should ask for a box by its number.
`;

const checksOf = async (text: string, form: AskingForm): Promise<Check[]> => {
  const brief = aBrief({ sourcesOnly: true, size: { questionsPerLesson: 3 } });
  const { course } = draftCourse(brief, [await knowing(text)], 'Work');
  return course.checks.filter(({ drafted }) => drafted?.form === form);
};
const key = (check: Check) => {
  const { options, key: right } = check as ChoiceCheck;
  return options.find(({ id }) => id === right)!.text;
};

describe('headings that are asked about', () => {
  it('are troubles with what is behind them, among what is behind others', async () => {
    const made = await checksOf(TROUBLES, 'answer');
    expect(made.length).toBeGreaterThanOrEqual(3);
    const rattle = made.find(({ stem }) => stem.includes('rattle'))!;
    expect(rattle.stem).toBe('I hear a rattle while the fan turns. What is behind it, or what helps?');
    expect(key(rattle)).toBe('A screw of the guard has worked itself out and lies in the housing');
    for (const check of made) {
      expect((check as ChoiceCheck).options).toHaveLength(4);
      for (const { feedback } of (check as ChoiceCheck).options) expect(feedback.quotes).toHaveLength(1);
    }
  });

  it('are names with what they are, other names of the list as wrong answers, words as they stand', async () => {
    const made = await checksOf(FOLDERS, 'named');
    expect(made.length).toBeGreaterThanOrEqual(3);
    const slips = made.find(({ stem }) => stem.includes('Wage slips'))!;
    expect(slips.stem).toBe('Which of these is this about: “Wage slips by month”?');
    expect(key(slips)).toBe('keep/pay/');
    // "Purpose" heads every part: it is no name.
    expect(made.some((check) => JSON.stringify((check as ChoiceCheck).options).includes('Purpose'))).toBe(false);
  });

  it('are not those of an interview, which are answered by somebody and not by a rule', async () => {
    expect(await checksOf(INTERVIEW, 'answer')).toEqual([]);
  });
});

describe('a rule to be judged', () => {
  it('stands as it is or with the contrary of its word of obligation; what is only advised is not judged', async () => {
    const made = await checksOf(RULES, 'permission');
    expect(made).toHaveLength(1);
    const [{ stem, ...check }] = made;
    const said = [
      'Every box must have a label on its short side.',
      'Boxes must not stand on the floor of the cellar.',
      'The heating must be turned off at the end of May.',
    ];
    const turned = [
      'Every box need not have a label on its short side.',
      'Boxes may stand on the floor of the cellar.',
      'The heating need not be turned off at the end of May.',
    ];
    expect([...said, ...turned]).toContain(stem);
    expect(check).toMatchObject({ kind: 'truth', answer: said.includes(stem) });
  });
});

describe('a fresh text, read as a stranger', () => {
  it('keeps steps that tell to read a figure or to look at a table: they are done, and point at nothing', async () => {
    const brief = aBrief({ sourcesOnly: true, size: { questionsPerLesson: 3 } });
    const { course } = draftCourse(brief, [await knowing(GALLERY)], 'Work');
    const page = JSON.stringify(course.modules);
    for (const words of ['Read the gauge in the map room', 'Look at the table in the hall'])
      expect(page).toContain(words);
  });

  it('asks of "this, not that" the one or the other, with the matter it belongs to', async () => {
    const made = await checksOf(GALLERY, 'instead');
    expect(made).toHaveLength(1);
    const [{ stem, ...check }] = made;
    expect(stem).toMatch(
      /^Fire: you (?:gather at the (?:anchor|kiosk)|wheel the trolley out with (?:both hands|one))\.$/,
    );
    expect(check).toMatchObject({ kind: 'truth', answer: /anchor|both hands/.test(stem) });
  });

  it('asks within the case a paragraph begins with, and takes no adverb behind a comma for a part of a case', async () => {
    const all = [...(await checksOf(GALLERY, 'number')), ...(await checksOf(GALLERY, 'permission'))];
    const lost = all.filter(({ stem }) => /ring the manager|loudspeaker/.test(stem));
    expect(lost.length).toBeGreaterThan(0);
    for (const { stem } of lost) expect(stem).toMatch(/^If a child is lost[,:] /);
    for (const { stem } of await checksOf(GALLERY, 'condition')) expect(stem).not.toContain('in daylight');
  });
});
