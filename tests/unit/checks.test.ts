import { describe, expect, it } from 'vitest';
import {
  CHECK_KINDS,
  checkFields,
  checkFormOf,
  checkText,
  rewordedFields,
  type Check,
  type CheckKind,
} from '../../core/checks/forms';
import {
  interactionOf,
  mark,
  markedAlone,
  packResponse,
  solutionOf,
  splitCheck,
  unpackResponse,
  type Interaction,
} from '../../core/checks/markings';
import { checkHtml } from '../../core/checks/pages';
import type { PageView } from '../../core/blocks/page';
import type { Problem } from '../../core/document/problem';
import { readNumber } from '../../core/checks/number/reading';
import { shown } from '../../core/learning/shown';
import { after, BEGINNING, isSettled } from '../../core/learning/state';
import { USUAL_RULES, type Rules } from '../../core/learning/rules';
import type { Taking } from '../../core/learning/sittings';
import { wordsFor } from '../../core/words';
import { EVERY_CHECK, MATCH, NUMBER, OPEN, ORDER, SEVERAL, SHORT, SORT, TASK, wrongTo } from '../every-check';
import type { NumberCheck } from '../../core/checks/number/form';
import type { OpenCheck } from '../../core/checks/open/form';
import type { ShortCheck } from '../../core/checks/short/form';

/** What platforms are told of an answer to each kind of check, and what is no response to it. */
const TAKEN: { [Kind in CheckKind]: { type: Interaction['type']; bad: unknown[] } } = {
  choice: { type: 'choice', bad: ['nothing', '__proto__', 1, null, undefined, {}, []] },
  truth: { type: 'true-false', bad: ['true', 0, 1, null, undefined, {}, []] },
  several: { type: 'choice', bad: ['nothing', [], [1], ['__proto__'], null, undefined, {}] },
  scenario: { type: 'fill-in', bad: ['nothing', [], [1], ['__proto__'], ['toString'], null, undefined, {}] },
  area: { type: 'choice', bad: ['nothing', [], [1], ['__proto__'], null, undefined, {}] },
  order: { type: 'sequencing', bad: ['a', [], ['a', 'b', 'c', 'd'], null, undefined, {}] },
  match: { type: 'matching', bad: ['a', [], {}, { a: 'b', c: 'd' }, null, undefined] },
  sort: { type: 'matching', bad: ['a', [], {}, { a: 'b', c: 'd', e: 'f' }, null, undefined] },
  number: { type: 'numeric', bad: ['1.5', NaN, Infinity, null, undefined, [], {}] },
  short: { type: 'fill-in', bad: ['', '  ', 'x'.repeat(201), 1, null, undefined, [], {}] },
  task: {
    type: 'long-fill-in',
    bad: [
      { text: 'too few', files: [] },
      { text: 'word '.repeat(61), files: [] },
      { text: 'x'.repeat(16_001), files: [] },
      { text: '', files: [] },
      { text: 'one two three', files: [{ hash: '../x', name: 'a.png', bytes: 1 }] },
      'text',
      null,
      undefined,
      [],
      {},
    ],
  },
  open: { type: 'long-fill-in', bad: ['', '  ', 'x'.repeat(5001), 1, null, undefined, [], {}] },
};

const view: PageView = {
  rich: () => '',
  cited: (html) => html,
  check: () => '',
  credit: () => undefined,
  media: () => '',
  words: wordsFor('en').words,
};

