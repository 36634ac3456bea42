import { describe, expect, it } from 'vitest';
import type { Block } from '../../core/blocks/forms';
import { formOf } from '../../core/blocks/forms';
import type { Lesson } from '../../core/course/course';
import { diagramsOf } from '../../core/diagrams';
import { plainRun, type RichText } from '../../core/document/rich-text';
import { packFor } from '../../server/language/packs';
import { aLesson, anId } from '../builders';

const pack = packFor('en');
const text = (words: string) => plainRun(words);
const drawnOf = (blocks: Block[], title = 'A lesson'): ReturnType<typeof diagramsOf> => {
  let serial = 0;
  const lesson: Lesson = { ...aLesson(title, blocks), title };
  return diagramsOf(lesson, pack, () => anId(`part ${serial++}`));
};
const steps = (...words: string[]): Block => ({
  id: anId('steps'),
  kind: 'steps',
  body: { steps: words.map((each) => ({ text: text(each) })) },
});
const table = (header: string[], rows: string[][]): Block => ({
  id: anId('table'),
  kind: 'table',
  body: { header: header.map(text), rows: rows.map((row) => row.map(text)) },
});
const labels = (found: ReturnType<typeof diagramsOf>) => found.map(({ body }) => body.parts.map(({ label }) => label));

describe('a step as a stage', () => {
  it.each([
    ['Wash it under running water with soap for at least two minutes.', 'Wash it under running water with soap'],
    ['Open the lid until it clicks.', 'Open the lid until it clicks'],
    ['Put a blue tag on it, so that nobody takes it.', 'Put a blue tag on it'],
    ['Unload and look at every instrument under the lamp.', 'Unload and look at every instrument'],
    ['Unplug the tool or take the battery out.', 'Unplug the tool or take the battery out'],
    ['Stop (even in the middle of a lane) and switch the engine off.', 'Stop and switch the engine off'],
    ['Run the suction again with one litre of cold water.', 'Run the suction again'],
    ['Ring the coordinator: she decides what happens next.', 'Ring the coordinator'],
  ])('%s', (step, stage) => expect(pack.stageOf?.(step)).toBe(stage));

  it.each([
    ['If the light is red, stop.', 'it hangs on its case'],
    ['Never open the lid while it turns.', 'what is not done is no stage'],
    [
      'Make sure that everybody who is in the room and in the corridor has heard you.',
      'it says nothing without its rest',
    ],
    ['Photograph each receipt so that the date and the amount and the name can be read.', 'cut'],
    [
      'Put the name of the guest who ordered and the allergens they told you about on the label.',
      'where to is missing',
    ],
    ['For meals with guests, add their names.', 'no verb begins it'],
  ])('is not made of “%s”: %s', (step, why) => {
    const stage = pack.stageOf?.(step);
    if (why === 'cut') expect(stage).toBe('Photograph each receipt');
    else expect(stage).toBeUndefined();
  });
});

