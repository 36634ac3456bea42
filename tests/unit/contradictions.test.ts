import { describe, expect, it } from 'vitest';
import { understand, type Knowledge } from '../../core/knowledge';
import { contradictionsIn } from '../../core/knowledge/contradictions';
import { numbersOf } from '../../core/language/en/quantities';
import { packFor } from '../../server/language/packs';
import { settle, goneWords, unsettle } from '../../core/course/settle';
import type { Course } from '../../core/course/course';
import { applyAll, type Operation } from '../../core/course/operations';
import { validateCourse } from '../../core/course/validate';
import { draftCourse } from '../../core/draft';
import { withoutWords } from '../../core/knowledge/settle';
import { aBrief, aCourse, fromMarkdown, fromFile, knowing } from '../builders';

function made(course: Course, operations: readonly Operation[]): Course {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(applied.problem.code);
  expect(validateCourse(applied.course)).toEqual([]);
  return applied.course;
}

const known = async (...texts: string[]): Promise<Knowledge[]> =>
  Promise.all(
    texts.map(async (text, at) => {
      const source = await fromMarkdown(
        `# Rules\n\n${text}\n\nThe desk keeps a book of all tools that are lent.\n`,
        `source ${at}.md`,
      );
      return understand(source, packFor('en'));
    }),
  );
const found = async (...texts: string[]) =>
  contradictionsIn(await known(...texts)).map(({ kind, sides }) => [kind, sides[0].text, sides[1].text]);

describe('two sources contradict each other', () => {
  it.each([
    [
      'A reserved tool must be collected within two opening days of the reserved date.',
      'A reserved tool must be collected within three opening days of the reserved date.',
      'figure',
    ],
    ['The late fee is £2 per day for hand tools.', 'The late fee for hand tools is £3 per day.', 'figure'],
    [
      'Members may borrow up to 6 hand tools at a time.',
      'A member may borrow at most four hand tools at a time.',
      'figure',
    ],
    [
      'Volunteers must not lend red-tag tools to visitors.',
      'Volunteers may lend red-tag tools to visitors.',
      'polarity',
    ],
    ['A member may keep a saw for three days at most.', 'A member may keep a saw for three weeks at most.', 'figure'],
    [
      'Lost property must be sorted by staff within 20 days.',
      'Lost property must be sorted by staff within 21 days.',
      'figure',
    ],
    ['Receipts must be handed in within one week.', 'Hand in receipts within 14 days.', 'figure'],
    [
      'A driver who has an accident must fill in the blue form within 24 hours.',
      'After an accident, drivers must fill in the blue form within two days.',
      'figure',
    ],
    ['Children under twelve must sit in the back.', 'Children under ten must sit in the back.', 'figure'],
    [
      'Relatives must give notice one day before they take a resident out.',
      'Relatives give notice two days before they take a resident out.',
      'figure',
    ],
    ['Staff must check the cabinet twice a day.', 'The cabinet must be checked by staff three times a day.', 'figure'],
    ['Wheelchairs must be cleaned weekly.', 'Wheelchairs must be cleaned every month.', 'figure'],
    [
      'Kitchen staff keep samples of each meal for three days.',
      'Samples of each meal must be kept for seven days by the kitchen.',
      'figure',
    ],
    ['Passengers may eat in the van.', 'Passengers must not eat in the van.', 'polarity'],
    ['Each driver must sign for the fuel card.', 'You do not need to sign for the fuel card.', 'polarity'],
    ['Bread from home is allowed in the ward.', 'Bread from home is forbidden in the ward.', 'polarity'],
    [
      'If a pack is wet, the volunteer must charge it at once.',
      'If a pack is wet, the volunteer must not charge it at once.',
      'polarity',
    ],
  ])('%s / %s', async (one, two, kind) => expect(await found(one, two)).toEqual([[kind, one, two]]));
});

describe('nothing is contradicted', () => {
  it.each([
    [
      'the same said twice',
      'A member must return every saw within three days.',
      'A member must return every saw within three days.',
    ],
    [
      'the same figure in digits',
      'A member must return every saw within three days.',
      'Every member must return the saw within 3 days.',
    ],
    [
      'another case',
      'Hand tools may be kept for 14 days by members.',
      'Power tools may be kept for 7 days by members.',
    ],
    ['another thing counted', 'A member may borrow three saws at most.', 'A member may borrow two drills at most.'],
    [
      'the same time in another unit',
      'A fall must be written down within one hour.',
      'Every fall must be written down within 60 minutes.',
    ],
    ['about a month', 'Lost property is kept for one month.', 'Lost property is kept for 30 days.'],
    [
      'half an hour',
      'A bath must be checked by staff after half an hour.',
      'A bath must be checked by staff after 1800 seconds.',
    ],
    ['somebody else', 'Drivers may eat in the van.', 'Passengers must not eat in the van.'],
    ['money and time', 'A late saw costs £2 per day for members.', 'A late saw costs members 2 days of lending.'],
    ['a permission within a case', 'Windows may be opened.', 'When the alarm rings, windows must not be opened.'],
    [
      'another condition',
      'If a pack is wet, the volunteer must not charge it.',
      'If a pack is dry, the volunteer must charge it.',
    ],
    [
      'another action',
      'Volunteers must not lend red-tag tools to visitors.',
      'Volunteers must show red-tag tools to visitors.',
    ],
  ])('%s', async (_, one, two) => expect(await found(one, two)).toEqual([]));

  it('of few words in one source', async () =>
    expect(await found('Passengers may eat in the van. Passengers must not eat in the van.')).toEqual([]));

  it('in sources of languages without numbers', async () => {
    const german = await fromMarkdown(
      '# Regeln\n\nDas Werkzeug muss innerhalb von zwei Tagen zurück sein. Das Werkzeug muss innerhalb von drei Tagen zurück sein.\n',
      'de.md',
    );
    expect(contradictionsIn([understand(german, packFor('de'))])).toEqual([]);
  });
});

