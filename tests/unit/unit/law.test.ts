import { describe, expect, it } from 'vitest';
import { courseMinutes } from '../../../core/brief/sizing';
import { blockTexts } from '../../../core/blocks/forms';
import { allLessons, type Course } from '../../../core/course/course';
import { kindsTogether, kindWords, isHarmless } from '../../../core/course/left-out-words';
import { textOf } from '../../../core/document/rich-text';
import { usesOf } from '../../../core/course/uses';
import { validateCourse } from '../../../core/course/validate';
import { draftCourse } from '../../../core/draft';
import { prepareCourse, proposalOf, draftLessonOf } from '../../../core/draft/from-course';
import { contextFor, draftContext } from '../../../core/draft/context';
import { planCourse } from '../../../core/draft/plan';
import { draftOutline } from '../../../core/outline';
import { lessonsOf } from '../../../core/outline/proposal';
import { reportOn } from '../../../core/draft/report';
import { giveTo } from '../../../core/course/gestures';
import { applyAll } from '../../../core/course/operations';
import { accountOf } from '../../../core/review/account';
import { aBrief, fromFile, knowing } from '../../builders';
import { packFor } from '../../../server/language/packs';
import { understand } from '../../../core/knowledge';

const shownIn = (course: Course) =>
  allLessons(course)
    .flatMap((lesson) => [lesson.title, ...lesson.blocks.flatMap((block) => blockTexts(block).map(textOf))])
    .join('\n');
const text = (section: string, noun: string) =>
  `## ${section}\n\nThe ${noun} has stood in our yard since the hall was built, and people like to look at it on their way to the river. Old photographs show the ${noun} in the snow.\n\nEvery ${noun} must be locked before noon. If a ${noun} leaks, the last one out must close the valve within 10 minutes. Never climb the ${noun} alone.\n\nThe ${noun} was painted green because the yard is green, so that nobody is disturbed by the sight of it from the street in the evening.\n`;
const policy = await knowing(
  `# Yard\n\n${['Pump', 'Crane', 'Boiler', 'Wagon', 'Tank', 'Kiln'].map((noun) => text(`The ${noun.toLowerCase()}`, noun.toLowerCase())).join('\n')}\n## Thanks\n\nThanks to the yard team.\n`,
);
const INSTRUCTS = /must|Never climb|within 10 minutes/;

const FILL = (word: string) =>
  Array.from(
    { length: 6 },
    (_, at) => `The ${word} of berth ${at} is read at seven in the morning and chalked on the board by the gate.`,
  ).join(' ');

