// @vitest-environment happy-dom
import { describe, expect, it, vi } from 'vitest';
import { actions, keyName, offerActions, runKey, shownKey, type Action } from '../../../app/actions/registry';

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
/** Something that has focus: inside boxes with keys of their own, the innermost last; typed into or not. */
function focus(inside: string[] = [], tagName = 'DIV', editable = false): HTMLElement {
  let at: HTMLElement = document.body;
  for (const name of inside) {
    const box = document.createElement('div');
    if (name === 'dialog') box.setAttribute('role', 'dialog');
    else box.dataset.keys = name;
    at.append(box);
    at = box;
  }
  const target = document.createElement(tagName);
  if (editable) target.contentEditable = 'true';
  at.append(target);
  return target;
}

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

  it('are those of the innermost box, and Enter is a button its own', () => {
    const away = offerActions([
      action('row', { key: 'Enter', within: 'outline' }),
      action('take', { key: 'T', within: 'takes' }),
      action('tool', { key: 'T', within: 'outline' }),
      action('go', { key: 'Ctrl+Enter' }),
    ]);
    expect(press(key('Enter', { target: focus(['outline']) }))).toEqual([true, 'row']);
    expect(press(key('Enter', { target: focus(['outline', 'takes']) }))).toEqual([false]);
    expect(press(key('t', { target: focus(['outline', 'takes']) }))).toEqual([true, 'take']);
    for (const pressed of ['BUTTON', 'A', 'SUMMARY']) {
      const target = focus(['outline'], pressed);
      expect(press(key('Enter', { target }))).toEqual([false]);
      expect(press(key('Enter', { target, ctrlKey: true }))).toEqual([true, 'go']);
    }
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
