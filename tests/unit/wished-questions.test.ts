import { describe, expect, it } from 'vitest';
import type { Check, ChoiceCheck } from '../../core/checks/forms';
import { allLessons, placedChecks, type Course } from '../../core/course/course';
import { mayBeOffered, offersOf, refusedIn } from '../../core/course/offers';
import { applyAll, type Operation } from '../../core/course/operations';
import { placeWhereTaught, takeOut } from '../../core/course/placing';
import { takePage } from '../../core/course/takes';
import { validateCourse } from '../../core/course/validate';
import { draftCourse } from '../../core/draft';
import { draftLessonOf, prepareCourse } from '../../core/draft/from-course';
import { answersFor, questionsFor } from '../../core/draft/questions';
import { lintCheck } from '../../core/checks/lints';
import { standingFor } from '../../core/check/standing';
import { understand } from '../../core/knowledge';
import { readSource } from '../../core/reading';
import { packFor } from '../../server/language/packs';
import { aBrief, anId, file, MAKER } from '../builders';

const read = await readSource(
  { name: 'lending-policy.docx', bytes: file('demo/files/lending-policy.docx') },
  anId('policy'),
);
if (!read.ok) throw new Error(read.problem.code);
const policy = understand(read.source, packFor(read.source.language));
const { course } = draftCourse(aBrief(), [policy], 'Lending tools safely');
const prepared = prepareCourse(course, [policy]);
const lessons = allLessons(course);
let made = 0;
const freshId = (letter: string) => anId(`${letter}${made++}`);

function after(now: Course, ...operations: Operation[]): Course {
  const applied = applyAll(now, operations);
  if (!applied.ok) throw new Error(`${applied.problem.code} at ${applied.problem.place}`);
  return applied.course;
}
const refusing = (check: Check, because: NonNullable<Check['refused']>['because'], now = course) =>
  after(now, { type: 'set', id: check.id, field: 'refused', value: { because }, was: null });
const placesOf = (id: string): Operation[] =>
  lessons
    .flatMap(({ blocks }) => blocks)
    .flatMap((block) =>
      block.kind === 'check' && block.body.checkId === id ? [{ type: 'remove', id: block.id }] : [],
    );
const without = (ids: readonly string[], now = course): Course => ({
  ...now,
  checks: now.checks.filter(({ id }) => !ids.includes(id)),
  modules: now.modules.map((module) => ({
    ...module,
    lessons: module.lessons.map((lesson) => ({
      ...lesson,
      blocks: lesson.blocks.filter((block) => block.kind !== 'check' || !ids.includes(block.body.checkId)),
    })),
  })),
});

