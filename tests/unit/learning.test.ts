import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { mark, splitCheck } from '../../core/checks/markings';
import type { Course } from '../../core/course/course';
import { allIds } from '../../core/course/tree';
import {
  EventInput,
  eventFrom,
  EventsInput,
  ReleaseInput,
  rulesFrom,
  type RulesInput,
} from '../../server/inputs/learning';
import { checkInput } from '../../server/inputs/check';
import { packState, unpackState } from '../../core/learning/packed';
import { progressOf, standingIn } from '../../core/learning/progress';
import { allShown, shown } from '../../core/learning/shown';
import {
  after,
  BEGINNING,
  isSettled,
  stateAfter,
  type Answer,
  type LearnerEvent,
  type LearnerState,
} from '../../core/learning/state';
import { carriedOver, difference } from '../../core/learning/releases';
import { USUAL_RULES, type Rules } from '../../core/learning/rules';
import {
  checksIn,
  FROZEN_VERSION,
  freezeCourse,
  isEmptyForLearners,
  lessonsOf,
  upgradeFrozen,
  type LearnerCourse,
} from '../../core/learning/view';
import { aCheck, aCourse, aLearnersCourse, aLesson, aModule, anId, aText, optionsOf, asChoice } from '../builders';

const rules = (changes: Partial<Rules> = {}): Rules => ({ ...USUAL_RULES, ...changes });
const { view, keys } = aLearnersCourse();
const [one, two, three] = lessonsOf(view);
const [asked] = checksIn(one);
const {
  right,
  wrong: [wrong],
} = optionsOf(keys, asked);
const read = (lesson: string): LearnerEvent => ({ id: 'e', kind: 'read', lesson });
const answer = (response: string, check = asked, lesson = one.id): LearnerEvent => ({
  id: 'e',
  kind: 'answer',
  lesson,
  check,
  response,
});
const taking = (by = rules()) => ({ course: view, keys, rules: by, learner: 'somebody' });
const seenOf = (check: string, given: Answer) => shown(check, given, keys, isSettled(given, rules()));
const progressIn = (course: LearnerCourse, by: Rules, state: LearnerState) =>
  progressOf(course, by, standingIn(course, state));
const upTo = (events: LearnerEvent[], by = rules()) => stateAfter(events, taking(by));

describe('what learners get of a course', () => {
  const course: Course = {
    ...aCourse(),
    takes: [
      {
        id: anId('take'),
        of: anId('First one'),
        field: 'title',
        value: 'Secret take',
        made: { at: 1, by: 'Ines', why: 'kept' },
      },
    ],
  };
  const evidence = {
    type: 'evidence' as const,
    attrs: { id: anId('e'), passages: [{ id: anId('p'), from: 0, to: 3 }], was: 'abcdefghij' },
  };
  course.modules[0].lessons[0].blocks.unshift({
    id: anId('sourced'),
    kind: 'text',
    body: {
      text: [
        { type: 'text', text: 'One ', marks: [evidence] },
        { type: 'text', text: 'two', marks: [{ type: 'connecting' }] },
      ],
    },
  });
  course.modules[0].lessons[0].blocks.push(
    { id: anId('code'), kind: 'code', body: { code: 'x' }, evidence: [{ id: anId('p'), from: 0, to: 1 }] },
    { id: anId('twice'), kind: 'check', body: { checkId: anId('check') } },
  );
  course.modules.push(aModule('Blank', [aLesson('Nothing yet', [])]));
  const frozen = freezeCourse(course, 'secret');

  it('has no keys, feedback, evidence, offers, takes, brief, and no blank lessons', () => {
    const said = JSON.stringify(frozen.view);
    for (const word of [
      'evidence',
      'connecting',
      'key',
      'feedback',
      'Secret take',
      'Nothing yet',
      'audience',
      'plannedPassages',
      anId('offer'),
    ])
      expect(said, word).not.toContain(word);
    expect(lessonsOf(frozen.view).map((lesson) => lesson.title)).toEqual([
      'First one',
      'First two',
      'Second one',
      'Second two',
    ]);
    expect(lessonsOf(frozen.view)[0].blocks[0].body).toEqual({ text: [{ type: 'text', text: 'One two' }] });
    expect(frozen.view.checks.map((check) => check.id)).toEqual([anId('check')]);
    expect(checksIn(lessonsOf(frozen.view)[0])).toEqual([anId('check')]);
  });

  it('has options whose ids and order do not tell the key', () => {
    const known = new Set(
      allIds(course).concat(course.checks.flatMap((check) => asChoice(check).options.map((option) => option.id))),
    );
    expect(asChoice(frozen.view.checks[0]).options.some((option) => known.has(option.id))).toBe(false);
    const firsts = Array.from({ length: 200 }, (_, at) => {
      const { view: seen, keys: marking } = freezeCourse(
        { ...course, checks: [{ ...aCheck('check'), id: anId('check') }] },
        `secret ${at}`,
      );
      return asChoice(seen.checks[0]).options.findIndex(
        (option) => option.id === optionsOf(marking, anId('check')).right,
      );
    });
    for (const place of [0, 1, 2]) expect(firsts.filter((each) => each === place).length).toBeGreaterThan(40);
    expect(freezeCourse(course, 'secret')).toEqual(frozen);
  });

  it('is nothing when no lesson has text', () => {
    expect(isEmptyForLearners(course)).toBe(false);
    expect(isEmptyForLearners({ ...course, modules: [aModule('Blank', [aLesson('Nothing yet', [])])] })).toBe(true);
  });
});

