import { describe, expect, it } from 'vitest';
import { apply } from '../../core/course/operations';
import type { Correction, Course } from '../../core/course/course';
import {
  claimHash,
  correct,
  correctedElsewhere,
  setStanding,
  takeOver,
  uncorrect,
} from '../../core/course/corrections';
import { validateCourse } from '../../core/course/validate';
import { draftContext, planCourse } from '../../core/draft';
import { corrected } from '../../core/knowledge/corrected';
import type { Knowledge } from '../../core/knowledge';
import { draftOutline } from '../../core/outline';
import { allSections, type Section } from '../../core/source/source';
import { aBrief, aCourse, anId, fromFile, fromMarkdown, knowing } from '../builders';
import { understand } from '../../core/knowledge';
import { packFor } from '../../server/language/packs';

const TEXT = `# Handling returns

## At the counter

A volunteer must check the tag of each tool before it goes to the shelf. The desk lead signs the sheet.

Internal use only.

## Wait for it

If a tool is wet, the volunteer must dry it before it goes to the shelf. Wet tools rust within two days.

### Contents of the box

Every box must hold the tool, its guard and its key.

Internal use only.
`;
const made = (course: Course, operations: ReturnType<typeof correct>) =>
  operations.reduce((state, operation) => {
    const applied = apply(state, operation);
    if (!applied.ok) throw new Error(applied.problem.code);
    return applied.course;
  }, course);
const section = (knowledge: Knowledge, title: string): Section =>
  allSections(knowledge.source.root).find((each) => each.title === title)!;
const passage = (knowledge: Knowledge, words: string) =>
  knowledge.source.passages.find((each) => each.text.includes(words))!;
const outline = (knowledge: readonly Knowledge[]) =>
  draftOutline(aBrief(), draftContext(aBrief(), knowledge).sources, draftContext(aBrief(), knowledge).terms, 'Returns');

async function withCorrections(...list: ((knowledge: Knowledge) => Omit<Correction, 'id' | 'sourceId'>)[]) {
  const knowledge = await knowing(TEXT);
  const course = list.reduce(
    (state, each) => made(state, correct(state, { ...each(knowledge), sourceId: knowledge.source.id })),
    aCourse(),
  );
  expect(validateCourse(course)).toEqual([]);
  return { course, knowledge, after: corrected([knowledge], course)[0] };
}