describe('questions on demand', () => {
  it('are those that the page as it stands could be asked, without those there are', () => {
    const gone = course.checks.slice(0, 6);
    const found = questionsFor(without(gone.map(({ id }) => id)), { about: course.id }, prepared);
    const known = new Set(found.offers.map(({ id }) => id));
    expect(gone.filter(({ id }) => known.has(id)).length).toBeGreaterThanOrEqual(5);
    expect(course.checks.slice(6).some(({ id }) => known.has(id))).toBe(false);
    expect(found.known).toBe(course.checks.length - gone.length);
    for (const check of found.offers) expect(lintCheck(check, 'en')).toEqual([]);
  });

  it('stay with the lesson, the form, the passages and the words that are wished for', () => {
    const bare = without(course.checks.map(({ id }) => id));
    const [one] = lessons.filter(({ id }) => course.checks.filter((check) => check.lessonId === id).length > 2);
    const all = questionsFor(bare, { about: one.id }, prepared).offers;
    expect(all.length).toBeGreaterThan(1);
    expect(new Set(all.map(({ lessonId }) => lessonId))).toEqual(new Set([one.id]));
    const form = all[0].drafted!.form;
    const formed = questionsFor(bare, { about: one.id, form }, prepared).offers;
    expect(new Set(formed.map(({ drafted }) => drafted!.form))).toEqual(new Set([form]));
    const passages = all[0].evidence.map(({ id }) => id);
    for (const check of questionsFor(bare, { about: one.id, passages }, prepared).offers)
      expect(check.evidence.some(({ id }) => passages.includes(id))).toBe(true);
    const fees = questionsFor(bare, { about: course.id, words: 'deposit' }, prepared).offers;
    expect(fees.length).toBeGreaterThan(0);
    for (const check of fees) expect(JSON.stringify(check)).toMatch(/deposit/i);
    expect(questionsFor(bare, { about: course.id, words: 'submarine volcano' }, prepared).offers).toEqual([]);
  });

  it('say nothing of what its author took off the page', () => {
    const [one] = lessons.filter(({ id }) => course.checks.some((check) => check.lessonId === id));
    const empty = {
      ...course,
      checks: [],
      modules: course.modules.map((module) => ({
        ...module,
        lessons: module.lessons.map((lesson) => (lesson.id === one.id ? { ...lesson, blocks: [] } : lesson)),
      })),
    };
    expect(questionsFor(empty, { about: one.id }, prepared)).toEqual({ offers: [], known: 0, refused: 0 });
  });

  it('leave out what its author threw away', () => {
    const [one] = course.checks;
    const gone = after(course, ...placesOf(one.id), { type: 'remove', id: one.id });
    expect(gone.bin.some(({ node }) => node.id === one.id)).toBe(true);
    expect(questionsFor(gone, { about: one.lessonId }, prepared).offers.some(({ id }) => id === one.id)).toBe(false);
  });

  it('are put behind what they ask about, and drafted ones out of a page in one go', () => {
    const bare = without(course.checks.map(({ id }) => id));
    const { offers } = questionsFor(bare, { about: course.id }, prepared);
    const two = offers.slice(0, 2);
    const inserted = after(
      bare,
      ...two.map((node): Operation => ({ type: 'insert', kind: 'check', parent: bare.id, after: null, node })),
    );
    const placed = after(inserted, ...placeWhereTaught(inserted, two, freshId));
    expect(validateCourse(placed)).toEqual([]);
    expect(new Set(placedChecks(placed).map(({ id }) => id))).toEqual(new Set(two.map(({ id }) => id)));
    for (const check of two) {
      const { blocks } = allLessons(placed).find(({ id }) => id === check.lessonId)!;
      const at = blocks.findIndex((block) => block.kind === 'check' && block.body.checkId === check.id);
      expect(JSON.stringify(blocks.slice(0, at))).toContain(check.evidence[0].id);
    }
    const page = allLessons(placed).find(({ id }) => id === two[0].lessonId)!;
    const out = after(placed, ...takeOut(page, placed.checks));
    expect(placedChecks(out).some(({ lessonId }) => lessonId === page.id)).toBe(false);
    expect(offersOf(out).some(({ id }) => id === two[0].id)).toBe(true);
  });
});

describe('what was refused', () => {
  const [one] = offersOf(course).filter(({ drafted }) => drafted);

  it('is kept, and neither an offer nor drafted again, nor thrown away by a new draft', () => {
    const refused = refusing(one, 'easy');
    expect(validateCourse(refused)).toEqual([]);
    expect(refusedIn(refused).map(({ id }) => id)).toEqual([one.id]);
    expect(offersOf(refused).some(({ id }) => id === one.id)).toBe(false);
    const page = draftLessonOf(refused, one.lessonId, prepared);
    expect(page.checks.some(({ id }) => id === one.id)).toBe(false);
    const redrafted = after(refused, ...takePage(refused, page, anId('kept'), MAKER));
    expect(refusedIn(redrafted).map(({ id }) => id)).toEqual([one.id]);
    expect(validateCourse(redrafted)).toEqual([]);
  });

  it('keeps others away as its reason says: of its passage, or of its form', () => {
    const other = { ...one, id: anId('other'), stem: `${one.stem} Say.` };
    const because = (reason: NonNullable<Check['refused']>['because']) => [{ ...one, refused: { because: reason } }];
    expect(mayBeOffered(other, because('easy'))).toBe(true);
    expect(mayBeOffered(other, because('aside'))).toBe(false);
    expect(mayBeOffered({ ...other, lessonId: anId('elsewhere') }, because('aside'))).toBe(true);
    expect(mayBeOffered(other, because('form'))).toBe(false);
    expect(mayBeOffered({ ...other, drafted: undefined }, because('form'))).toBe(true);
  });

  it('is counted where more is asked for', () => {
    const refused = refusing(one, 'form');
    const rest = without(
      refused.checks.filter(({ refused: no }) => !no).map(({ id }) => id),
      refused,
    );
    const found = questionsFor(rest, { about: course.id }, prepared);
    expect(found.refused).toBeGreaterThan(0);
    expect(found.offers.some(({ drafted }) => drafted!.form === one.drafted!.form)).toBe(false);
  });
});

