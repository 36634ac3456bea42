import { describe, expect, it } from 'vitest';
import { draftContext } from '../../core/draft';
import type { Knowledge } from '../../core/knowledge';
import { draftOutline } from '../../core/outline';
import { lessonObjectives } from '../../core/outline/objectives';
import { saidTitle } from '../../core/outline/naming';
import { canJoin, cleanTitle, lowerFirst } from '../../core/outline/titles';
import type { Brief } from '../../core/course/course';
import { aBrief, english, knowing } from '../builders';

const words = (count: number, about = 'tool') =>
  Array.from(
    { length: Math.ceil(count / 10) },
    (_, index) => `The ${about} number ${index} lies on the wooden shelf today.`,
  ).join(' ');
const outline = (brief: Brief, knowledge: Knowledge[], title = 'Course') =>
  draftOutline(brief, draftContext(brief, knowledge).sources, draftContext(brief, knowledge).terms, title);
const titles = (drafted: ReturnType<typeof outline>) =>
  drafted.modules.map((module) => [module.title, ...module.lessons.map((lesson) => lesson.title)]);

describe('outlines', () => {
  it('make modules of top sections and lessons of those below, merged to size', async () => {
    const drafted = outline(aBrief(), [
      await knowing(
        `# Guide\n\n## Lending\n\n### Looking\n\n${words(260)}\n\n### Signing\n\n${words(250, 'slip')}\n\n### Paying\n\n${words(60, 'fee')}\n\n## Returns\n\n${words(400, 'saw')}\n`,
      ),
    ]);
    expect(titles(drafted)).toEqual(
      [
        ['Lending', 'Looking', 'Signing'],
        ['Returns', expect.any(String), expect.any(String)],
      ].map((each) => expect.arrayContaining(each.slice(0, 2))),
    );
    expect(drafted.modules[0].lessons.map((lesson) => lesson.title)).toEqual(['Looking', 'Signing', 'Paying']);
  });

  it('join what is too short for a lesson to its neighbour, so that nothing of it is lost, and only that', async () => {
    const drafted = outline(aBrief(), [
      await knowing(
        `# Guide\n\n## Lending\n\n${words(100)}\n\n## Ladders\n\nLadders hang outside.\n\n## Returns\n\n${words(120, 'saw')}\n\n## Paying\n\n${words(110, 'fee')}\n`,
      ),
    ]);
    expect(titles(drafted)).toEqual([['Course', 'Lending', 'Returns', 'Paying']]);
    expect(drafted.modules[0].lessons[0].scope.sections.map((section) => section.title)).toEqual([
      'Lending',
      'Ladders',
    ]);
  });

  it('say what steps are for by the heading over them', async () => {
    const knowledge = await knowing(
      '# Guide\n\n## The desk\n\nThe desk is open all day.\n\n### Close the desk\n\n1. Lock both of the drawers.\n2. Switch off the scanner.\n3. Hang the key up.\n',
    );
    const steps = knowledge.claims.filter((claim) => claim.kind === 'step');
    expect(
      lessonObjectives('l1', 'The desk', steps, knowledge.source.passages, knowledge).map(
        (objective) => objective.text,
      ),
    ).toEqual(['Close the desk']);
  });

  it('leave out boilerplate, and name it', async () => {
    const drafted = outline(aBrief(), [
      await knowing(
        `# Guide\n\n## Contents\n\n- Lending\n\n## Lending\n\n${words(300)}\n\n## Changelog\n\nMany small changes were made.\n\n## License\n\nAll rights reserved by us.\n`,
      ),
    ]);
    expect(
      drafted.modules.flatMap((module) =>
        module.lessons.flatMap((lesson) => lesson.scope.sections.map((section) => section.title)),
      ),
    ).not.toEqual(expect.arrayContaining(['Changelog']));
    expect(titles(drafted).flat()).not.toContain('License');
  });

  it('give two audiences two outlines', async () => {
    const knowledge = [
      await knowing(`# Guide\n\n## Battery packs\n\n${words(350, 'pack')}\n\n## Ladders\n\n${words(350, 'ladder')}\n`),
    ];
    const expert = outline(aBrief({ audience: { who: 'experts', knows: ['battery packs'] } }), knowledge);
    expect(outline(aBrief(), knowledge).modules.map((module) => module.title)).toEqual(['Battery packs', 'Ladders']);
    expect(expert.modules.map((module) => module.title)).toEqual(['Ladders']);
    expect(expert.dropped.map((entry) => entry.reason)).toContain('known');
  });

  it('give as many modules and lessons as asked, or say that there are fewer', async () => {
    const text = ['A', 'B', 'C', 'D']
      .map((name) => `## Part ${name}\n\n### ${name} one\n\n${words(350)}\n\n### ${name} two\n\n${words(350, 'saw')}\n`)
      .join('\n');
    const knowledge = [await knowing(`# Guide\n\n${text}`)];
    const two = outline(aBrief({ size: { modules: 2, lessonsPerModule: 2, questionsPerLesson: 1 } }), knowledge);
    expect(two.modules.map((module) => module.lessons.length)).toEqual([2, 2]);
    const many = outline(aBrief({ size: { modules: 30, questionsPerLesson: 1 } }), knowledge);
    expect(many.notices.map((notice) => notice.code)).toContain('fewer-modules');
  });

  it('bring what several sources say about one thing together', async () => {
    const policy = await knowing(
      `# Policy\n\n## Ladders\n\n${'Ladders have rubber feet and a locking hinge that must be checked. '.repeat(30)}\n\n## Fees\n\n${'A late fee is paid in coins at the till by the borrower. '.repeat(30)}\n\n## Keys\n\n${'Keys hang in the cabinet behind the counter at night. '.repeat(30)}\n`,
      'policy.md',
    );
    const notes = await knowing(
      `# Notes\n\n## On ladders\n\n${'A ladder without rubber feet slips; check the feet and the hinge. '.repeat(8)}\n`,
      'notes.md',
    );
    const drafted = outline(aBrief(), [notes, policy]);
    const home = drafted.modules
      .flatMap((module) => module.lessons)
      .find((lesson) => lesson.scope.sections.some((section) => section.title === 'On ladders'))!;
    expect(home.scope.sections[0].title).toBe('Ladders');
  });

  it('find topics where a talk has no headings', async () => {
    const talk = [
      ['saw', 'blade'],
      ['battery', 'charger'],
      ['ladder', 'hinge'],
    ]
      .map(([a, b]) =>
        Array.from(
          { length: 14 },
          () => `A ${a} needs a good ${b} and the ${b} of a ${a} wears out quickly in winter when it is cold outside.`,
        ).join('\n\n'),
      )
      .join('\n\n');
    const drafted = outline(aBrief(), [await knowing(talk, 'talk.md')]);
    const lessons = drafted.modules.flatMap((module) => module.lessons.map((lesson) => lesson.title.toLowerCase()));
    expect(lessons.length).toBeGreaterThan(1);
    expect(new Set(lessons).size).toBe(lessons.length);
  });

  it('keep the long parts of a document as modules among many short ones', async () => {
    const part = (name: string, ...parts: string[]) =>
      `## ${name}\n\n${parts.map((each) => `### ${each}\n\n${words(260, each.toLowerCase())}`).join('\n\n')}`;
    const drafted = outline(aBrief(), [
      await knowing(
        `# Guide\n\n${part('Lending', 'Saw', 'Drill', 'Plane', 'Jack')}\n\n${part('Returns', 'Rack', 'Gate', 'Shelf', 'Bench')}\n\n${['Tea', 'Mugs', 'Keys', 'Bins', 'Mats'].map((name) => `## ${name}\n\n${words(60, name)}`).join('\n\n')}\n`,
      ),
    ]);
    expect(drafted.modules.map((module) => module.title).slice(0, 2)).toEqual(['Lending', 'Returns']);
  });

  it('leave a page of questions as it is, whole questions, without moments of a work', async () => {
    const asked = [
      'Why does the gate squeak when it is opened in the early morning, before the dew is gone?',
      'Who has the key?',
      'What went wrong with the lamp?',
      'Where is the saw kept?',
      'May I keep a drill?',
    ];
    const drafted = outline(aBrief(), [
      await knowing(
        `# Asked\n\n${asked.map((each, at) => `## ${each}\n\n${words(120, `thing${at}`)}`).join('\n\n')}\n`,
      ),
    ]);
    expect(titles(drafted)).toEqual([['Course', ...asked]]);
  });

  it('group many troubles told by people by the things that their titles name, whatever the order, and keep each', async () => {
    const troubles = [
      ['I cannot open the scanner drawer', 'scanner'],
      ['The badge I got opens no door', 'badge'],
      ['My scanner shows a red light', 'scanner'],
      ['Why is my parcel still in the hall?', 'parcel'],
      ['I lost my badge on the way', 'badge'],
      ['The scanner I borrowed beeps twice', 'scanner'],
      ['My parcel arrived wet', 'parcel'],
      ['When I scan a parcel nothing happens', 'parcel'],
      ['Where do I leave my coat?', 'coat'],
      ['My badge is bent', 'badge'],
      ['How do I charge the scanner?', 'scanner'],
      ['I opened a parcel for somebody else', 'parcel'],
      ['Who signs my timesheet?', 'timesheet'],
      ['I need a second badge', 'badge'],
    ];
    const drafted = outline(aBrief(), [
      await knowing(`# Help\n\n${troubles.map(([title, about]) => `## ${title}\n\n${words(60, about)}\n`).join('\n')}`),
    ]);
    const modules = titles(drafted);
    expect(modules.map(([title]) => title)).toEqual(['Scanner', 'Badge', 'Parcel', 'More questions']);
    expect(modules[1].slice(1)).toEqual([
      'The badge I got opens no door',
      'I lost my badge on the way',
      'My badge is bent',
      'I need a second badge',
    ]);
    expect(modules.flatMap(([, ...lessons]) => lessons).sort()).toEqual(troubles.map(([title]) => title).sort());
  });

  it('cut two long runs of terms between them, the line over the second with it, and call them by their first and last', async () => {
    const run = (letter: string) =>
      Array.from({ length: 12 }, (_, at) => `${letter}${'abcdefghijkl'[at]}mos\n: ${words(60, `${letter}${at}`)}`).join(
        '\n\n',
      );
    const drafted = outline(aBrief(), [
      await knowing(
        `# Guide\n\n## Names\n\nMost names stand for tools.\n\n${run('b')}\n\nOther names stand for people.\n\n${run('d')}\n\n## Rest\n\n${words(400)}\n`,
      ),
    ]);
    const [first, second] = drafted.modules.flatMap((module) => module.lessons);
    expect([first.title, second.title]).toEqual(['Names: bamos – blmos', 'Names: damos – dlmos']);
    expect(second.scope.sections[0].passages).toHaveLength(13);
  });

  it('drop lists that only repeat the headings', async () => {
    const knowledge = await knowing(
      `# Guide\n\nYou can read about:\n\n- Saws\n- Drills\n\n## Saws\n\n${words(300)}\n\n## Drills\n\n${words(300, 'drill')}\n`,
    );
    const drafted = outline(aBrief(), [knowledge]);
    const taught = drafted.modules
      .flatMap((module) =>
        module.lessons.flatMap((lesson) => lesson.scope.sections.flatMap((section) => section.passages)),
      )
      .map((id) => knowledge.passages.get(id)!.text);
    expect(taught).not.toContain('Saws');
    expect(taught.length).toBeGreaterThan(0);
  });
});

describe('titles', () => {
  it.each([
    ['RETURNS AND FEES:', [], 'Returns and fees'],
    ['Rationale', ['The root directory'], 'The root directory: rationale'],
    ['/bin : Commands', [], '/bin: Commands'],
    ['Guide: The desk', [], 'The desk'],
    [
      'A very long title that goes on and on - and has a joint in the middle where it can be cut',
      [],
      'A very long title that goes on and on',
    ],
    ['“Quoted”', [], 'Quoted'],
    ['the desk', [], 'The desk'],
  ])('%s', (heading, path, title) => expect(cleanTitle(heading, path, 'Guide')).toBe(title));

  it('are cut at a joint of theirs, never down to a clause or half a question', () => {
    expect(
      cleanTitle(
        'The gate of the yard behind the mill, the lamp over it and the bell that stands beside both of them',
        [],
        'Course',
      ),
    ).toBe('The gate of the yard behind the mill');
    for (const whole of [
      'While the gate of the yard stands open, the lamp over it stays dark whatever is done to its switch',
      'Is there some simpler, easier to read version of the list of gates that I can look at at home?',
    ])
      expect(cleanTitle(whole, [], 'Course')).toBe(whole);
  });
  it("lose their capital inside another only when it is no name's", () => {
    expect(['Late returns', 'Bram Oduya', 'USB sticks', 'iPad'].map(lowerFirst)).toEqual([
      'late returns',
      'Bram Oduya',
      'USB sticks',
      'iPad',
    ]);
  });

  it('are joined only when both are short phrases of one build', () => {
    expect(canJoin('Fees', 'Deposits', 40, english())).toBe(true);
    expect(canJoin('Charging', 'Deposits', 40, english())).toBe(false);
    expect(canJoin('What is a fee?', 'Deposits', 40, english())).toBe(false);
    expect(canJoin('Fees and coins', 'Deposits', 40, english())).toBe(false);
  });
});

describe('a talk', () => {
  const speech = (...parts: string[]) =>
    `WEBVTT - desk talk\n\n${parts.map((part, at) => `00:0${at}:00.000 --> 00:0${at}:50.000\n${part}`).join('\n\n')}\n`;
  const FILL = (word: string) =>
    Array.from(
      { length: 9 },
      (_, at) => `A ${word} costs ${at + 2} pounds and a member brings the ${word} back by noon on the next day.`,
    ).join(' ');
  it('gets its lessons where its speaker turns to a thing, also behind a hesitation or a few words, and sent questions stand together', async () => {
    const source = await knowing(
      speech(
        `So, the first one. The ladder. ${FILL('ladder')}`,
        `Then, um, saws. ${FILL('saw')}`,
        `Last one. Um, the drill. ${FILL('drill')}`,
        '"Can I take two saws home?" Yes, if nobody waits for one of them.',
        '"What do I do with a blunt blade?" You put it in the blue tray and tell the desk.',
      ),
      'desk.vtt',
    );
    const titles = outline(aBrief(), [source]).modules.flatMap((module) =>
      module.lessons.map((lesson) => lesson.title),
    );
    expect(titles).toEqual(['The ladder', 'Saws', 'The drill', 'Questions people ask']);
  });
  it('without headings is called by a rule that somebody could remember, up to where something is added to it', async () => {
    const knowledge = await knowing(
      speech(`Nobody sleeps in the corridor, not even for one night, and the door is kept free. ${FILL('bed')}`),
      'night.vtt',
    );
    expect(saidTitle({ passages: knowledge.source.passages.map(({ id }) => id) }, knowledge, new Map())).toBe(
      'Nobody sleeps in the corridor',
    );
  });
});