describe('marking', () => {
  const check = aCheck('check');
  const { view: asks, secret } = splitCheck(check, 'mixed');
  const { right: good, wrong: bad } = optionsOf({ [check.id]: secret }, check.id);
  it('tells right from wrong, with what is said to each', () => {
    expect(mark(secret, good)).toMatchObject({ score: 1, state: 'marked', feedback: { code: 'right' } });
    expect(asks).toMatchObject({ id: check.id, kind: 'choice', stem: check.stem });
    expect(mark(secret, bad[0])).toMatchObject({ score: 0, state: 'marked', feedback: { code: 'not-said' } });
  });
  it.each(['nothing', '__proto__', 'toString', '', undefined, null, 1, {}, ['a']])('%j is no response', (response) =>
    expect(mark(secret, response)).toBeUndefined(),
  );
});

describe("a learner's state", () => {
  it('is what the events say: read once, answered until settled', () => {
    const state = upTo([read(one.id), read(one.id), answer(wrong), answer(right), answer(wrong)]);
    expect(state.read).toEqual([one.id]);
    expect(state.answers[asked]).toEqual({ response: right, score: 1, state: 'marked', tries: 2 });
  });
  it('takes no more answers than there are tries', () => {
    expect(upTo([answer(wrong), answer(wrong), answer(right)]).answers[asked]).toEqual({
      response: wrong,
      score: 0,
      state: 'marked',
      tries: 2,
    });
    expect(upTo([answer(wrong), answer(wrong), answer(right)], rules({ tries: null })).answers[asked].score).toBe(1);
  });
  it('is not changed by what cannot be', () => {
    expect(after(BEGINNING, answer('anothing'), taking())).toBe(BEGINNING);
    expect(after(BEGINNING, answer(right, 'knothing'), taking())).toBe(BEGINNING);
  });
  it('shows the key only when nothing can be won by it', () => {
    const first = seenOf(asked, upTo([answer(wrong)]).answers[asked])!;
    expect(first).toMatchObject({ settled: false, score: 0 });
    expect(JSON.stringify(first)).not.toContain(right);
    expect(seenOf(asked, upTo([answer(wrong), answer(wrong)]).answers[asked])).toMatchObject({
      settled: true,
      solution: right,
      why: { code: 'right' },
    });
    expect(seenOf(asked, upTo([answer(right)]).answers[asked])).toMatchObject({
      settled: true,
      solution: right,
      feedback: { code: 'right' },
    });
    expect(seenOf('knothing', { response: right, score: 1, state: 'marked', tries: 1 })).toBeUndefined();
    // From a packed state that had to drop what was answered.
    expect(seenOf(asked, { score: 0, state: 'marked', tries: 1 })).toEqual({
      score: 0,
      state: 'marked',
      tries: 1,
      settled: false,
    });
    expect(Object.keys(allShown(upTo([answer(wrong)]), keys, rules()))).toEqual([asked]);
  });
});