describe('another wrong answer', () => {
  const choices = course.checks.filter((check): check is ChoiceCheck => check.kind === 'choice');
  const instead = (check: ChoiceCheck) => check.options.find(({ id }) => id !== check.key)!;

  it('fits the question, is none of its answers, and says what the sources say to it', () => {
    const offered = choices.map((check) => answersFor(course, check.id, instead(check).id, prepared));
    expect(offered.filter((answers) => answers.length > 0).length).toBeGreaterThan(choices.length / 4);
    for (const [at, answers] of offered.entries()) {
      const check = choices[at];
      const texts = check.options.map(({ text }) => text.toLowerCase());
      for (const answer of answers) {
        expect(texts).not.toContain(answer.text.toLowerCase());
        expect(answer.feedback.code).not.toBe('right');
        const options = check.options.map((each) => (each.id === instead(check).id ? answer : each));
        expect(lintCheck({ ...check, options }, 'en')).toEqual(lintCheck(check, 'en'));
      }
    }
  });

  it('is found for a question of its author by what it stands on and looks like', () => {
    const lessonId = choices.find(({ drafted }) => drafted!.form === 'condition')!.lessonId;
    const own = (texts: string[]): Course => {
      const options = texts.map((text, at) => ({
        id: anId(`own${at}`),
        text,
        feedback: { code: 'own' as const, quotes: [] },
      }));
      const check: ChoiceCheck = {
        id: anId('own'),
        kind: 'choice',
        lessonId,
        stem: 'What do you do first?',
        evidence: [],
        level: 'apply',
        difficulty: 0.3,
        options,
        key: options[0].id,
      };
      return { ...course, checks: [...course.checks, check] };
    };
    const wrong = (texts: string[]) => answersFor(own(texts), anId('own'), anId('own1'), prepared);
    const figures = wrong(['12 hours', '8 hours', '20 hours']).map(({ text }) => text);
    expect(figures.length).toBeGreaterThan(1);
    for (const text of figures) expect(text).toMatch(/^\d+ hours$/);
    const doings = wrong(['Write the name of the member down', 'Ring the town hall about it', 'Go home early today']);
    expect(doings.length).toBeGreaterThan(1);
    for (const { feedback } of doings) expect(feedback.quotes).toHaveLength(1);
  });

  it('is none for the key, nor for what is gone', () => {
    const [check] = choices;
    expect(answersFor(course, check.id, check.key, prepared)).toEqual([]);
    expect(answersFor(course, anId('gone'), check.key, prepared)).toEqual([]);
    expect(answersFor(course, check.id, anId('gone'), prepared)).toEqual([]);
  });
});

describe('what a question stands on', () => {
  it('is found again for nearly all questions that stand on something, first or among the next', () => {
    const found = course.checks.filter((check) => {
      const bare = { ...check, evidence: [] };
      return standingFor(bare, [policy]).some(({ range }) => check.evidence.some(({ id }) => id === range.id));
    });
    expect(found.length / course.checks.length).toBeGreaterThan(0.8);
  });

  it('is nothing where the sources say nothing of it, or there are none', () => {
    const odd = { ...course.checks[0], stem: 'Who won the regatta of the volcano islands?', options: [] } as never;
    expect(standingFor(odd, [policy])).toEqual([]);
    expect(standingFor(course.checks[0], [])).toEqual([]);
  });
});