describe("the demo's sources", () => {
  it('disagree on one deadline, and on nothing else', async () => {
    const sources = await Promise.all(
      [
        'lending-policy.docx',
        'battery-guide.pdf',
        'front-desk-shift.pptx',
        'twelve-years-at-the-desk.vtt',
        'questions.html',
        'coordinators-notes.md',
      ].map((name) => fromFile(`demo/files/${name}`)),
    );
    const all = contradictionsIn(sources.map((source) => understand(source, packFor(source.language))));
    expect(all).toHaveLength(1);
    expect(all[0].sides.map((side) => side.text)).toEqual([
      'A reserved tool must be collected within two opening days of the reserved date.',
      'A reserved tool must be collected within three opening days of the reserved date.',
    ]);
    expect(new Set(all[0].sides.map((side) => side.sourceId)).size).toBe(2);
  });
});

describe('numbers', () => {
  it('are found in digits and words, with their values', () =>
    expect(numbersOf('Pay £2 within twenty-one days, or 1,200 in all.').map(({ value }) => value)).toEqual([
      2, 21, 1200,
    ]));
});

describe('a contradiction that was settled', () => {
  const two = async () =>
    known(
      'You can reserve by telephone. A reserved tool must be collected within two opening days of the reserved date. After that the desk gives it away.',
      'A reserved tool must be collected within three opening days of the reserved date.',
    );
  it('leaves out what does not hold, and what leans on it', async () => {
    const knowledge = await two();
    const [{ id, sides }] = contradictionsIn(knowledge);
    const course = aCourse();
    const settled = made(course, settle(course, id, 'second', [sides[0].ranges, sides[1].ranges]));
    expect(settled.settled).toEqual([{ id, holds: 'second', gone: sides[0].ranges }]);
    const held = withoutWords(knowledge, goneWords(settled));
    const said = held.flatMap((each) => [...each.sentences.values()].flat().map((sentence) => sentence.text));
    expect(said).toContain('You can reserve by telephone.');
    expect(said).toContain('A reserved tool must be collected within three opening days of the reserved date.');
    expect(said.join(' ')).not.toMatch(/two opening days|After that/);
    expect(
      held
        .flatMap((each) => each.claims)
        .map((claim) => claim.text)
        .join(' '),
    ).not.toMatch(/two opening days|After that/);
    expect(contradictionsIn(held)).toEqual([]);
    expect(withoutWords(knowledge, [])).toEqual(knowledge);
  });
  it("is kept when both hold, with the author's words, and opened again", async () => {
    const [{ id, sides }] = contradictionsIn(await two());
    const course = aCourse();
    const both = made(course, settle(course, id, 'both', [sides[0].ranges, sides[1].ranges], ' Three on Saturdays. '));
    expect(both.settled).toEqual([{ id, holds: 'both', gone: [], words: 'Three on Saturdays.' }]);
    expect(goneWords(both)).toEqual([]);
    expect(made(both, settle(both, id, 'first', [sides[0].ranges, sides[1].ranges])).settled).toHaveLength(1);
    expect(made(both, unsettle(both, id))).toEqual(course);
  });
});

describe('a draft of the demo', () => {
  it('teaches and asks only what its author found to hold', async () => {
    const sources = await Promise.all([
      fromFile('demo/files/questions.html'),
      fromFile('demo/files/lending-policy.docx'),
    ]);
    const knowledge = sources.map((source) => understand(source, packFor(source.language)));
    const [{ sides }] = contradictionsIn(knowledge);
    const draft = (held: Knowledge[]) =>
      JSON.stringify(draftCourse(aBrief({ size: { questionsPerLesson: 3 } }), held, 'Lending').course.modules);
    expect(draft(knowledge)).toContain('within three opening days');
    const gone = sides.find((side) => side.text.includes('three'))!.ranges;
    expect(draft(withoutWords(knowledge, gone))).not.toContain('within three opening days');
  });
});

describe('a table and a sentence', () => {
  const between = async (a: string, b: string) =>
    contradictionsIn(await Promise.all([a, b].map((text, at) => knowing(text, `${at}.md`)))).map(({ sides }) =>
      sides.map((side) => side.text),
    );
  it('contradict each other where what a row names is said with another figure', async () => {
    expect(
      await between(
        '# A\n\n| Risk | Round |\n|---|---|\n| High | every 30 minutes |\n| Low | every 2 hours |\n',
        '# B\n\nHigh risk: every 45 minutes. Low risk guests are visited every 2 hours.\n',
      ),
    ).toEqual([['High: every 30 minutes', 'High risk: every 45 minutes.']]);
    expect(
      await between(
        '# A\n\n| Product | Wet |\n|---|---|\n| Solmarn spray | 5 minutes |\n| Verolin wipes | 1 minute |\n',
        '# B\n\n| Product | Leave it |\n|---|---|\n| Solmarn spray | 3 minutes |\n| Verolin wipes | 1 minute |\n',
      ),
    ).toEqual([['Solmarn spray: 5 minutes', 'Solmarn spray: 3 minutes']]);
  });
  it('do not where the rows of one table differ, or where both name something else', async () => {
    expect(
      await between(
        '# A\n\n| Tool | Fee |\n|---|---|\n| Hand saw | £2 a day |\n| Band saw | £9 a day |\n',
        '# B\n\nA hand drill costs £4 a day for members.\n',
      ),
    ).toEqual([]);
  });
});