describe('progress', () => {
  it('counts a lesson by the rule', () => {
    const only = (events: LearnerEvent[], lesson: Rules['lesson']) =>
      progressIn(view, rules({ lesson }), upTo(events)).lessons[one.id];
    expect(only([read(one.id)], { kind: 'read' })).toMatchObject({ done: true, left: [] });
    expect(only([read(one.id)], { kind: 'answered' })).toMatchObject({ done: false, left: ['answer'] });
    expect(only([read(one.id), answer(wrong)], { kind: 'answered' })).toMatchObject({ done: true });
    expect(only([read(one.id), answer(wrong)], { kind: 'passed', share: 1 })).toMatchObject({
      done: false,
      left: ['pass'],
    });
    expect(only([answer(right)], { kind: 'passed', share: 1 })).toMatchObject({ done: false, left: ['read'] });
    expect(only([read(one.id), answer(right)], { kind: 'passed', share: 1 })).toMatchObject({ done: true });
  });
  it('opens lessons one after another where the order is forced', () => {
    const opened = (events: LearnerEvent[]) =>
      lessonsOf(view).filter(
        (lesson) => progressIn(view, rules({ order: 'forced' }), upTo(events)).lessons[lesson.id].open,
      ).length;
    expect(opened([])).toBe(1);
    expect(opened([read(one.id)])).toBe(1);
    expect(opened([read(one.id), answer(wrong)])).toBe(2);
    expect(opened([read(one.id), answer(wrong), read(three.id)])).toBe(2);
    expect(Object.values(progressIn(view, rules(), BEGINNING).lessons).every((lesson) => lesson.open)).toBe(true);
  });
  const all = lessonsOf(view).flatMap((lesson): LearnerEvent[] => [
    read(lesson.id),
    ...checksIn(lesson).map((check) => answer(optionsOf(keys, check).right, check, lesson.id)),
  ]);
  it('completes a course when all is done, and enough is right where that is asked', () => {
    expect(progressIn(view, rules(), upTo(all))).toMatchObject({
      completed: true,
      passed: true,
      score: 1,
      done: lessonsOf(view).length,
    });
    const missed = all.map((event) => (event.kind === 'answer' && event.check === asked ? answer(wrong) : event));
    expect(progressIn(view, rules({ course: { kind: 'passed', share: 1 } }), upTo(missed))).toMatchObject({
      completed: false,
      passed: false,
    });
    expect(progressIn(view, rules({ course: { kind: 'passed', share: 0.5 } }), upTo(missed))).toMatchObject({
      completed: true,
      passed: true,
      score: 0.5,
    });
    const plain = progressIn(view, rules({ course: { kind: 'lessons' } }), upTo(missed));
    expect(plain.completed).toBe(true);
    expect('passed' in plain).toBe(false);
  });
  it('knows where to go on', () => {
    expect(progressIn(view, rules(), BEGINNING).next).toBe(one.id);
    expect(progressIn(view, rules(), upTo([read(two.id)])).next).toBe(three.id);
    expect(progressIn(view, rules(), upTo([answer(wrong)])).next).toBe(one.id);
    expect(progressIn(view, rules(), { ...upTo(all), at: two.id }).next).toBe(two.id);
    expect(progressIn({ ...view, modules: [] }, rules(), BEGINNING)).toMatchObject({ done: 0, checks: { of: 0 } });
  });
});

describe('answers that are worth a part, or not marked yet', () => {
  const half = { response: right, score: 0.5, state: 'marked' as const, tries: 1 };
  const waits = { response: 'words', score: 0, state: 'waiting' as const, tries: 1 };
  const others = Object.fromEntries(
    view.checks.filter(({ id }) => id !== asked).map(({ id }) => [id, { ...half, score: 1 }]),
  );
  const all = { read: lessonsOf(view).map((lesson) => lesson.id) };
  const by = (answers: LearnerState['answers'], share: number) =>
    progressIn(view, rules({ course: { kind: 'passed', share } }), { ...all, answers });

  it('count for what they are worth', () => {
    const of = view.checks.length;
    expect(by({ ...others, [asked]: half }, 1)).toMatchObject({ passed: false, completed: false });
    expect(by({ ...others, [asked]: half }, 1).score).toBeCloseTo((of - 0.5) / of);
    expect(by({ ...others, [asked]: half }, 0.5).checks).toEqual({ answered: of, right: of - 1, waiting: 0, of });
  });
  it('leave it open whether a course is passed, while they could change that', () => {
    const open = by({ ...others, [asked]: waits }, 1);
    expect(open).toMatchObject({ completed: false, checks: { waiting: 1 } });
    expect(open).not.toHaveProperty('passed');
    expect(by({ ...others, [asked]: waits }, 0.1)).toMatchObject({ passed: true, completed: true });
    expect(by({ [asked]: waits }, 1)).toMatchObject({ passed: false });
  });
  it('are not settled before they are marked, and no fault of the learner', () => {
    const state = { ...all, answers: { [asked]: waits } };
    const lesson = { kind: 'passed' as const, share: 1 };
    expect(progressIn(view, rules({ lesson }), state).lessons[one.id]).toMatchObject({ done: true });
    expect(seenOf(asked, waits)).toMatchObject({ settled: false, state: 'waiting' });
  });
  it('are marked by a person, whose word holds until the next answer', () => {
    const marked = (score: number): LearnerEvent => ({ id: 'e', kind: 'mark', lesson: one.id, check: asked, score });
    expect(upTo([answer(wrong), marked(0.4)]).answers[asked]).toEqual({
      response: wrong,
      score: 0.4,
      state: 'marked',
      tries: 1,
    });
    expect(upTo([answer(wrong), marked(0.4), answer(right)]).answers[asked]).toMatchObject({ score: 1, tries: 2 });
    expect(after(BEGINNING, marked(1), taking())).toBe(BEGINNING);
  });
});