describe('nothing that matters is lost', () => {
  const whole = draftCourse(aBrief(), [policy], 'Yard');

  it('without minutes everything is taught, and what is noise is left out by name', () => {
    const shown = shownIn(whole.course);
    for (const passage of policy.source.passages)
      if (!/^Thanks/.test(passage.text)) expect(shown).toContain(passage.text);
    expect(whole.course.leftOut!.map((left) => left.reason)).toEqual(['thanks']);
    expect(Object.values(reportOn(whole).coverage).every(({ taught, of }) => taught === of)).toBe(true);
  });

  it.each([0.9, 0.75, 0.6, 0.4])(
    'at %d of its minutes the length is kept within a tenth, and no topic that stays loses what instructs',
    (share) => {
      const minutes = courseMinutes(whole.course) * share;
      const draft = draftCourse(aBrief({ size: { minutes, questionsPerLesson: 0 } }), [policy], 'Yard');
      const full = courseMinutes(draftCourse(aBrief({ size: { questionsPerLesson: 0 } }), [policy], 'Yard').course);
      expect(courseMinutes(draft.course)).toBeLessThanOrEqual(Math.min(full, minutes * 1.1) + 0.2);
      const shown = shownIn(draft.course);
      for (const lesson of allLessons(draft.course)) {
        const noun = /The (\w+)/.exec(lesson.title)?.[1];
        if (!noun) continue;
        for (const words of [
          `Every ${noun} must be locked before noon.`,
          `If a ${noun} leaks, the last one out must close the valve within 10 minutes.`,
          `Never climb the ${noun} alone.`,
        ])
          expect(shown).toContain(words);
      }
      // Everything else is listed, each for one reason.
      const uses = usesOf(draft.course);
      const left = new Set(draft.course.leftOut!.flatMap((each) => each.passages.map((range) => range.id)));
      for (const passage of policy.source.passages) expect(uses.has(passage.id) || left.has(passage.id)).toBe(true);
      for (const { reason, passages } of draft.course.leftOut!)
        if (reason === 'light')
          for (const range of passages)
            expect(policy.passages.get(range.id)!.text.slice(range.from, range.to)).not.toMatch(INSTRUCTS);
      expect(validateCourse(draft.course)).toEqual([]);
    },
  );

  it('a rule that stands in the present, without a word of duty, is no background and goes with its topic alone', async () => {
    const part = (noun: string, at: number) =>
      `## The ${noun}\n\nThe person who opened the ${noun} reads its dial and signs the yellow book.\n\nThe ${noun} was bought from a mill in the hills, and six people carried it into the yard on a wet day.\n\nNobody walks across the line beside ${noun} number ${'ABCDEF'[at]}.\n`;
    const knowledge = await knowing(
      `# Yard\n\n${['pump', 'crane', 'boiler', 'wagon'].map(part).join('\n')}`,
      'plain.md',
    );
    const full = courseMinutes(draftCourse(aBrief({ size: { questionsPerLesson: 0 } }), [knowledge], 'Yard').course);
    for (const share of [0.8, 0.5]) {
      const { course } = draftCourse(
        aBrief({ size: { minutes: full * share, questionsPerLesson: 0 } }),
        [knowledge],
        'Yard',
      );
      const shown = shownIn(course);
      expect(course.leftOut!.some((left) => left.reason === 'light')).toBe(true);
      for (const [at, noun] of ['pump', 'crane', 'boiler', 'wagon'].entries()) {
        if (!allLessons(course).some((lesson) => lesson.title === `The ${noun}`)) continue;
        expect(shown).toContain(`The person who opened the ${noun} reads its dial`);
        expect(shown).toContain(`number ${'ABCDEF'[at]}.`);
      }
    }
  });

  it('a listing of code is no background, which has no sentence to tell by', async () => {
    const part = (noun: string) =>
      `## The ${noun}\n\nEvery ${noun} must be started from the board.\n\n\`\`\`\nstart --${noun} --slow --wait\nlisten --${noun} --port=3\n\`\`\`\n\nThe ${noun} was bought from a mill in the hills, and six people carried it into the yard on a wet day in a cold spring long before the war.\n`;
    const knowledge = await knowing(`# Yard\n\n${['pump', 'crane', 'boiler'].map(part).join('\n')}`, 'listed.md');
    const full = courseMinutes(draftCourse(aBrief({ size: { questionsPerLesson: 0 } }), [knowledge], 'Yard').course);
    const { course } = draftCourse(
      aBrief({ size: { minutes: full * 0.75, questionsPerLesson: 0 } }),
      [knowledge],
      'Yard',
    );
    expect(course.leftOut!.some((left) => left.reason === 'light')).toBe(true);
    const codes = new Set(knowledge.source.passages.filter(({ kind }) => kind === 'code').map(({ id }) => id));
    expect(codes.size).toBe(3);
    expect(
      course
        .leftOut!.filter((left) => left.reason === 'light')
        .flatMap((left) => left.passages)
        .some(({ id }) => codes.has(id)),
    ).toBe(false);
  });

  it('what is left out is listed at the grain of what it says, and goes from the list when a page has it', () => {
    const draft = draftCourse(aBrief({ size: { minutes: 2, questionsPerLesson: 0 } }), [policy], 'Yard');
    const { leftOut, minutes } = accountOf(draft.course, [policy]);
    const missed = leftOut.filter((line) => !isHarmless(line.reason));
    expect(kindWords(kindsTogether(missed))).toMatch(/limits.*prohibitions|prohibitions/);
    expect(missed.every((line) => line.topic.startsWith('The '))).toBe(true);
    expect(minutes.more).toBeGreaterThan(0);
    const given = missed[0].passages.map((range) => range.id);
    const gone = accountOf(
      { ...draft.course, modules: whole.course.modules, checks: [] },
      [policy],
      draft.course.leftOut,
    );
    expect(gone.leftOut.filter((line) => !isHarmless(line.reason))).toEqual([]);
    expect(given.length).toBeGreaterThan(0);
  });

  it('what was left to another lesson to say is missing when that lesson is gone', async () => {
    const rule = 'Ring the harbour office on 960 358, day or night, within one hour of the collision.';
    const sources = await Promise.all(
      [
        `# Policy\n\n## The collision\n\n${rule} The skipper stays with the boat until the officer has come aboard.\n\n${FILL('crane')}\n\n## The tide\n\n${FILL('tide')}\n`,
        `# Handout\n\n## The tide table\n\n${FILL('tide')}\n\nRing the harbour office: 960 358, within one hour of the collision.\n`,
      ].map((text, at) => knowing(text, `${at}.md`)),
    );
    const { course } = draftCourse(aBrief({ size: { questionsPerLesson: 0 } }), sources, 'Harbour');
    const repeated = (found: ReturnType<typeof accountOf>) =>
      found.leftOut
        .filter((line) => line.text.startsWith('Ring the harbour office:'))
        .map((line) => [line.reason, isHarmless(line.reason)]);
    expect(course.leftOut!.some((left) => left.reason === 'repeated')).toBe(true);
    expect(repeated(accountOf(course, sources))).toEqual([]);
    const without = {
      ...course,
      modules: course.modules.map((module) => ({
        ...module,
        lessons: module.lessons.filter((lesson) => !JSON.stringify(lesson.blocks).includes('day or night')),
      })),
    };
    expect(repeated(accountOf(without, sources))).toEqual([['lapsed', false]]);
    // While lessons wait to be drafted it may still be said.
    const blank = {
      ...without,
      modules: without.modules.map((module) => ({
        ...module,
        lessons: module.lessons.map((lesson) => ({ ...lesson, blocks: [] })),
      })),
    };
    expect(repeated(accountOf(blank, sources))).toEqual([['repeated', true]]);
  });

  it('without a promise that topic goes first which has least to do with the others, though it instructs more', async () => {
    const about = (place: string) =>
      Array.from(
        { length: 8 },
        (_, at) =>
          `The hull of the boat is washed at the ${place} with the soft brush and a bucket number ${at} of fresh water.`,
      ).join(' ');
    const knowledge = await knowing(
      `# Boats\n\n## At the bow\n\n${about('bow')}\n\n## At the stern\n\n${about('stern')}\n\n## Parking permits\n\n${Array.from({ length: 12 }, (_, at) => `You must show permit ${at} to the warden.`).join(' ')}\n`,
    );
    const { course } = draftCourse(
      aBrief({ promise: '', outcomes: [], size: { minutes: 2, questionsPerLesson: 0 } }),
      [knowledge],
      'Boats',
    );
    expect(allLessons(course).map((lesson) => lesson.title)).not.toContain('Parking permits');
    expect(allLessons(course).length).toBeGreaterThan(0);
  });

  it('what its author gives a lesson is drafted with it, even half a unit and whatever the size', () => {
    const draft = draftCourse(aBrief({ size: { minutes: 2, questionsPerLesson: 0 } }), [policy], 'Yard');
    const [lesson] = allLessons(draft.course);
    const line = draft.course.leftOut!.find((left) => left.reason === 'light' || left.reason === 'size')!;
    const given = applyAll(
      draft.course,
      giveTo(
        lesson,
        line.passages.map((range) => range.id),
      ),
    );
    if (!given.ok) throw new Error(given.problem.code);
    expect(
      giveTo(
        allLessons(given.course)[0],
        line.passages.map((range) => range.id),
      ),
    ).toEqual([]);
    const page = draftLessonOf(given.course, lesson.id, prepareCourse(given.course, [policy]));
    const shown = page.lesson.blocks.flatMap((block) => blockTexts(block).map(textOf)).join('\n');
    for (const range of line.passages)
      expect(shown).toContain(policy.passages.get(range.id)!.text.slice(range.from, range.to));
  });

  it('a lesson planned with half a unit gets the whole, in the order it was planned', () => {
    const [first, second] = whole.course.modules[0].lessons;
    const course: Course = {
      ...whole.course,
      modules: [
        {
          ...whole.course.modules[0],
          lessons: [
            {
              ...first,
              blocks: [],
              plannedPassages: [...second.plannedPassages.slice(0, 1), ...first.plannedPassages.slice(1, 2)],
            },
          ],
        },
      ],
    };
    const [lesson] = proposalOf(course, draftContext(course.brief, [policy])).modules[0].lessons;
    expect(lesson.scope.sections.map((section) => section.title)).toEqual([second.title, first.title]);
  });

  it('a lesson for which there is nothing says which one has it', () => {
    const lesson = {
      ...whole.course.modules[0].lessons[0],
      id: 'lownaaaaaaaa',
      title: 'The crane',
      blocks: [],
      plannedPassages: [],
    };
    const course: Course = {
      ...whole.course,
      modules: [
        ...whole.course.modules,
        { id: 'mownaaaaaaaa', title: 'More', purpose: '', objectiveIds: [], lessons: [lesson] },
      ],
    };
    expect(() => draftLessonOf(course, lesson.id, prepareCourse(course, [policy]))).toThrow('taught-elsewhere');
  });
});