describe.each(CHECK_KINDS)('a check of the kind %s', (kind) => {
  const check: Check = EVERY_CHECK[kind];
  const { type, bad } = TAKEN[kind];
  const { view: asked, secret } = splitCheck(check, 'mixed');
  const { response } = solutionOf(secret);

  it('has fields of its form, and nothing wrong with them', () => {
    const { required, optional } = checkFields(kind);
    const problems: Problem[] = [];
    const fields = Object.entries(check as unknown as Record<string, unknown>).filter(([field]) => field !== 'kind');
    for (const [field, value] of fields) ({ ...required, ...optional })[field].check(value, field, problems);
    expect(problems).toEqual([]);
    expect(Object.keys(required).filter((field) => !(field in check))).toEqual([]);
    expect(checkFormOf(check).problems?.(check) ?? []).toEqual([]);
    expect(checkFormOf(check).mended?.(check) ?? check).toEqual(check);
  });

  it('gives a learner what is asked, and nothing that tells the answer', () => {
    expect(asked).toMatchObject({ id: check.id, kind, stem: check.stem });
    expect(JSON.stringify(asked)).not.toMatch(/evidence|feedback|"key"|"answer"/);
    // Without the secret nothing of the author's own ids is left in it.
    expect(splitCheck(check, 'mixed')).toEqual({ view: asked, secret });
  });

  it('is worth all for the right response, and what is no response is refused', () => {
    expect(mark(secret, response)).toMatchObject({ score: 1, state: 'marked' });
    expect(['right', 'compare']).toContain(mark(secret, response)?.feedback?.code);
    const wrong = wrongTo(asked, secret);
    if (wrong !== undefined) expect(mark(secret, wrong)).toMatchObject({ score: 0, state: 'marked' });
    for (const none of bad) expect(mark(secret, none), String(none)).toBeUndefined();
    // As it comes back from storage.
    expect(mark(secret, JSON.parse(JSON.stringify(response)))).toMatchObject({ score: 1 });
  });

  it('packs a response into bits and back, and tells platforms of it', () => {
    const bits: number[] = [];
    packResponse(asked, response, {
      put(value, width) {
        for (let bit = width - 1; bit >= 0; bit--) bits.push((value >> bit) & 1);
      },
    });
    expect(bits.length).toBeGreaterThan(0);
    let at = 0;
    const take = (width: number) =>
      Array.from({ length: width }, () => bits[at++] ?? 0).reduce((sum, bit) => sum * 2 + bit, 0);
    expect(unpackResponse(asked, take)).toEqual(response);
    expect(at).toBe(bits.length);
    // Where nothing was kept, nothing is made up.
    expect(unpackResponse(asked, () => 0)).toBeUndefined();
    expect(interactionOf(asked, response)?.type).toBe(type);
  });

  it('is words and a page for its author, with the right answer marked', () => {
    expect(checkText(check)).toContain(check.stem);
    expect(checkText(check)).toContain('✓');
    expect(checkHtml(check, view)).toContain(check.stem);
    expect(checkHtml(check, view)).toContain('class="right"');
  });
});

/** What a response is worth; `choose` picks it from what a learner sees, by the texts there. */
function worth(check: Check, choose: (id: (text: string) => string) => unknown): number | undefined {
  const { view: asked, secret } = splitCheck(check, 'mixed');
  const seen = Object.values(asked).flatMap((field) => (Array.isArray(field) ? field : [])) as {
    id: string;
    text: string;
  }[];
  return mark(
    secret,
    choose((text) => seen.find((each) => each.text === text)!.id),
  )?.score;
}

/** Checks by themselves, in no course. */
const taking = (keys: Taking['keys'], rules: Rules): Taking => ({
  course: { modules: [], checks: [] } as unknown as Taking['course'],
  keys,
  rules,
  learner: 'somebody',
});