describe('drawn of a lesson’s own words', () => {
  it('are steps as a strip, with the passages they stand on, before the steps', () => {
    const stands = (words: string, passage: string): RichText => [
      {
        type: 'text',
        text: words,
        marks: [
          {
            type: 'evidence',
            attrs: { id: anId(words), passages: [{ id: anId(passage), from: 0, to: 5 }], was: 'aaaaaaaa' },
          },
        ],
      },
    ];
    const block = steps('Clear the pool.', 'Close the valve.', 'Ring the manager.');
    (block.body as { steps: { text: RichText }[] }).steps[0].text = stands('Clear the pool.', 'p1');
    const heading: Block = { id: anId('h'), kind: 'heading', body: { level: 2, text: text('Glass in the pool') } };
    const [found] = drawnOf([heading, block]);
    expect(found).toMatchObject({
      before: block.id,
      evidence: [{ id: anId('p1'), from: 0, to: 5 }],
      body: { form: 'strip', title: 'Glass in the pool' },
    });
    expect(labels([found])).toEqual([['Clear the pool', 'Close the valve', 'Ring the manager']]);
    // What stands there is not offered again.
    expect(drawnOf([heading, { id: anId('d'), kind: 'diagram', body: found.body }, block])).toEqual([]);
  });

  it('are no strip where a step cannot be said in few words, or not all are steps', () => {
    expect(drawnOf([steps('Open it.', 'If it leaks, stop at once.', 'Close it.')])).toEqual([]);
    expect(drawnOf([steps('Open it.', 'Close it.')])).toEqual([]);
    const named = (name: string, words: string): RichText => [
      { type: 'text', text: name, marks: [{ type: 'strong' }] },
      { type: 'text', text: ': ', marks: [{ type: 'connecting' }] },
      { type: 'text', text: words },
    ];
    const block = steps('x', 'y', 'z');
    const body = block.body as { steps: { text: RichText }[] };
    body.steps = [
      { text: named('Clear the pool', 'Everybody gets out.') },
      { text: named('Loose stool', 'Close it for a day.') },
      { text: named('Solid stool', 'Close it for an hour.') },
    ];
    expect(drawnOf([block])).toEqual([]);
  });

  it('are bands as a scale, in the order of their figures, whatever order they stand in', () => {
    const block = table(
      ['Days late', 'What happens'],
      [
        ['More than 10 days', 'The desk lead telephones'],
        ['Up to 3 days', 'A reminder goes out'],
        ['4 to 10 days', 'A letter goes out'],
      ],
    );
    const [found] = drawnOf([block]);
    expect(found.body).toMatchObject({ form: 'scale', title: 'Days late: What happens' });
    expect(labels([found])).toEqual([['Up to 3 days', '4 to 10 days', 'More than 10 days']]);
    // A gap between bands is no scale, nor is a row that is no band.
    expect(
      drawnOf([
        table(
          ['a', 'b'],
          [
            ['Up to 3 days', 'x'],
            ['8 to 10 days', 'y'],
          ],
        ),
      ]),
    ).toEqual([]);
    expect(
      drawnOf([
        table(
          ['a', 'b'],
          [
            ['Up to 3 days', 'x'],
            ['Sundays', 'y'],
          ],
        ),
      ]),
    ).toEqual([]);
  });

  it('are people and what they tell each other, not what somebody must not, nor who is not named', () => {
    const block: Block = {
      id: anId('t'),
      kind: 'text',
      body: {
        text: text(
          'The volunteer must tell the desk lead at once. The desk lead calls the coordinator. ' +
            'Do not tell the borrower. The reason is simple. Report the damage to the coordinator.',
        ),
      },
    };
    const [found] = drawnOf([block]);
    const names = new Map(found.body.parts.map(({ id, label }) => [id, label]));
    expect(found.body.links!.map(({ from, label, to }) => `${names.get(from)}: ${label} > ${names.get(to)}`)).toEqual([
      'Volunteer: must tell the desk lead at once > Desk lead',
      'Desk lead: calls the coordinator > Coordinator',
      'You: Report the damage to the coordinator > Coordinator',
    ]);
    const rows = table(
      ['Who', 'What they do'],
      [
        ['The volunteer', 'tells the desk lead.'],
        ['The desk lead', 'calls the coordinator.'],
      ],
    );
    expect(labels(drawnOf([rows]))).toEqual([['Volunteer', 'Desk lead', 'Coordinator']]);
    // "rings the tenant": by whom is not said.
    expect(pack.passingIn?.('rings the tenant and the manager', pack.tags!('rings the tenant and the manager'))).toBe(
      undefined,
    );
  });

  it('are how it was and how it is, where two sides are headed so', () => {
    const sides = (left: string, right: string): Block => ({
      id: anId('sides'),
      kind: 'sides',
      body: {
        left: { title: text(left), items: [text('Keys hung on a nail.')] },
        right: { title: text(right), items: [text('Keys lie in the box.'), text('Each is counted.')] },
      },
    });
    const [found] = drawnOf([sides('Until now', 'From now on')]);
    expect(found.body.form).toBe('change');
    expect(found.body.parts[1]).toMatchObject({ label: 'From now on', text: 'Keys lie in the box.\nEach is counted.' });
    expect(drawnOf([sides('Do', 'Do not')])).toEqual([]);
  });

  it('lead only to somebody who is in it', () => {
    const body = {
      form: 'roles' as const,
      title: '',
      parts: [{ id: anId('a'), label: 'A' }],
      links: [{ id: anId('l'), from: anId('a'), to: anId('b'), label: 'tells' }],
    };
    expect(formOf({ kind: 'diagram' }).problems!(body)).toEqual(['diagram-link']);
  });
});
