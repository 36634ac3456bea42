import { describe, expect, it, vi } from 'vitest';
import { claimWords, placeWords } from '../../../app/components/evidence/place';
import { keptRows, rowsOf } from '../../../app/components/outline/rows';
import { fillOf } from '../../../app/components/path/fill';
import { freshId, troubleOf } from '../../../app/composables/useApi';
import { noticeWords } from '../../../app/words/notices';
import { LEFT_OUT_REASONS } from '../../../core/course/left-out';
import { reasonWords } from '../../../core/course/left-out-words';
import { CLAIMS, counted, stateLabel, STATES } from '../../../app/words/states';
import { ID_PATTERN } from '../../../core/document/id';
import { NODE_SHAPES } from '../../../core/course/shapes';
import { aCourse, anId } from '../../builders';

describe('places and claims in words', () => {
  it.each([
    ['4.1 / p. 9 / Charging / Where', { clause: '4.1', page: 9, path: ['Guide', 'Charging', 'Where'] }],
    ['slide 14', { slide: 14, path: [] }],
    ['12:40', { seconds: 760.2, path: [] }],
    ['Returns', { path: ['Returns'] }],
  ])('%s', (words, locator) => expect(placeWords({ locator })).toBe(words));
  it.each<[string, Parameters<typeof claimWords>[0]]>([
    ['Rule, must not', { kind: 'rule', rule: { strength: 'must', negative: true } }],
    ['Term: slip', { kind: 'definition', term: 'slip' }],
    ['Figure', { kind: 'figure' }],
  ])('%s', (words, claim) => expect(claimWords(claim)).toBe(words));
  it('every kind of claim has words for one and several', () => {
    for (const [one, several] of Object.values(CLAIMS))
      expect([counted(1, [one, several]), counted(3, [one, several])]).toEqual([`1 ${one}`, `3 ${several}`]);
  });
});

describe('states', () => {
  it('have words and fills of their own, in the order of the work', () => {
    expect(STATES.map(({ state }) => stateLabel(state))).toEqual([
      'Blank',
      'Drafted',
      'In work',
      'For review',
      'Approved',
    ]);
    expect(new Set(STATES.map(({ state }) => fillOf(state))).size).toBe(5);
    for (const { state } of STATES) {
      const problems: never[] = [];
      NODE_SHAPES.lesson.check(
        { id: anId('l'), title: 'T', kind: 'lesson', objectiveIds: [], state, plannedPassages: [], blocks: [] },
        '',
        problems,
      );
      expect(problems).toEqual([]);
    }
  });
});

describe('rows of an outline', () => {
  it('are modules and lessons, with checks when wanted, without lessons of folded modules', () => {
    const course = aCourse();
    expect(rowsOf(course, new Set(), false).map((row) => row.kind)).toEqual([
      'module',
      'lesson',
      'lesson',
      'module',
      'lesson',
      'lesson',
    ]);
    const checks = rowsOf(course, new Set(), true).filter((row) => row.kind === 'check');
    expect(checks).toMatchObject([{ lesson: anId('First one'), stem: 'What of check?' }]);
    expect(rowsOf(course, new Set([anId('First')]), true).map((row) => row.id)).toEqual([
      anId('First'),
      anId('Second'),
      anId('Second one'),
      anId('Second two'),
    ]);
  });
});

describe('rows kept', () => {
  it('are the objects they were where they say the same, and new ones where not', () => {
    const course = aCourse();
    const before = rowsOf(course, new Set(), false);
    const [first, ...others] = course.modules[0]!.lessons;
    const renamed = {
      ...course,
      modules: [{ ...course.modules[0]!, lessons: [{ ...first!, title: 'New' }, ...others] }, course.modules[1]!],
    };
    const now = keptRows(before, rowsOf(renamed, new Set(), false));
    expect(now.map((row, at) => row === before[at])).toEqual([false, false, true, true, true, true]);
    expect(now[1]).toMatchObject({ kind: 'lesson', lesson: { title: 'New' } });
  });
});

describe('trouble', () => {
  it('is what the server says, a fault of ours, or nobody there', () => {
    expect(troubleOf({ data: { data: { code: 'scanned', message: 'its pages are pictures.' } } })).toMatchObject({
      code: 'scanned',
    });
    expect(troubleOf({ statusCode: 500 })).toMatchObject({
      code: 'fault',
      message: expect.stringContaining('Nothing you saved is lost'),
    });
    expect(troubleOf(new Error('fetch failed'))).toMatchObject({ code: 'offline' });
  });
  it('ids are valid everywhere', () => {
    vi.stubGlobal('crypto', globalThis.crypto);
    for (let time = 0; time < 50; time++) expect(freshId('b')).toMatch(ID_PATTERN);
  });
});

describe('notices and reasons', () => {
  it.each([...LEFT_OUT_REASONS])('%s has words', (reason) => expect(reasonWords(reason)).toMatch(/^[a-z][a-z, ]+$/));
  it.each([
    [{ code: 'fewer-modules', parameters: { asked: 5, got: 3 } }, '5 modules were asked for; the sources give 3.'],
    [
      { code: 'fewer-lessons', parameters: { asked: 4, got: 2 } },
      '4 lessons a module were asked for; the smallest module has 2.',
    ],
    [{ code: 'language-not-understood', parameters: { title: 'Guía', language: 'es' } }, 'Guía is in a language (es)'],
  ])('%s', (notice, words) => expect(noticeWords(notice)).toContain(words));
});