describe('what is partly right', () => {
  it('of several, counts each right choice up and each wrong one down, or all together', () => {
    expect(worth(SEVERAL, (id) => [id('Gloves')])).toBe(0.5);
    expect(worth(SEVERAL, (id) => [id('Gloves'), id('Goggles'), id('Sandals')])).toBe(0.5);
    expect(worth(SEVERAL, (id) => [id('Gloves'), id('Sandals'), id('A loose scarf')])).toBe(0);
    expect(worth({ ...SEVERAL, credit: 'all' }, (id) => [id('Gloves')])).toBe(0);
    expect(worth({ ...SEVERAL, credit: 'all' }, (id) => [id('Goggles'), id('Gloves')])).toBe(1);
  });

  it('in an order, counts what stands behind what it belongs behind', () => {
    expect(worth(ORDER, (id) => ['keys', 'ladders', 'saws', 'gloves'].map(id))).toBeCloseTo(2 / 3);
    expect(worth(ORDER, (id) => ['keys', 'gloves', 'saws', 'ladders'].map(id))).toBe(0);
    expect(worth({ ...ORDER, credit: 'all' }, (id) => ['keys', 'ladders', 'saws', 'gloves'].map(id))).toBe(0);
  });

  it('in pairs and groups, counts the share of what is where it belongs', () => {
    expect(worth(MATCH, (id) => ({ [id('A saw')]: id('two days'), [id('A ladder')]: id('a year') }))).toBe(0.5);
    const groups = (id: (text: string) => string) => ({
      [id('A saw')]: id('May be lent'),
      [id('The lathe')]: id('May be lent'),
      [id('The kiln')]: id('Stays here'),
    });
    expect(worth(SORT, groups)).toBeCloseTo(2 / 3);
    expect(worth({ ...SORT, credit: 'all' }, groups)).toBe(0);
  });

  it('in pairs, takes what belongs to two things as one', () => {
    const twice: Check = { ...MATCH, pairs: MATCH.pairs.map((pair) => ({ ...pair, right: 'one day' })) };
    expect((splitCheck(twice, 'mixed').view as { to: { text: string }[] }).to.map(({ text }) => text).sort()).toEqual([
      'a year',
      'one day',
    ]);
    expect(worth(twice, (id) => ({ [id('A saw')]: id('one day'), [id('A ladder')]: id('one day') }))).toBe(1);
  });

  it('tells no part of what is right while there are tries left, and all when there are none', () => {
    const { view: asked, secret } = splitCheck(SORT, 'mixed');
    const groups = (asked as { groups: { id: string }[] }).groups;
    const wrong = Object.fromEntries((asked as { items: { id: string }[] }).items.map(({ id }) => [id, groups[0].id]));
    const event = { id: 'e', kind: 'answer' as const, lesson: 'l', check: SORT.id, response: wrong };
    const rules = { ...USUAL_RULES, tries: 2 };
    const once = after(BEGINNING, event, taking({ [SORT.id]: secret }, rules));
    expect(once.answers[SORT.id].parts).toContain(1);
    const first = shown(SORT.id, once.answers[SORT.id], { [SORT.id]: secret }, isSettled(once.answers[SORT.id], rules));
    expect(first).not.toHaveProperty('parts');
    expect(first).not.toHaveProperty('solution');
    const twice = after(once, event, taking({ [SORT.id]: secret }, rules));
    expect(
      shown(SORT.id, twice.answers[SORT.id], { [SORT.id]: secret }, isSettled(twice.answers[SORT.id], rules)),
    ).toMatchObject({
      parts: [expect.any(Number), expect.any(Number), expect.any(Number)],
      solution: expect.any(Object) as object,
    });
  });
});

describe('numbers and typed words', () => {
  it.each([
    [1.25, 1],
    [1.75, 1],
    [1.76, 0],
    [-1.5, 0],
  ])('%s is worth %s where the tolerance is a quarter', (response, score) => {
    const { secret } = splitCheck(NUMBER, 'mixed');
    expect(mark(secret, response)?.score).toBe(score);
  });

  it('takes a tolerance in per cent, and says its own to wrong figures that were expected', () => {
    const inPercent: NumberCheck = { ...NUMBER, value: 200, tolerance: 5, inPercent: true };
    const { secret } = splitCheck(inPercent, 'mixed');
    expect([190, 210, 189.9].map((each) => mark(secret, each)?.score)).toEqual([1, 1, 0]);
    expect(mark(splitCheck(NUMBER, 'mixed').secret, 15)?.feedback?.text).toBe('Mind the point.');
    expect(checkFormOf(NUMBER).problems?.({ ...NUMBER, known: [{ ...NUMBER.known[0], value: 1.6 }] })).toEqual([
      'known-right',
    ]);
  });

  it.each([
    ['1,500', 'en', 1500],
    ['1,500.5', 'en', 1500.5],
    ['1,5', 'en', 1.5],
    ['1.500', 'de', 1500],
    ['1.500,25', 'de', 1500.25],
    ['1,5', 'de', 1.5],
    ['1.5', 'de', 1.5],
    ['1 500', 'fr', 1500],
    ['.5', 'en', 0.5],
    ['\u22123', 'en', -3],
    ['about 3', 'en', undefined],
    ['3 or 4', 'en', undefined],
    ['1,2,3', 'en', undefined],
    ['', 'en', undefined],
  ])('reads "%s" in %s as %s', (typed, language, value) => {
    expect(readNumber(typed, language)).toBe(value);
  });

  it.each([
    ['Deposit Box', 1],
    [' “deposit  box.” ', 1],
    ['depositt box', 1],
    ['deposit bag', 0],
    ['depositbox', 1],
    ['desposti bax', 0],
    ['the box', 1],
    ['a box', 0],
  ])('typed as "%s" is worth %s', (typed, score) => {
    expect(mark(splitCheck(SHORT, 'mixed').secret, typed)?.score).toBe(score);
  });

  it('forgives no slip in figures, nor where the spelling counts', () => {
    const room: ShortCheck = { ...SHORT, accepted: ['cupboard 12'] };
    expect(mark(splitCheck(room, 'mixed').secret, 'cupboard 13')?.score).toBe(0);
    const exact: ShortCheck = { ...SHORT, spelling: 'exact' };
    expect(mark(splitCheck(exact, 'mixed').secret, 'depositt box')?.score).toBe(0);
  });
});