describe('a correction', () => {
  it('that says a claim is not so takes out that claim alone, and survives a newer version of the source', async () => {
    const rule = (knowledge: Knowledge) =>
      knowledge.claims.find((claim) => claim.kind === 'rule' && claim.text.includes('check the tag'))!;
    const { course, knowledge, after } = await withCorrections((known) => ({
      kind: 'not',
      place: rule(known).ranges[0].id,
      claim: 'rule',
      words: claimHash(rule(known)),
    }));
    expect(rule(after)).toBeUndefined();
    expect(after.claims.length).toBe(knowledge.claims.length - 1);
    expect(after.source.passages.length).toBe(knowledge.source.passages.length);
    const newer = understand(
      await fromMarkdown(`${TEXT}\n## New\n\nA new part that must be read by every volunteer.\n`, 'text.md'),
      packFor('en'),
    );
    expect(rule(newer)).toBeDefined();
    expect(rule(corrected([newer], course)[0])).toBeUndefined();
  });
  it('that leaves a part out takes it from everything that is drafted from', async () => {
    const { after } = await withCorrections((known) => ({
      kind: 'leave-out',
      place: section(known, 'Wait for it').id,
    }));
    expect(after.source.passages.map((each) => each.text)).toEqual([
      expect.stringContaining('check the tag'),
      'Internal use only.',
    ]);
    expect(allSections(after.source.root).map((each) => each.title)).not.toContain('Wait for it');
    expect(after.claims.every((claim) => claim.ranges.every((range) => after.passages.has(range.id)))).toBe(true);
    expect([...after.sentences.keys()]).toEqual(after.source.passages.map((each) => each.id));
  });
  it('that calls words furniture takes them out wherever they stand', async () => {
    const { knowledge, after } = await withCorrections((known) => ({
      kind: 'furniture',
      place: passage(known, 'Internal use').id,
    }));
    expect(knowledge.source.passages.filter((each) => each.text.startsWith('Internal'))).toHaveLength(2);
    expect(after.source.passages.some((each) => each.text.startsWith('Internal'))).toBe(false);
  });
  it('of a heading gives it its right words, or makes what stands under it go on with what stands before', async () => {
    const { after } = await withCorrections(
      (known) => ({ kind: 'heading', place: section(known, 'At the counter').id, title: 'Checking in' }),
      (known) => ({ kind: 'no-heading', place: section(known, 'Wait for it').id }),
    );
    const home = section(after, 'Checking in');
    expect(home.passages).toContain(passage(after, 'dry it').id);
    expect(section(after, 'Wait for it')).toBeUndefined();
    expect(section(after, 'Contents of the box')).toBeDefined();
    expect(
      allSections(after.source.root)
        .flatMap((each) => each.passages)
        .sort(),
    ).toEqual(after.source.passages.map((each) => each.id).sort());
  });
  it('that puts a part in focus gives it weight and room, and keeps it from being taken for boilerplate', async () => {
    const policy = understand(await fromFile('demo/files/lending-policy.docx'), packFor('en'));
    const lost = section(policy, 'Lost and stolen tools');
    const [focused] = corrected([policy], {
      corrections: [{ id: anId('k'), kind: 'focus', sourceId: policy.source.id, place: lost.id }],
    });
    expect([...focused.focus!]).toEqual(lost.passages);
    /** Words of the section that a course of four minutes teaches. */
    const taught = (each: Knowledge) => {
      const context = draftContext(aBrief({ size: { minutes: 4, questionsPerLesson: 0 } }), [each]);
      const lessons = planCourse(
        draftOutline(context.brief, context.sources, context.terms, 'Lending'),
        context,
      ).modules.flatMap((module) => module.lessons);
      return lessons
        .flatMap((lesson) => lesson.parts)
        .filter((part) => part.items.some((item) => lost.passages.includes(item.passage.id)))
        .reduce((sum, part) => sum + part.words, 0);
    };
    expect(taught(focused)).toBeGreaterThan(taught(policy));
    const part = (title: string, noun: string) =>
      `## ${title}\n\nA volunteer must check the ${noun} of each tool before it goes to the shelf, every single day of the week. If the ${noun} is broken, the volunteer must tell the desk lead within two days.\n`;
    const boiler = await knowing(
      `# Manual\n\n${part('Work', 'tag')}\n${part('Release notes', 'weight')}\n${part('Rest', 'drink')}`,
    );
    const taughtTitles = (each: Knowledge) =>
      outline([each]).modules.flatMap((module) =>
        module.lessons.flatMap((lesson) => lesson.scope.sections.map((own) => own.title)),
      );
    expect(taughtTitles(boiler)).not.toContain('Release notes');
    const change = section(boiler, 'Release notes');
    const kept = corrected([boiler], {
      corrections: [{ id: anId('k'), kind: 'focus', sourceId: boiler.source.id, place: change.id }],
    })[0];
    expect(taughtTitles(kept)).toContain('Release notes');
  });
  it('of one use of a place takes the place of another, and is taken back', async () => {
    const { course, knowledge } = await withCorrections(
      (known) => ({ kind: 'leave-out', place: section(known, 'Wait for it').id }),
      (known) => ({ kind: 'focus', place: section(known, 'Wait for it').id }),
    );
    expect(course.corrections!.map((each) => each.kind)).toEqual(['focus']);
    const back = made(course, uncorrect(course, course.corrections![0].id));
    expect(back.corrections).toBeUndefined();
    expect(corrected([knowledge], back)).toEqual([knowledge]);
  });
  it('of the reading can be taken over by another course, once, and not against its own', async () => {
    const { course, knowledge } = await withCorrections(
      (known) => ({ kind: 'furniture', place: passage(known, 'Internal use only').id }),
      (known) => ({ kind: 'heading', place: section(known, 'Wait for it').id, title: 'Wet tools' }),
      (known) => ({ kind: 'focus', place: section(known, 'At the counter').id }),
      (known) => ({ kind: 'no-heading', place: section(known, 'Contents of the box').id }),
    );
    const { id } = knowledge.source;
    const own = made(
      aCourse(),
      correct(aCourse(), {
        kind: 'heading',
        sourceId: id,
        place: section(knowledge, 'Contents of the box').id,
        title: 'The box',
      }),
    );
    const offered = correctedElsewhere(own, course, id);
    expect(offered.map((each) => each.kind)).toEqual(['furniture', 'heading']);
    const both = made(own, takeOver(own, offered));
    expect(both.corrections!.map((each) => each.kind)).toEqual(['heading', 'furniture', 'heading']);
    expect(validateCourse(both)).toEqual([]);
    expect(correctedElsewhere(both, course, id)).toEqual([]);
    expect(made(both, takeOver(both, offered)).corrections).toEqual(both.corrections);
    expect(correctedElsewhere(own, course, anId('another source'))).toEqual([]);
  });
  it('of something that is not there any more does nothing', async () => {
    const knowledge = await knowing(TEXT);
    const lost: Correction[] = (['leave-out', 'furniture', 'focus', 'no-heading', 'heading', 'not'] as const).map(
      (kind) => ({ id: anId(kind), kind, sourceId: knowledge.source.id, place: anId('lost'), title: 'X' }),
    );
    expect(corrected([knowledge], { corrections: lost })[0]).toEqual(knowledge);
  });
});

describe('the standing of a source', () => {
  it('lets a supporting one add to the lessons of the others, and make none of its own', async () => {
    const [lead, support] = await Promise.all(
      ['demo/files/lending-policy.docx', 'demo/files/twelve-years-at-the-desk.vtt'].map(async (path) =>
        understand(await fromFile(path), packFor('en')),
      ),
    );
    const stands = (knowledge: readonly Knowledge[]) =>
      outline(knowledge).modules.flatMap((module) =>
        module.lessons.flatMap((lesson) => (lesson.scope.sourceId === support.source.id ? [lesson.title] : [])),
      );
    expect(stands([lead, support]).length).toBeGreaterThan(1);
    const course = made(aCourse(), setStanding(aCourse(), support.source.id, true));
    const held = corrected([support, lead], course);
    expect(stands(held)).toEqual([]);
    expect(outline(held).dropped.filter((drop) => drop.reason === 'supporting').length).toBeGreaterThan(0);
    // It still adds to lessons of the other.
    expect(
      outline(held).modules.some((module) =>
        module.lessons.some((lesson) =>
          lesson.scope.sections.some((each) => each.passages.some((id) => support.passages.has(id))),
        ),
      ),
    ).toBe(true);
    expect(corrected([support, lead], course).map((each) => each.source.id)).toEqual([
      lead.source.id,
      support.source.id,
    ]);
    expect(made(course, setStanding(course, support.source.id, false)).supporting).toBeUndefined();
  });
  it('means nothing when all only support', async () => {
    const one = await knowing(TEXT);
    expect(corrected([one], { supporting: [one.source.id] })).toEqual([one]);
  });
});