describe('a release of an older version', () => {
  const bare = (thing: object) => Object.fromEntries(Object.entries(thing).filter(([key]) => key !== 'kind'));
  it('has the kind of its checks, which there was one of', () => {
    const older = {
      view: { ...view, checks: view.checks.map(bare) },
      keys: Object.fromEntries(Object.entries(keys).map(([id, secret]) => [id, bare(secret)])),
    };
    expect(upgradeFrozen(older, 1)).toEqual({ view, keys });
    expect(upgradeFrozen({ view, keys }, FROZEN_VERSION)).toEqual({ view, keys });
    expect(() => upgradeFrozen({ view, keys }, FROZEN_VERSION + 1)).toThrowError('newer-document');
  });
});

describe('a newer release', () => {
  const course = aCourse();
  const next: Course = JSON.parse(JSON.stringify(course)) as Course;
  next.modules[0].lessons[1].blocks.push(aText('more', 'More words.'));
  next.modules[1].lessons = [next.modules[1].lessons[0], aLesson('Third')];
  const [from, to] = [freezeCourse(course, 's'), freezeCourse(next, 's')];
  const found = difference(from.view, to.view);
  it('says which lessons stayed, changed, came and went', () => {
    expect(found).toEqual({
      same: [anId('First one'), anId('Second one')],
      changed: [anId('First two')],
      added: [anId('Third')],
      gone: [anId('Second two')],
      checks: [anId('check')],
    });
  });
  it('keeps what still counts of what was done', () => {
    const events = [
      read(anId('First one')),
      read(anId('First two')),
      read(anId('Second two')),
      {
        id: 'e',
        kind: 'answer' as const,
        lesson: anId('First one'),
        check: anId('check'),
        response: optionsOf(from.keys, anId('check')).right,
      },
    ];
    expect(carriedOver(events, found)).toEqual([events[0], events[3]]);
    expect(
      stateAfter(carriedOver(events, found), { ...taking(), course: to.view, keys: to.keys }).answers[anId('check')]
        .score,
    ).toBe(1);
  });
  it('opens a lesson again whose question was changed', () => {
    const asking: Course = JSON.parse(JSON.stringify(course)) as Course;
    asChoice(asking.checks[0]).options[1].text = 'Another answer';
    const changed = difference(from.view, freezeCourse(asking, 's').view);
    expect(changed).toMatchObject({ changed: [anId('First one')], checks: [] });
  });
});

