import { describe, expect, it } from 'vitest';
import { zipSync, strToU8 } from 'fflate';
import type { Check, CheckKind } from '../../core/checks/forms';
import { hasQti } from '../../core/checks/qtis';
import { validateCourse } from '../../core/course/validate';
import { mediaName } from '../../core/document/media';
import { writeZip } from '../../core/document/zip';
import { readQuestions } from '../../core/questions/file';
import type { GivenQuestions } from '../../core/questions/given';
import { QTI_VERSIONS } from '../../core/questions/names';
import { readText } from '../../core/questions/text';
import { writeQti } from '../../core/questions/write';
import { blankQuiz } from '../../core/course/quizzes';
import type { Course } from '../../core/course/course';
import { aCourse, aModule, anId, bytes } from '../builders';
import { A_PICTURE, another, EVERY_CHECK, PIXELS, SEVERAL } from '../every-check';

let count = 0;
const bringing = { lessonId: anId('home'), id: (letter: string) => anId(`${letter}${count++}`) };
const text = (lines: string, language = 'en') => readText(lines, bringing, language);
const file = (name: string, content: Uint8Array) => readQuestions(name, content, bringing, 'en');
/** A question without its ids: what its author sees of it. */
const seen = ({ checks }: GivenQuestions) => checks.map((check) => sameWords(check));
function sameWords(check: Check): object {
  const names = new Map<string, string>();
  const bare = (value: unknown, field = ''): unknown => {
    if (Array.isArray(value)) return value.map((each) => bare(each, field));
    if (typeof value === 'object' && value !== null)
      return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, bare(each, key)]));
    if (!['id', 'key', 'keys', 'group', 'lessonId'].includes(field) || typeof value !== 'string') return value;
    if (!names.has(value)) names.set(value, `id ${names.size}`);
    return names.get(value);
  };
  return bare(check) as object;
}
/** A course whose quiz asks some checks. */
function asking(checks: readonly Check[], changes: Partial<Course> = {}): Course {
  const lesson = {
    ...blankQuiz(anId('quiz'), 'What do you know?'),
    blocks: checks.map(({ id }) => ({ id: anId(`place ${id}`), kind: 'check' as const, body: { checkId: id } })),
  };
  return { ...aCourse(), checks: [...checks], modules: [aModule('First', [lesson])], ...changes };
}
/** A package with its pictures, as whoever writes one adds them. */
const packed = (course: Course, version: (typeof QTI_VERSIONS)[number]) =>
  writeZip(new Map([...writeQti(course, version), [`media/${mediaName(A_PICTURE)}`, PIXELS]]));

