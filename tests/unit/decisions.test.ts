import { readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { ScenarioCheck } from '../../core/checks/scenario/form';
import { walk } from '../../core/checks/scenario/walk';
import { allLessons, type Course } from '../../core/course/course';
import { validateCourse } from '../../core/course/validate';
import { draftCourse } from '../../core/draft';
import { bandOf } from '../../core/language/en/bands';
import { understand } from '../../core/knowledge';
import { aBrief, english, fromFile, knowing } from '../builders';

const brief = () => aBrief({ sourcesOnly: false, size: { questionsPerLesson: 2 } });
async function draft(text: string): Promise<Course> {
  return draftCourse(brief(), [await knowing(text)], 'At the gate').course;
}
const storiesIn = (course: Course): ScenarioCheck[] =>
  course.checks.flatMap((check) => (check.kind === 'scenario' ? [check] : []));
/** Each scene with what is right in it and what tempts. */
const told = ({ scenes }: ScenarioCheck) =>
  scenes.map(({ text, choices }) => ({
    text,
    right: choices.filter(({ score }) => score > 0).map((choice) => choice.text),
    wrong: choices
      .filter(({ score }) => score <= 0)
      .map((choice) => choice.text)
      .sort(),
  }));

const RULES = `# The ferry gate

## Letting people on

Everybody shows a ticket. If a passenger has lost the ticket, send them to the blue hut. If the gate does not open, turn the small wheel by hand; do not push against the gate. When a bicycle has no lock, tie it to the rail with the red rope.

Never let anybody climb over the gate.

## Quarrels

If a passenger shouts at you, ask them once to stop: "Please lower your voice." If it happens again, stop the boarding and call the harbour office by radio. If two passengers push each other, step back and blow the whistle twice.
`;

describe('a story of rules', () => {
  it('has the cases of a lesson in turn: what is right in one tempts in the next, and what is forbidden in all', async () => {
    const course = await draft(RULES);
    expect(validateCourse(course)).toEqual([]);
    const story = storiesIn(course).find(({ stem }) => stem.startsWith('Letting people on'))!;
    const scenes = told(story);
    expect(scenes.map(({ text }) => text)).toEqual([
      'A passenger has lost the ticket. What do you do?',
      'Another time: The gate does not open. What do you do?',
      'Another time: A bicycle has no lock. What do you do?',
    ]);
    expect(scenes.map(({ right }) => right)).toEqual([
      ['Send them to the blue hut'],
      ['Turn the small wheel by hand'],
      ['Tie it to the rail with the red rope'],
    ]);
    // The sentence's own "do not" tempts where it stands.
    expect(scenes[1].wrong).toContain('Push against the gate');
    expect(scenes[0].wrong).toContain('Turn the small wheel by hand');
    for (const { right, wrong } of scenes) {
      expect(wrong.length).toBeGreaterThanOrEqual(2);
      expect(wrong).not.toContain(right[0]);
    }
  });

  it('goes on where the sources go on, in their order', async () => {
    const story = storiesIn(await draft(RULES)).find(({ stem }) => stem.startsWith('Quarrels'))!;
    const [first, second] = told(story);
    expect(first).toMatchObject({
      text: 'A passenger shouts at you. What do you do?',
      right: ['Ask them once to stop'],
    });
    expect(second.text).toBe('It happens again. What do you do?');
    expect(second.wrong).toContain('Ask them once to stop');
  });

  it('can be walked: a wrong choice is made again and costs, every scene is come to, and each says what holds', async () => {
    for (const { scenes, evidence } of storiesIn(await draft(RULES))) {
      const { reached, ending, best, again } = walk(scenes);
      expect(reached.size).toBe(scenes.length);
      expect(ending.size).toBe(scenes.length);
      expect(best!.score).toBe(2 * scenes.length);
      const choices = scenes.flatMap((scene) => scene.choices);
      expect(choices.filter(({ score }) => score < 0).every(({ id }) => again.has(id))).toBe(true);
      expect(choices.every(({ quotes, follows }) => quotes[0].text !== '' && follows.includes('“'))).toBe(true);
      expect(evidence.length).toBeGreaterThan(1);
    }
  });

  it('is offered, and never placed unasked', async () => {
    const course = await draft(RULES);
    const stories = new Set(storiesIn(course).map(({ id }) => id));
    const placed = allLessons(course).flatMap(({ blocks }) =>
      blocks.flatMap((block) => (block.kind === 'check' ? [block.body.checkId] : [])),
    );
    expect(stories.size).toBeGreaterThan(0);
    expect(placed.some((id) => stories.has(id))).toBe(false);
  });

  it('is none where the sources say two things of one case', async () => {
    const course = await draft(`# Smoke

## Fire

If smoke comes out of the engine, close the fuel tap and ring the bell. When smoke comes out of the engine, leave the boat at once by the stern.
`);
    expect(storiesIn(course)).toEqual([]);
  });
});

describe('a story of a table', () => {
  it('of bands gives a figure inside of each, and who decides', async () => {
    const course = await draft(`# Refunds

## Giving money back

Somebody has to agree before money goes back to a passenger.

| Amount | Who may say yes |
|---|---|
| Up to £20 | The gatekeeper |
| £21 to £80 | The shift leader |
| Above £80 | The harbour master |
`);
    const [story] = storiesIn(course);
    const scenes = told(story);
    expect(scenes.map(({ right }) => right[0])).toEqual(['The gatekeeper', 'The shift leader', 'The harbour master']);
    const figures = scenes.map(({ text }) => Number(/£(\d+)/.exec(text)![1]));
    expect(figures[0]).toBeLessThan(20);
    expect(figures[1]).toBeGreaterThan(21);
    expect(figures[1]).toBeLessThan(80);
    expect(figures[2]).toBeGreaterThan(80);
    expect(scenes[0].text).toMatch(/^Amount: £\d+\. Who may say yes\?$/);
  });

  it('of counts is decided by what is done, though what is done names figures', async () => {
    const course = await draft(`# Water

## Testing the tank

The tank is tested every Monday.

| Cells per millilitre | What it means | What to do |
|---|---|---|
| 150 or below | Good | Carry on |
| 151 to 900 | Raised | Rinse the tank overnight and test again within three days |
| Above 900 | Bad | Empty the tank until two tests in a row are 150 or below |
`);
    const scenes = told(storiesIn(course)[0]);
    expect(scenes.map(({ right }) => right[0])).toEqual([
      'Carry on',
      'Rinse the tank overnight and test again within three days',
      'Empty the tank until two tests in a row are 150 or below',
    ]);
    expect(scenes[2].text).toMatch(/^The next one\. Cells per millilitre: 1,?\d{3}\. What do you do\?$/);
  });

  it('is none of what something is or how long it takes', async () => {
    const course = await draft(`# Paint

## Drying

Each paint has its own time.

| Paint | Touch it after | Made of |
|---|---|---|
| Hull red | 6 hours | Copper |
| Deck grey | 12 hours | Resin |
| Rail white | 3 hours | Chalk |
`);
    expect(storiesIn(course)).toEqual([]);
  });
});

it('a story of what is done when something happens: what comes later and what is forbidden tempts', async () => {
  const course = await draft(`# Overboard

## Somebody in the water

When somebody falls into the water:

1. Throw the nearest ring.
2. Point at the person with your arm.
3. Shout to the bridge.
4. Lower the small boat with two crew.
5. Wrap the person in a blanket.

Never jump after the person.
`);
  const [story] = storiesIn(course);
  expect(story.stem).toBe('Somebody falls into the water: you decide');
  const [first, second] = told(story);
  expect(first.text).toBe('Somebody falls into the water. What do you do first?');
  expect(first.right).toEqual(['Throw the nearest ring']);
  expect(first.wrong).toContain('Jump after the person');
  expect(second.text).toBe('Throw the nearest ring. That is done. What is next?');
  expect(second.wrong).not.toContain('Throw the nearest ring');
});

it('a story whose first step is no deed says all the same what has happened', async () => {
  const course = await draft(`# Smoke

## Smoke in the engine room

When smoke comes out of the engine room:

1. If the fan runs, stop it.
2. Close the hatch of the engine room.
3. Put the ring of the gas valve to red.
4. Call the bridge by the red telephone.
5. Count the crew on the deck.
`);
  const [story] = storiesIn(course);
  expect(told(story)[0].text).toMatch(
    /^Smoke comes out of the engine room\. If the fan runs, stop it\. That is done\./,
  );
});

describe('stories of documents that hold rules, bands and emergencies', () => {
  it.each(readdirSync('eval/stories'))('%s', async (name) => {
    const source = await fromFile(`eval/stories/${name}`);
    const { course } = draftCourse(brief(), [understand(source, english())], 'x');
    const stories = storiesIn(course);
    expect(stories.length).toBeGreaterThan(0);
    for (const story of stories) {
      const { reached, best } = walk(story.scenes);
      expect([reached.size, best!.choices.length]).toEqual([story.scenes.length, story.scenes.length]);
      for (const { choices } of story.scenes) {
        const texts = choices.map(({ text }) => text.toLowerCase());
        expect(new Set(texts).size).toBe(texts.length);
        expect(choices.filter(({ score }) => score > 0)).toHaveLength(1);
        expect(choices.length).toBeGreaterThanOrEqual(3);
      }
    }
  });
});

describe('a condition as a fact', () => {
  const { fact, goesOn, forbidden, decides, row, role } = english().questions!.decision!;
  it.each([
    ['if a member is more than two weeks late', 'A member is three weeks late.'],
    ['when there is more than £400 in the safe', 'There is £430 in the safe.'],
    ['if less than 40 litres are left', '37 litres are left.'],
    ['If a caller insults you,', 'A caller insults you.'],
    ['if the tank does not hold more than 30 litres', 'The tank does not hold more than 30 litres.'],
    ['when closing up the room', undefined],
    ['if in doubt about pruning', undefined],
    ['a member is late', undefined],
  ])('%s', (condition, said) => expect(fact(condition)).toBe(said));

  it('is understood alone, or only behind another', () => {
    expect(['It happens again', 'The deputy does not answer either', 'An owner has forgotten it.'].every(goesOn)).toBe(
      true,
    );
    expect(['It thunders', 'A dog slips its lead', 'You see flames'].some(goesOn)).toBe(false);
  });

  it('is met by those the brief names, where that is a name for several', () => {
    expect(role('Front-desk volunteers')).toMatch(/^Front-desk volunteers meet this at work\./);
    expect(role('New staff')).toMatch(/^New staff meet/);
    for (const who of ['', 'everybody who stands at the desk', 'A nurse', 'Volunteers, new and old'])
      expect(role(who)).toMatch(/^You meet this at work\./);
  });

  it('forbids beside what it orders', () => {
    expect(forbidden('Close the gate and call; do not run after it.')).toBe('run after it');
    expect(forbidden('Sweep it, never mop it.')).toBe('mop it');
    expect(forbidden('Call the office.')).toBeUndefined();
    expect(forbidden('Wait; don’t forget the key.')).toBeUndefined();
  });

  it('asks a column for a decision, and not for a measure or a meaning', () => {
    expect(['Who may say yes', 'What to do', 'It goes in', 'Tell'].every(decides)).toBe(true);
    expect(row('Found', 'Coat', 'Where it goes', false)).toBe('Found: Coat. Where does it go?');
    expect(row('', 'A bloody swab', 'It goes in', true)).toBe('The next one. A bloody swab. It goes in …');
    expect(['Who', 'Container', 'What it means', 'When it applies', 'Collected'].some(decides)).toBe(false);
  });
});

it.each([
  ['200 or below', 0, 200],
  ['201 to 1,000', 201, 1000],
  ['Above 1,000', 1000, undefined],
  ['0.5 to 0.9', 0.5, 0.9],
])('counts have bands, too: %s', (text, from, to) => {
  expect(bandOf(text)).toMatchObject({ from, ...(to !== undefined && { to }) });
});