describe('a packed state', () => {
  const options = (check: string) =>
    asChoice(view.checks.find((each) => each.id === check)!).options.map((option) => option.id);
  const anyState = fc
    .record({
      read: fc.subarray(lessonsOf(view).map((lesson) => lesson.id)),
      at: fc.option(fc.constantFrom(...lessonsOf(view).map((lesson) => lesson.id)), { nil: undefined }),
      answers: fc.dictionary(
        fc.constantFrom(...view.checks.map((check) => check.id)),
        fc.record({
          response: fc.nat(2),
          score: fc.integer({ min: 0, max: 100 }).map((hundredth) => hundredth / 100),
          state: fc.constantFrom('marked' as const, 'waiting' as const),
          tries: fc.integer({ min: 1, max: 3 }),
        }),
      ),
    })
    .map(({ read: lessons, at, answers }): LearnerState => ({
      read: lessons,
      answers: Object.fromEntries(
        Object.entries(answers).map(([check, given]) => [
          check,
          { ...given, response: options(check)[given.response] },
        ]),
      ),
      ...(at && { at }),
    }));
  it('gives back what was packed', () =>
    fc.assert(
      fc.property(anyState, (state) => {
        expect(unpackState(view, packState(view, state), 'somebody')).toEqual(state);
      }),
      { seed: 5 },
    ));

  it('fits 300 lessons of 3 checks, and drops by its rule where there is less room', () => {
    const { view: long, keys: marking } = aLearnersCourse(300, 3);
    const lessons = lessonsOf(long);
    const state: LearnerState = {
      at: lessons[299].id,
      read: lessons.map((lesson) => lesson.id),
      answers: Object.fromEntries(
        long.checks.map((check) => [
          check.id,
          { response: optionsOf(marking, check.id).right, score: 1, state: 'marked' as const, tries: 3 },
        ]),
      ),
    };
    const packed = packState(long, state);
    expect(packed.length).toBeLessThanOrEqual(2310);
    expect(packed).toMatch(/^[\w.-]+$/);
    expect(unpackState(long, packed, 'somebody')).toEqual(state);
    const outcomes = unpackState(long, packState(long, state, 2000), 'somebody');
    expect(outcomes.read).toEqual(state.read);
    expect(
      Object.values(outcomes.answers).every(
        (given) => given.response === undefined && given.score === 1 && given.tries === 3,
      ),
    ).toBe(true);
    const least = packState(long, state, 100);
    expect(least.length).toBeLessThanOrEqual(100);
    expect(unpackState(long, least, 'somebody')).toMatchObject({ read: state.read, answers: {}, at: state.at });
  });
  it('as older packages wrote it is read: lessons, outcomes, tries and options', () => {
    // One lesson read, its check answered rightly at the second try by its first option; of the rest nothing.
    const bits = [
      1,
      ...lessonsOf(view)
        .slice(1)
        .map(() => 0),
      1,
      0,
      1,
      0,
      0,
      0,
      0,
      1,
    ];
    const text = bits.join('').padEnd(Math.ceil(bits.length / 6) * 6, '0');
    const letters = text
      .match(/.{6}/g)!
      .map((six) => 'ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz0123456789-_'[parseInt(six, 2)])
      .join('');
    expect(unpackState(view, `a0.${letters}`, 'somebody')).toEqual({
      at: one.id,
      read: [one.id],
      answers: { [asked]: { response: options(asked)[0], score: 1, state: 'marked', tries: 2 } },
    });
  });
  it.each(['', 'nonsense', 'z1.AAAA', 'a999.____', 'a0.%%%', '{"read":[]}'])('%j is read without harm', (text) => {
    const state = unpackState(view, text, 'somebody');
    expect(progressIn(view, rules(), state).done).toBeLessThanOrEqual(lessonsOf(view).length);
  });
  it('of a course with fewer lessons gives what can be read of it', () => {
    const shorter = { ...view, modules: view.modules.slice(0, 1) };
    expect(unpackState(shorter, packState(view, upTo([read(one.id), read(three.id)])), 'somebody').read).toEqual([
      one.id,
    ]);
  });
});

describe('what learners and authors send', () => {
  const good = { id: 'eabcdefghij2', kind: 'read', lesson: 'labcdefghij2', at: 5 };
  it.each([
    [good, true],
    [{ ...good, kind: 'cheat' }, false],
    [{ ...good, lesson: 'L' }, false],
    [{ ...good, right: true }, false],
    [{ ...good, at: -1 }, false],
    [{ ...good, at: '5' }, false],
  ])('%j', (event, ok) => expect(checkInput(EventsInput, { events: [event] }).ok).toBe(ok));
  it('is at most so much at once', () =>
    expect(checkInput(EventsInput, { events: Array.from({ length: 201 }, () => good) }).ok).toBe(false));
  it('is an answer only with check and response', () => {
    const base = Object.assign(new EventInput(), { ...good, kind: 'answer' as const });
    expect(eventFrom(base)).toBeUndefined();
    expect(eventFrom(Object.assign(base, { check: 'kabcdefghij2', response: 'aabcdefghij2' }))).toMatchObject({
      kind: 'answer',
      response: 'aabcdefghij2',
    });
    // A page that was opened before checks had kinds.
    delete base.response;
    expect(eventFrom(Object.assign(base, { option: 'aabcdefghij2' }))).toMatchObject({ response: 'aabcdefghij2' });
  });
  it('is rules that can be', () => {
    const sent = { lesson: 'passed', course: 'passed', share: 0.8, order: 'forced', tries: 3 };
    expect(rulesFrom(sent as RulesInput)).toEqual({
      lesson: { kind: 'passed', share: 0.8 },
      course: { kind: 'passed', share: 0.8 },
      order: 'forced',
      tries: 3,
    });
    const release = (changes: object) =>
      checkInput(ReleaseInput, { note: '', access: 'link', move: false, rules: { ...sent, ...changes } }).ok;
    expect([
      release({}),
      release({ share: 2 }),
      release({ tries: 9 }),
      release({ order: 'any' }),
      release({ more: 1 }),
    ]).toEqual([true, false, false, false, false]);
  });
});