describe.each(QTI_VERSIONS)('questions as QTI %s', (version) => {
  const all = Object.values(EVERY_CHECK)
    .filter(hasQti)
    .map((check) => another(check, `of ${check.kind}`, anId('home')));

  it('come back as they were, every kind of them', () => {
    const back = file('questions.zip', packed(asking(all), version));
    expect(back.left).toEqual([]);
    expect(back.checks.map(({ kind }) => kind).sort()).toEqual(all.map(({ kind }) => kind).sort());
    expect(validateCourse(asking(back.checks))).toEqual([]);
    for (const check of back.checks) {
      const was = all.find(({ kind }) => kind === check.kind)!;
      expect(check.stem).toBe(was.stem);
      expect(RIGHT[check.kind as keyof typeof RIGHT](check as never), check.kind).toEqual(
        RIGHT[was.kind as keyof typeof RIGHT](was as never),
      );
    }
  });

  it('bring their pictures along, under the question and in its answers; one that is not there is named', () => {
    const picture = { media: A_PICTURE, alt: 'A bench' };
    const [first, ...others] = SEVERAL.options;
    const check: Check = {
      ...SEVERAL,
      picture,
      options: [{ ...first, picture: { ...picture, alt: 'One' } }, ...others],
    };
    const course = asking([check]);
    const back = file('questions.zip', packed(course, version));
    expect(back.left).toEqual([]);
    expect([...back.media]).toEqual([[A_PICTURE.hash, PIXELS]]);
    expect(back.checks[0].picture).toEqual(picture);
    const answers = (back.checks[0] as typeof SEVERAL).options;
    expect(answers.map(({ text: words, picture: shown }) => [words, shown?.alt])).toEqual(
      SEVERAL.options.map(({ text: words }, at) => [words, at === 0 ? 'One' : undefined]),
    );
    const bare = file('questions.zip', writeZip(writeQti(course, version)));
    expect(bare.left.map(({ code }) => code)).toEqual(['picture-left']);
    expect(bare.checks[0]).not.toHaveProperty('picture');
  });

  it('keep points, what is said to all answers, and signs that XML has its own use for', () => {
    const odd: Check = {
      ...all[0],
      stem: 'Is 3 < 5 & "5" > 3?',
      points: 2.5,
      said: { right: 'So it is.', wrong: 'Count <again>.' },
    };
    const [back] = file('q.zip', packed(asking([odd]), version)).checks;
    expect(back).toMatchObject({ stem: odd.stem, points: 2.5, said: odd.said });
  });

  it('have a test that draws and limits as the quiz does', () => {
    const course = asking(all);
    const [quiz] = course.modules[0].lessons;
    quiz.quiz = { shows: 'handed', mix: true, minutes: 12, draw: { from: 'here', rules: [{ count: 3 }] } };
    const test = new TextDecoder().decode(writeQti(course, version).get('test.xml'));
    for (const said of ['select="3"', 'shuffle="true"', version === '3.0' ? 'max-time="720"' : 'maxTime="720"'])
      expect(test).toContain(said);
    expect(test.match(/href="items\//g)).toHaveLength(all.length);
  });

  it('say what a rubric is for in the version that knows it', () => {
    const open = all.find(({ kind }) => kind === 'open')!;
    const item = new TextDecoder().decode(writeQti(asking([open]), version).get(`items/${open.id}.xml`));
    expect(item.includes('use="scoring"')).toBe(version === '3.0');
    expect(item).toContain('view="scorer"');
  });

  it('are the same bytes each time', () => {
    expect(packed(asking(all), version)).toEqual(packed(asking(all), version));
  });
});

/** What is right in a check, in words. */
const RIGHT: { [Kind in Exclude<CheckKind, 'scenario' | 'task'>]: (check: Extract<Check, { kind: Kind }>) => unknown } =
  {
    choice: ({ options, key }) => options.map(({ id, text: words }) => [words, id === key]),
    several: ({ options, keys }) => options.map(({ id, text: words }) => [words, keys.includes(id)]),
    truth: ({ answer }) => answer,
    order: ({ items }) => items.map(({ text: words }) => words),
    match: ({ pairs, others }) => [pairs.map(({ left, right }) => [left, right]), others.map((each) => each.text)],
    sort: ({ groups, items }) =>
      items.map(({ text: words, group }) => [words, groups.find(({ id }) => id === group)!.text]).sort(),
    number: ({ value, tolerance }) => [value, tolerance],
    short: ({ accepted }) => accepted,
    area: ({ options, keys }) => options.map(({ id, text: words, box }) => [words, box, keys.includes(id)]),
    open: ({ model, looksFor }) => [model, looksFor],
  };

describe('QTI of others', () => {
  const item = (inside: string, declared: string) =>
    bytes(
      `<?xml version="1.0"?><assessmentItem xmlns="http://www.imsglobal.org/xsd/imsqti_v2p1" identifier="i" title="Mine">
       <responseDeclaration identifier="R" ${declared}</responseDeclaration><itemBody>${inside}</itemBody></assessmentItem>`,
    );

  it('may have its gap within a text, and give points by its mapping', () => {
    const gap = item(
      '<p>The desk opens at <textEntryInteraction responseIdentifier="R"/> in the morning.</p>',
      'cardinality="single" baseType="string"><correctResponse><value>nine</value></correctResponse><mapping><mapEntry mapKey="nine" mappedValue="2"/><mapEntry mapKey="9" mappedValue="2"/><mapEntry mapKey="ten" mappedValue="0.5"/></mapping>',
    );
    expect(file('gap.xml', gap).checks[0]).toMatchObject({
      kind: 'short',
      stem: 'The desk opens at _____ in the morning.',
      accepted: ['nine', '9'],
    });
  });

  it('that cannot be taken is named: no key, several fields in one, another kind, damaged, entities', () => {
    const choice =
      '<choiceInteraction responseIdentifier="R"><prompt>Which?</prompt><simpleChoice identifier="A">a</simpleChoice><simpleChoice identifier="B">b</simpleChoice></choiceInteraction>';
    const single = 'cardinality="single" baseType="identifier">';
    const codes = (name: string, content: Uint8Array) => file(name, content).left.map(({ code }) => code);
    expect(codes('a.xml', item(choice, single))).toEqual(['no-key']);
    expect(codes('b.xml', item(choice + choice, single))).toEqual(['kind-unknown']);
    expect(codes('c.xml', item('<p>Draw <drawingInteraction responseIdentifier="R"/></p>', single))).toEqual([
      'kind-unknown',
    ]);
    expect(codes('d.xml', item('<p>Words alone</p>', single))).toEqual(['no-question']);
    expect(codes('e.xml', bytes('<?xml version="1.0"?><assessmentItem><itemBody>'))).toEqual(['broken']);
    expect(
      codes(
        'f.xml',
        bytes('<?xml version="1.0"?><!DOCTYPE q [<!ENTITY x SYSTEM "file:///etc/hostname">]><qti-assessment-item/>'),
      ),
    ).toEqual(['broken']);
  });

  it('in a zip that is none is refused', () => {
    expect(() => file('x.zip', zipSync({ 'a.txt': strToU8('a') }))).toThrow('not-this-format');
  });
});

describe('pasted questions', () => {
  it('are read as people write them: letters, marks, stars, boxes, a line with the answer', () => {
    const found = text(`1. When does the desk close?
a) at five
*b) at six
c) at seven

2) Which of these may be lent?
- a saw
- a ladder (correct)
- [x] a drill
- the kiln
Points: 2
Feedback: See the list
at the desk.

3. A deposit is paid back when the tool is late.
Answer: false

Question: How long is a loan?
Answer: 14 days

5. What do we call the paper that goes with a tool?
Answer: slip | loan slip

6. Put the morning in order.
Type: order
1. Unlock
2. Switch on
3. Open

7. What belongs together?
saw -> two days
ladder → one day

8. Tell us what you would do.
Type: open
Answer: Ask the desk lead.`);
    expect(found.left).toEqual([]);
    expect(found.checks.map(({ kind }) => kind)).toEqual([
      'choice',
      'several',
      'truth',
      'number',
      'short',
      'order',
      'match',
      'open',
    ]);
    const [choice, several, truth, number, short, order, match, open] = found.checks as never as Record<
      string,
      never
    >[];
    expect(RIGHT.choice(choice as never)).toEqual([
      ['at five', false],
      ['at six', true],
      ['at seven', false],
    ]);
    expect(RIGHT.several(several as never)).toEqual([
      ['a saw', false],
      ['a ladder', true],
      ['a drill', true],
      ['the kiln', false],
    ]);
    expect(several).toMatchObject({ points: 2 });
    expect(truth).toMatchObject({ answer: false });
    expect(number).toMatchObject({ value: 14, unit: 'days' });
    expect(short).toMatchObject({ accepted: ['slip', 'loan slip'] });
    expect(RIGHT.order(order as never)).toEqual(['Unlock', 'Switch on', 'Open']);
    expect((RIGHT.match(match as never) as unknown[])[0]).toEqual([
      ['saw', 'two days'],
      ['ladder', 'one day'],
    ]);
    expect(open).toMatchObject({ model: 'Ask the desk lead.', by: 'person' });
  });

  it('are divided by blank lines where nothing is numbered, and go on over lines', () => {
    const found = text(`Who decides on a windy day
whether a tower is lent?
A. you
B. the desk lead
Correct: B

Is the kiln lent?
Yes
`);
    expect(found.checks).toMatchObject([
      { kind: 'choice', stem: 'Who decides on a windy day whether a tower is lent?' },
    ]);
    expect(found.left).toMatchObject([{ code: 'no-key', place: '7' }]);
  });

  it('may name right answers by letters, numbers or words', () => {
    const of = (answer: string) =>
      (
        text(`1. Which?\na) red\nb) green\nc) blue\nAnswer: ${answer}`).checks[0] as never as {
          kind: string;
          keys?: string[];
        }
      )?.kind;
    expect([of('b'), of('B.'), of('2'), of('green'), of('a, c'), of('a and c'), of('red; blue')]).toEqual([
      'choice',
      'choice',
      'choice',
      'choice',
      'several',
      'several',
      'several',
    ]);
  });

  it('read figures in the way of the course', () => {
    const value = (language: string) => text('1. How much?\nAnswer: 1,500', language).checks[0];
    expect(value('en')).toMatchObject({ value: 1500 });
    expect(value('de')).toMatchObject({ value: 1.5 });
  });

  it('that cannot be taken are named with their line', () => {
    const { checks, left } = text(`1. Which?
a) red
b) green

2. And which of these?
a) only one
Answer: a

3. What then?
a) red
b) green
Answer: purple

4. Of what kind?
Type: crossword
Answer: one`);
    expect(checks).toEqual([]);
    expect(left.map(({ code, place }) => [place, code])).toEqual([
      ['1', 'no-key'],
      ['5', 'too-few-answers'],
      ['9', 'key-unknown'],
      ['14', 'kind-unknown'],
    ]);
  });

  it('may have lines without end, of spaces too', () => {
    const long = ' '.repeat(50_000);
    const found = text(
      `1.${long}Which?${long}\na)${long}red${long}\nb) green${long}(correct)${long}\n${'-'.repeat(50_000)}`,
    );
    expect(found.checks).toMatchObject([{ kind: 'choice', stem: 'Which?' }]);
  });

  it('of nothing are none', () => {
    expect(text('')).toEqual({ checks: [], left: [] });
    expect(text('\n \n\t\n').checks).toEqual([]);
  });
});

describe('questions in tables', () => {
  const ROWS = `Question,A,B,C,Correct,Feedback,Points,Type
When does it close?,at five,at six,,B,See the door,,
Which may be lent?,saw,ladder,kiln,"A, B",,3,
It is open on Sundays.,,,,false,,,
What belongs together?,saw -> two days,ladder -> one day,,,,,match
,a,b,,A,,,
No key here?,a,b,,,,,`;

  it('are read under their headings, and what is missing is named with its row', () => {
    const found = file('q.csv', bytes(ROWS));
    expect(found.checks.map(({ kind }) => kind)).toEqual(['choice', 'several', 'truth', 'match']);
    expect(found.checks[0]).toMatchObject({ said: { right: 'See the door', wrong: 'See the door' } });
    expect(found.checks[1]).toMatchObject({ points: 3 });
    expect(found.left.map(({ code, place }) => [place, code])).toEqual([
      ['6', 'no-question'],
      ['7', 'no-key'],
    ]);
  });

  it('say the same with semicolons and headings of another language', () => {
    const german = `Frage;Antwort 1;Antwort 2;Richtig\nWann schließt es?;um fünf;um sechs;2`;
    expect(seen(file('q.csv', bytes(german)))).toMatchObject([{ kind: 'choice', key: 'id 3' }]);
  });

  it('without such headings are not guessed at', () => {
    expect(file('q.csv', bytes('When?,five,six\nWho?,you,me')).left).toMatchObject([
      { code: 'no-question', place: '1' },
    ]);
  });

  it('may be a workbook', () => {
    const cells = (row: string[], at: number) =>
      `<row r="${at + 1}">${row.map((words, nth) => `<c r="${'ABCD'[nth]}${at + 1}" t="inlineStr"><is><t>${words}</t></is></c>`).join('')}</row>`;
    const rows = [
      ['Question', 'A', 'B', 'Correct'],
      ['When does it close?', 'at five', 'at six', 'B'],
    ];
    const book = zipSync({
      'xl/workbook.xml': strToU8(
        '<workbook xmlns:r="r"><sheets><sheet name="Mine" sheetId="1" r:id="rId1"/></sheets></workbook>',
      ),
      'xl/_rels/workbook.xml.rels': strToU8(
        '<Relationships><Relationship Id="rId1" Type="worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
      ),
      'xl/worksheets/sheet1.xml': strToU8(`<worksheet><sheetData>${rows.map(cells).join('')}</sheetData></worksheet>`),
    });
    expect(file('q.xlsx', book).checks).toMatchObject([{ kind: 'choice', stem: 'When does it close?' }]);
  });
});
