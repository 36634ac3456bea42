import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { readOutline } from '../../../core/own/file';
import { outlineFromText } from '../../../core/own/lines';
import type { OwnOutline } from '../../../core/own/own';

const shape = ({ modules }: OwnOutline) =>
  modules.map(({ title, lessons }) => [
    title,
    ...lessons.map((lesson) => (lesson.points.length > 0 ? [lesson.title, ...lesson.points] : lesson.title)),
  ]);
const read = async (name: string, content: string | Uint8Array) => {
  const made = await readOutline(
    { name, bytes: typeof content === 'string' ? strToU8(content) : content },
    'All of it',
  );
  if (!made.ok) throw new Error(made.problem.code);
  return made.outline;
};
const DESK = [
  ['At the door', 'Greeting', ['Badges', 'Day badges', 'Lost badges']],
  ['At the desk', 'Parcels', 'Keys'],
];

describe('an outline of one’s own', () => {
  it.each([
    [
      'indented by spaces',
      'At the door\n  Greeting\n  Badges\n    Day badges\n    Lost badges\nAt the desk\n  Parcels\n  Keys\n',
    ],
    [
      'indented by tabs',
      'At the door\n\tGreeting\n\tBadges\n\t\tDay badges\n\t\tLost badges\nAt the desk\n\tParcels\n\tKeys',
    ],
    [
      'headings and lists',
      '# At the door\n## Greeting\n## Badges\n- Day badges\n- Lost badges\n\n# At the desk\n## Parcels\n## Keys',
    ],
    [
      'headings over a list',
      '## At the door\n\n- Greeting\n- Badges\n  - Day badges\n  - Lost badges\n\n## At the desk\n\n- Parcels\n- Keys\n',
    ],
    [
      'numbers',
      '1. At the door\n1.1 Greeting\n1.2 Badges\n1.2.1 Day badges\n1.2.2 Lost badges\n2. At the desk\n2.1 Parcels\n2.2 Keys',
    ],
    [
      'names',
      'Module 1: At the door\nLesson 1: Greeting\nLesson 2: Badges\n- Day badges\n- Lost badges\nModule 2: At the desk\nLesson 1: Parcels\nLesson 2: Keys',
    ],
    [
      'bullets',
      '* **At the door**\n  * Greeting\n  * Badges\n    * Day badges\n    * Lost badges\n* **At the desk**\n  * Parcels\n  * Keys',
    ],
    [
      'lines of another system',
      'At the door\r\n  Greeting\r\n  Badges\r\n    Day badges\r\n    Lost badges\r\nAt the desk\r\n  Parcels\r\n  Keys',
    ],
  ])('is read from %s', (_, text) => expect(shape(outlineFromText(text, 'All of it'))).toEqual(DESK));

  it('of lines without levels has one module, and a line above all others is the title', () => {
    expect(shape(outlineFromText('Greeting\n\nBadges\nKeys', 'All of it'))).toEqual([
      ['All of it', 'Greeting', 'Badges', 'Keys'],
    ]);
    const whole = outlineFromText(
      '# The front desk\n## At the door\n### Greeting\n## At the desk\n### Keys',
      'All of it',
    );
    expect(whole.title).toBe('The front desk');
    expect(shape(whole)).toEqual([
      ['At the door', 'Greeting'],
      ['At the desk', 'Keys'],
    ]);
  });

  it('keeps what can be done and minutes, wherever they stand, and a module without lessons as one', () => {
    const [door, end] = outlineFromText(
      'At the door\n  Greeting (5 min)\n    Objective: Greet every guest within a minute\n  Badges | Hand out a badge\n  Keys\tGive a key to its owner\n  -> Say who may have it\nThe end',
      'All of it',
    ).modules;
    expect(door.lessons).toEqual([
      { title: 'Greeting', minutes: 5, objective: 'Greet every guest within a minute', points: [] },
      { title: 'Badges', objective: 'Hand out a badge', points: [] },
      { title: 'Keys', objective: 'Give a key to its owner', points: [] },
      { title: 'Say who may have it', points: [] },
    ]);
    expect(end).toEqual({ title: 'The end', lessons: [{ title: 'The end', points: [] }] });
  });

  it('is read from tables, with a head or without, in any order of columns', async () => {
    const asked = [
      ['At the door', 'Greeting', 'Badges'],
      ['At the desk', 'Parcels'],
    ];
    const headed = await read(
      'o.csv',
      'Minutes;Lesson title;Module;Learning objective\n5;Greeting;At the door;Greet every guest\n2,5;Badges;;\n;Parcels;At the desk;\n',
    );
    expect(shape(headed)).toEqual(asked);
    expect(headed.modules[0].lessons[0]).toEqual({
      title: 'Greeting',
      objective: 'Greet every guest',
      minutes: 5,
      points: [],
    });
    expect(headed.modules[0].lessons[1].minutes).toBe(2.5);
    expect(
      shape(await read('o.csv', 'At the door,Greeting,Greet every guest\n,Badges,\nAt the desk,Parcels,\n')),
    ).toEqual(asked);
    expect(shape(await read('o.csv', 'At the door,\n,Greeting\n,Badges\nAt the desk,\n,Parcels\n'))).toEqual(asked);
    expect(
      shape(await read('o.csv', 'Level,Title\n1,At the door\n2,Greeting\n2,Badges\n1,At the desk\n2,Parcels\n')),
    ).toEqual(asked);
    const cell = (reference: string, text: string) => `<c r="${reference}" t="inlineStr"><is><t>${text}</t></is></c>`;
    const book = zipSync({
      '[Content_Types].xml': strToU8('<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>'),
      'xl/workbook.xml': strToU8(
        '<workbook xmlns:r="r"><sheets><sheet name="Outline" sheetId="1" r:id="r1"/></sheets></workbook>',
      ),
      'xl/_rels/workbook.xml.rels': strToU8(
        '<Relationships><Relationship Id="r1" Type="t/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
      ),
      'xl/worksheets/sheet1.xml': strToU8(
        `<worksheet><sheetData><row r="1">${cell('A1', 'Module')}${cell('B1', 'Lesson')}</row><row r="2">${cell('A2', 'At the door')}${cell('B2', 'Greeting')}</row><row r="3">${cell('B3', 'Badges')}</row><row r="4">${cell('A4', 'At the desk')}${cell('B4', 'Parcels')}</row></sheetData></worksheet>`,
      ),
    });
    expect(shape(await read('o.xlsx', book))).toEqual(asked);
  });

  it('is read from OPML, with its title and notes', async () => {
    const outline = await read(
      'o.opml',
      '<?xml version="1.0"?><opml version="2.0"><head><title>The front desk</title></head><body><outline text="At the door"><outline text="Greeting" _note="Greet every guest"/><outline text="Badges &amp; keys"><outline text="Day badges"/></outline></outline><outline text="At the desk"/></body></opml>',
    );
    expect(outline.title).toBe('The front desk');
    expect(outline.modules[0].lessons).toEqual([
      { title: 'Greeting', objective: 'Greet every guest', points: [] },
      { title: 'Badges & keys', points: ['Day badges'] },
    ]);
  });

  it('is read from the headings and lists of any other document', async () => {
    expect(
      shape(
        await read(
          'o.html',
          '<h1>At the door</h1><h2>Greeting</h2><p>Say hello.</p><h2>Badges</h2><ul><li>Day badges</li></ul><h1>At the desk</h1><h2>Keys</h2>',
        ),
      ),
    ).toEqual([
      ['At the door', 'Greeting', ['Badges', 'Day badges']],
      ['At the desk', 'Keys'],
    ]);
  });

  it('takes no more than a course can hold: long lines are cut to a title, minutes nobody means are left, lines end', async () => {
    const long = `A lesson ${'that goes on and on '.repeat(200)}`;
    const [module] = outlineFromText(
      `Module\n  ${long}\n  Short (0 min)\n${' '.repeat(500_000)}x${' '.repeat(500_000)}5 min`,
      'All of it',
    ).modules;
    expect(module.lessons[0].title.length).toBeLessThanOrEqual(400);
    expect(module.lessons[0].title).toMatch(/\w…$/);
    expect(module.lessons[1]).toEqual({ title: 'Short', points: [] });
    const table = await read('o.csv', `Module,Lesson,Minutes,Objective\nA,B,99999,"${long}"\n`);
    expect(table.modules[0].lessons[0]).toMatchObject({ title: 'B' });
    expect(table.modules[0].lessons[0].minutes).toBeUndefined();
    expect(table.modules[0].lessons[0].objective!.length).toBeLessThanOrEqual(400);
    const many = outlineFromText(Array.from({ length: 5000 }, (_, at) => `Lesson ${at} of it`).join('\n'), 'All of it');
    expect(many.modules[0].lessons).toHaveLength(3000);
  });

  it.each([
    ['empty.txt', '', 'no-outline'],
    ['marks.md', '---\n\n***\n', 'no-outline'],
    ['broken.opml', '<opml><body><outline text="a"></body>', 'broken'],
    ['other.opml', '<rss/>', 'not-this-format'],
    ['entity.opml', '<!DOCTYPE opml [<!ENTITY a "b">]><opml/>', 'xml-entities'],
    ['not.xlsx', 'no zip', 'broken'],
  ])('says what is wrong with %s', async (name, content, code) => {
    const made = await readOutline({ name, bytes: strToU8(content) }, 'All of it');
    expect(made).toMatchObject({ ok: false, problem: { place: name } });
    expect([code, 'zip-broken', 'not-read-here']).toContain(made.ok ? '' : made.problem.code);
  });
});
