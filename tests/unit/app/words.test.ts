import { describe, expect, it, vi } from 'vitest';
import { actions, keyName, offerActions, runKey, shownKey, type Action } from '../../../app/actions/registry';
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

const key = (name: string, changes: Partial<KeyboardEvent> = {}) =>
  ({
    key: name,
    ctrlKey: false,
    altKey: false,
    shiftKey: false,
    metaKey: false,
    preventDefault: vi.fn(),
    target: null,
    ...changes,
  }) as unknown as KeyboardEvent;
/** Something that has focus: inside some elements, typed into or not. */
const focus = (inside: string[] = [], tagName = 'DIV', editable = false) =>
  ({
    tagName,
    isContentEditable: editable,
    closest: (selector: string) => (inside.some((each) => selector.includes(each)) ? {} : null),
  }) as unknown as EventTarget;

describe('keys', () => {
  it.each([
    ['Ctrl+K', key('k', { ctrlKey: true })],
    ['Ctrl+K', key('k', { metaKey: true })],
    ['Alt+ArrowUp', key('ArrowUp', { altKey: true })],
    ['Ctrl+Shift+Z', key('Z', { ctrlKey: true, shiftKey: true })],
    ['?', key('?', { shiftKey: true })],
    ['Shift+Enter', key('Enter', { shiftKey: true })],
    ['T', key('t')],
  ])('%s', (name, event) => expect(keyName(event)).toBe(name));

  it('are shown short', () =>
    expect(['Alt+ArrowUp', 'Ctrl+Delete', 'Alt+PageDown', 'Alt+Enter'].map(shownKey)).toEqual([
      'Alt ↑',
      'Ctrl Del',
      'Alt PgDn',
      'Alt ↵',
    ]));
});

describe('actions', () => {
  const ran: string[] = [];
  const action = (id: string, more: Partial<Action>): Action => ({
    id,
    label: id,
    area: 'Test',
    run: () => void ran.push(id),
    ...more,
  });
  const press = (event: KeyboardEvent) => {
    ran.length = 0;
    const found = runKey(event);
    return [found, ...ran];
  };

  it('are there while they are offered, and only when they can be done', () => {
    let may = false;
    const away = offerActions([action('undo', { key: 'Ctrl+Z', when: () => may })]);
    expect(actions.value).toEqual([]);
    expect(press(key('z', { ctrlKey: true, target: focus() }))).toEqual([false]);
    may = true;
    away();
    const again = offerActions([action('undo', { key: 'Ctrl+Z', when: () => may })]);
    expect(press(key('z', { ctrlKey: true, target: focus([], 'INPUT') }))).toEqual([true, 'undo']);
    again();
    expect(actions.value).toEqual([]);
  });

  it('of plain letters act only where their own box has focus, and never while one types', () => {
    const away = offerActions([action('take', { key: 'T', within: 'checks' }), action('keys', { key: '?' })]);
    expect(press(key('t', { target: focus(['checks']) }))).toEqual([true, 'take']);
    expect(press(key('t', { target: focus() }))).toEqual([false]);
    expect(press(key('t', { target: focus(['checks'], 'TEXTAREA') }))).toEqual([false]);
    expect(press(key('?', { target: focus() }))).toEqual([true, 'keys']);
    expect(press(key('?', { target: focus([], 'DIV', true) }))).toEqual([false]);
    away();
  });

  it('behind a dialog stay as they are', () => {
    const away = offerActions([action('undo', { key: 'Ctrl+Z' })]);
    expect(press(key('z', { ctrlKey: true, target: focus(['dialog']) }))).toEqual([false]);
    away();
  });

  it('keep the key from doing anything else', () => {
    const away = offerActions([action('bar', { key: 'Ctrl+K' })]);
    const event = key('k', { ctrlKey: true, target: focus() });
    runKey(event);
    expect(event.preventDefault).toHaveBeenCalledOnce();
    away();
  });
});

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
    expect(checks).toMatchObject([{ checkId: anId('check'), lesson: anId('First one'), stem: 'What of check?' }]);
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