describe('an open answer', () => {
  const byPerson: OpenCheck = { ...OPEN, by: 'person' };
  const { secret } = splitCheck(byPerson, 'mixed');

  it('waits for a person, whose mark and words come with it', () => {
    const keys = { [OPEN.id]: secret };
    const rules = { ...USUAL_RULES, tries: 1 };
    const event = { id: 'e', kind: 'answer' as const, lesson: 'l', check: OPEN.id, response: 'I ring at once.' };
    const waiting = after(BEGINNING, event, taking(keys, rules));
    expect(waiting.answers[OPEN.id]).toMatchObject({ state: 'waiting', score: 0 });
    const marked = { id: 'm', kind: 'mark' as const, lesson: 'l', check: OPEN.id, score: 0.5, said: 'And the chair?' };
    expect(after(waiting, marked, taking(keys, rules)).answers[OPEN.id]).toMatchObject({
      state: 'marked',
      score: 0.5,
      said: 'And the chair?',
      response: 'I ring at once.',
    });
  });

  it('is compared by learners themselves where no person marks', () => {
    const { view: asked } = splitCheck({ ...OPEN, by: 'person' }, 'mixed');
    const alone = markedAlone(asked, secret);
    expect([asked, alone.view].map((each) => 'byPerson' in each)).toEqual([true, false]);
    expect(mark(alone.secret, 'I ring at once.')).toMatchObject({
      score: 1,
      state: 'marked',
      feedback: { code: 'compare', points: ['sitting down'] },
    });
    const sorted = splitCheck(SORT, 'mixed');
    expect(markedAlone(sorted.view, sorted.secret)).toEqual(sorted);
    // A task asks for words alone there, and says that one compares.
    const task = splitCheck({ ...TASK, lastWord: 'confirmed', keepDays: 9, handIn: { files: TASK.handIn.files } }, 'm');
    const alike = markedAlone(task.view, task.secret);
    expect(alike.view).toMatchObject({ id: TASK.id, stem: TASK.stem, lastWord: 'learner' });
    expect(alike.view).not.toHaveProperty('keepDays');
    expect(mark(task.secret, { text: 'I did it.', files: [] })).toBeUndefined();
    expect(mark(alike.secret, { text: 'I did it.', files: [] })).toMatchObject({ feedback: { code: 'compare' } });
  });
});

describe('what an author says to all answers', () => {
  it('stands beside what is said to the one, right or not', () => {
    const { secret } = splitCheck({ ...SHORT, said: { right: 'Well remembered.', wrong: 'Look again.' } }, 'mixed');
    expect(mark(secret, 'deposit box')?.feedback).toMatchObject({ code: 'right', general: 'Well remembered.' });
    expect(mark(secret, 'a drawer')?.feedback).toMatchObject({ general: 'Look again.' });
  });

  it('changes with all other words of theirs', () => {
    const shouted = rewordedFields({ ...NUMBER, said: { right: 'good' } }, (words) => words.toUpperCase());
    expect(shouted).toMatchObject({
      stem: 'WHAT OF NUMBER?',
      said: { right: 'GOOD' },
      known: [{ feedback: { text: 'MIND THE POINT.' } }],
    });
  });
});
