import { describe, expect, it } from 'vitest';
import { courseMinutes, lessonDemand, lessonMinutes, lessonWords, minutesFor } from '../../core/brief/sizing';
import { blockTexts } from '../../core/blocks/forms';
import { canonicalJson } from '../../core/document/canonical';
import { allLessons, placedChecks, type Course } from '../../core/course/course';
import { ProblemError } from '../../core/document/problem';
import { evidencedSentences, textOf } from '../../core/document/rich-text';
import { draftCourse, draftLesson } from '../../core/draft';
import { reportOn } from '../../core/draft/report';
import { understand, type Knowledge } from '../../core/knowledge';
import { readSource } from '../../core/reading';
import { packFor } from '../../server/language/packs';
import { aBrief, aCourse, aLesson, anId, aText, file, knowing } from '../builders';

const DEMO = [
  'lending-policy.docx',
  'battery-guide.pdf',
  'front-desk-shift.pptx',
  'twelve-years-at-the-desk.vtt',
  'questions.html',
  'coordinators-notes.md',
];

async function demo(): Promise<Knowledge[]> {
  return Promise.all(
    DEMO.map(async (name) => {
      const result = await readSource({ name, bytes: file(`demo/files/${name}`) }, anId(name));
      if (!result.ok) throw new Error(result.problem.code);
      return understand(result.source, packFor(result.source.language));
    }),
  );
}
const knowledge = await demo();
const whole = draftCourse(aBrief(), knowledge, 'Lending tools safely');
const wordsOf = (course: Course) =>
  allLessons(course)
    .map((lesson) => lesson.blocks.flatMap((block) => blockTexts(block).map(textOf)).join(' '))
    .join(' ');

describe('the demo course', () => {
  it('has every sentence on its passage, letter by letter', () => {
    const { sentences } = reportOn(whole);
    expect(sentences.sourced).toBeGreaterThan(250);
    expect(sentences.unfaithful).toBe(0);
  });

  it('shows nothing that is not sourced, a heading or our own connecting text', () => {
    const loose = allLessons(whole.course).flatMap((lesson) =>
      lesson.blocks
        .filter((block) => block.kind !== 'heading' && block.kind !== 'table')
        .flatMap((block) => blockTexts(block).flatMap((text) => text.filter((run) => run.text.trim() && !run.marks))),
    );
    expect(loose).toEqual([]);
  });

  it('lets no lesson and no part under a heading begin with a word that points back', () => {
    for (const { blocks } of allLessons(whole.course)) {
      for (const [at, block] of blocks.entries()) {
        if (block.kind !== 'text' || (at > 0 && blocks[at - 1].kind !== 'heading')) continue;
        expect(textOf(blockTexts(block)[0])).not.toMatch(/^(?:This|These|They|It is|However|Therefore|For example)\b/);
      }
    }
  });

  it('uses every source, teaches all that is claimed, and names what it leaves out', () => {
    const report = reportOn(whole);
    for (const source of report.sources) expect(source.taught).toBeGreaterThan(source.words * 0.5);
    for (const { taught, of } of Object.values(report.coverage)) expect(taught).toBe(of);
    expect(report.size.lessons).toBe(allLessons(whole.course).length);
  });

  it('lets speakers tell their stories, without what they say of their talk', () => {
    const told = allLessons(whole.course)
      .flatMap((lesson) =>
        lesson.blocks.filter((block) => block.kind === 'callout' && block.body.tone === 'experience'),
      )
      .map((block) => blockTexts(block).map(textOf).join(' '));
    expect(told.join(' ')).toContain('I once let a saw go out without looking');
    expect(told.join(' ')).not.toMatch(/My name is|I want to talk about/);
    for (const text of told) expect(text).toMatch(/\b(?:I|me|my|mine)\b/i);
  });

  it('asks questions whose answer stands on the page', () => {
    const checks = placedChecks(whole.course);
    expect(checks.length).toBeGreaterThan(20);
    for (const lesson of allLessons(whole.course)) {
      for (const block of lesson.blocks) {
        if (block.kind !== 'check') continue;
        const check = whole.course.checks.find((each) => each.id === block.body.checkId)!;
        for (const range of check.evidence) expect(lesson.plannedPassages).toContain(range.id);
      }
    }
  });

  it('does not ask for the figure its sources disagree on', () => {
    expect(whole.course.checks.filter((check) => /reserved tool must be collected within/.test(check.stem))).toEqual(
      [],
    );
  });

  it('keeps the key from being the longest, and from one place', () => {
    const checks = whole.course.checks.filter((check) => check.kind === 'choice');
    const longest = checks.filter((check) =>
      check.options.every(
        (option) =>
          option.id === check.key ||
          option.text.length < check.options.find((each) => each.id === check.key)!.text.length,
      ),
    ).length;
    expect(longest / checks.length).toBeLessThan(0.45);
    const places = [0, 1, 2, 3].map((place) => checks.filter((check) => check.options[place]?.id === check.key).length);
    expect(Math.max(...places) / checks.length).toBeLessThan(0.5);
  });

  it('does not change the second time, nor with a lesson drafted alone', async () => {
    const again = draftCourse(aBrief(), await demo(), 'Lending tools safely');
    expect(canonicalJson(again.course)).toBe(canonicalJson(whole.course));
    const plan = again.plan.modules[1].lessons[0];
    expect(draftLesson(plan, 'Lending tools safely', again.context).lesson).toEqual(whole.course.modules[1].lessons[0]);
  });
});