describe('several sources', () => {
  it('are one course by topic: a handout joins the lessons of the policy, a fact is said once on both its passages', async () => {
    const handout = await knowing(
      '# Handout\n\n## The crane\n\n- Never climb the crane alone\n- The crane hook is checked with the yellow gauge each Monday\n\n## The kiln\n\n- The kiln door stays shut for two days after the fire\n',
      'handout.md',
    );
    const { course } = draftCourse(aBrief(), [policy, handout], 'Yard');
    expect(course.modules.map((module) => module.title)).not.toContain('Handout');
    const crane = allLessons(course).find((lesson) => lesson.title === 'The crane')!;
    const shown = crane.blocks.flatMap((block) => blockTexts(block).map(textOf)).join('\n');
    expect(shown).toContain('The crane hook is checked with the yellow gauge each Monday');
    expect(shown.match(/Never climb the crane alone/g)).toHaveLength(1);
    const repeated = handout.source.passages.find((passage) => passage.text.startsWith('Never climb'))!;
    expect(usesOf(course).get(repeated.id)).toMatchObject([{ lesson: crane.id, also: true }]);
  });

  it('say a fact where it stands when the lesson with the fuller wording finds no room', () => {
    const outline = draftOutline(aBrief(), draftContext(aBrief(), [policy]).sources, [], 'Yard');
    const whole = contextFor(
      draftContext(aBrief({ size: { minutes: 2, questionsPerLesson: 0 } }), [policy]),
      lessonsOf(outline),
    );
    const plan = planCourse(outline, whole);
    const [kept] = plan.modules.flatMap((module) => module.lessons);
    const gone = policy.source.passages.find(
      (passage) =>
        plan.without.get(whole.matter.unitOf(passage.id).id) === 'topic' && /must be locked/.test(passage.text),
    )!;
    const own = kept.parts
      .flatMap((part) => part.items.map((item) => item.passage))
      .find((passage) => /must be locked/.test(passage.text))!;
    const matter = { ...whole.matter, said: new Map([[`${own.id}/0`, `${gone.id}/0`]]) };
    const shown = planCourse(outline, { ...whole, matter })
      .modules.flatMap((module) => module.lessons)
      .flatMap((lesson) =>
        lesson.parts.flatMap((part) => part.items.flatMap((item) => item.sentences.map((used) => used.sentence.text))),
      );
    expect(shown.join(' ')).toContain(own.text.slice(0, 40));
  });

  it('of three that say the same one stays, and both others stand in its evidence', async () => {
    const knowledge = await Promise.all(
      [
        'The returns box beside the river door is emptied by two people each evening.',
        'The returns box beside the river door is emptied each evening.',
        'Returns box beside the river door: emptied each evening',
      ].map((words, at) => knowing(`# ${'ABC'[at]}\n\n## Part ${at}\n\n${words}\n`, `${at}.md`)),
    );
    const { course } = draftCourse(aBrief(), knowledge, 'Box');
    expect(shownIn(course).match(/river door/g)).toHaveLength(1);
    for (const each of knowledge) expect(usesOf(course).has(each.source.passages[0].id)).toBe(true);
  });

  it('of the demo make no module called by its document, and no lesson title joins two topics', async () => {
    const names = [
      'lending-policy.docx',
      'battery-guide.pdf',
      'front-desk-shift.pptx',
      'twelve-years-at-the-desk.vtt',
      'questions.html',
      'coordinators-notes.md',
    ];
    const knowledge = await Promise.all(
      names.map(async (name) => understand(await fromFile(`demo/files/${name}`), packFor('en'))),
    );
    const { course } = draftCourse(aBrief(), knowledge, 'Lending tools safely');
    const titles = new Set(knowledge.map((each) => each.source.title));
    for (const module of course.modules) expect(titles.has(module.title)).toBe(false);
    const headings = new Set(
      knowledge.flatMap((each) => each.source.passages.flatMap((passage) => passage.locator.path)),
    );
    for (const lesson of allLessons(course))
      if (/ and /.test(lesson.title)) expect(headings.has(lesson.title)).toBe(true);
  });
});