describe('what is asked', () => {
  it.each([15, 25, 40])('%i minutes are met within a tenth', (minutes) => {
    const draft = draftCourse(aBrief({ size: { minutes, questionsPerLesson: 2 } }), knowledge, 'Course');
    expect(Math.abs(courseMinutes(draft.course) - minutes)).toBeLessThanOrEqual(minutes * 0.1);
  });

  it('too many minutes are not reached, and the report says so', () => {
    const draft = draftCourse(aBrief({ size: { minutes: 500, questionsPerLesson: 2 } }), knowledge, 'Course');
    expect(reportOn(draft).notices.map((notice) => notice.code)).toContain('minutes-not-reached');
  });

  it('questions are a ceiling', () => {
    const draft = draftCourse(aBrief({ size: { questionsPerLesson: 1 } }), knowledge, 'Course');
    for (const lesson of allLessons(draft.course))
      expect(lesson.blocks.filter((block) => block.kind === 'check').length).toBeLessThanOrEqual(1);
    expect(placedChecks(draftCourse(aBrief({ size: { questionsPerLesson: 0 } }), knowledge, 'Course').course)).toEqual(
      [],
    );
  });

  it('what the audience knows is recalled in a line of our own, not explained', () => {
    const knows = { who: 'volunteers', knows: ['deposit', 'borrower'] };
    const draft = draftCourse(aBrief({ sourcesOnly: false, audience: knows }), knowledge, 'Course');
    expect(wordsOf(draft.course).includes('You know already: borrower, deposit.')).toBe(true);
    expect(wordsOf(draft.course).includes('the money a borrower leaves with us as a security')).toBe(false);
    expect(
      wordsOf(draftCourse(aBrief({ audience: knows }), knowledge, 'Course').course).includes('You know already'),
    ).toBe(false);
  });

  it('nothing to teach is refused, but nothing is too little', async () => {
    const noise = [await knowing('# A\n\n## Licence\n\nAll rights reserved by us, and no warranty of any kind.\n')];
    expect(() => draftCourse(aBrief(), noise, 'Course')).toThrow(ProblemError);
    const tiny = [await knowing('# A\n\nA tag must be tied to each saw.\n')];
    expect(wordsOf(draftCourse(aBrief(), tiny, 'Course').course)).toBe('A tag must be tied to each saw.');
  });
});

describe('lessons', () => {
  it('keep lists with their lead-in, steps as steps, tables and code', async () => {
    const draft = draftCourse(
      aBrief(),
      [
        await knowing(
          `# Guide\n\nA saw is a tool that cuts wood and needs care every day.\n\nYou need:\n\n- gloves\n- goggles\n\nTo change the blade, follow these steps:\n\n1. Unplug the saw.\n2. Loosen the screw (see section 4). It is very tight.\n\n| Part | Care |\n|---|---|\n| Blade | oil |\n| Plug | dry |\n\nRun this command:\n\n\`\`\`\nsaw --stop\n\`\`\`\n\n${'The workshop keeps a list of blades and their sizes on the wall. '.repeat(1)}${Array.from({ length: 12 }, (_, index) => `Blade number ${index} belongs to the saw on shelf ${index + 3} in the back room. `).join('')}\n`,
        ),
      ],
      'Saws',
    );
    const blocks = allLessons(draft.course).flatMap((lesson) => lesson.blocks);
    const kinds = blocks.map((block) => block.kind);
    expect(kinds).toEqual(expect.arrayContaining(['text', 'list', 'steps', 'table', 'code']));
    expect(kinds[kinds.indexOf('list') - 1]).toBe('text');
    const steps = blocks.find((block) => block.kind === 'steps')!;
    expect(blockTexts(steps).map(textOf)).toEqual(['Unplug the saw.', 'Loosen the screw.', 'It is very tight.']);
    const [, changed] = blockTexts(steps).flatMap(evidencedSentences);
    expect(changed.mark.attrs.passages[0].edits).toHaveLength(1);
    expect(reportOn(draft).sentences.unfaithful).toBe(0);
  });

  it('never teach a sentence twice, from whichever source', () => {
    const seen = new Map<string, number>();
    for (const lesson of allLessons(whole.course))
      for (const block of lesson.blocks)
        if (block.kind === 'text')
          for (const { text } of blockTexts(block).flatMap(evidencedSentences))
            if (text !== 'No.') seen.set(text, (seen.get(text) ?? 0) + 1);
    expect([...seen].filter(([, times]) => times > 1)).toEqual([]);
  });
});

describe('sizes', () => {
  it('are computed by the formula of docs/minutes.md', () => {
    expect(minutesFor(180, 1, 0.8)).toBe(2.7);
    const lesson = aLesson('x', [aText('a', 'word '.repeat(90).trim())]);
    expect([lessonWords(lesson), lessonMinutes(lesson), lessonMinutes({ ...lesson, minutesFixed: 9 })]).toEqual([
      90, 0.8, 9,
    ]);
  });

  it('demand grows with level and grade, and stays between 0 and 10', () => {
    const course = aCourse();
    const easy = lessonDemand(course.modules[0].lessons[0], course, 5);
    const hard = lessonDemand(course.modules[0].lessons[0], course, 18);
    expect(easy).toBeLessThan(hard);
    expect(lessonDemand(course.modules[0].lessons[0], course, undefined)).toBeGreaterThanOrEqual(0);
    expect(hard).toBeLessThanOrEqual(10);
  });
});
