import { describe, expect, it } from 'vitest';
import { courseEngine, type Saving } from '../../../app/sync/engine';
import type { Outbox, Pending } from '../../../app/sync/outbox';
import type { CourseServer } from '../../../app/sync/server';
import { aCourse, anId } from '../../builders';

/** An engine of a course of its own, with a server that answers when told to. */
function anEngine(name: string) {
  const told: string[] = [];
  const box: Pending[] = [];
  const course = { ...aCourse(), id: anId(name), title: name };
  let answer: (() => void) | undefined;
  const posted: string[] = [];
  const link: CourseServer = {
    open: () => Promise.resolve({ course, revision: 0, role: 'author' }),
    post: ({ changes }) =>
      new Promise((done) => {
        answer = () => {
          posted.push(...changes.map((change) => change.id));
          done({ revision: posted.length, accepted: changes.map((change) => change.id), missed: [] });
        };
      }),
    changes: () => Promise.resolve({ revision: 0, missed: [] }),
    takeBack: () => Promise.reject(new Error('no')),
    backTo: () => Promise.reject(new Error('no')),
  };
  const outbox: Outbox = {
    load: () => Promise.resolve([]),
    put: (changes) => Promise.resolve(box.push(...changes) > 0),
    drop: (ids) => Promise.resolve(void box.splice(0, box.length, ...box.filter((change) => !ids.includes(change.id)))),
  };
  const engine = courseEngine({
    server: link,
    box: outbox,
    maker: () => 'Ines',
    screen: {
      opened: () => undefined,
      show: (shown) => void told.push(shown?.title ?? ''),
      outside: () => undefined,
      saving: (state: Saving) => void told.push(state),
      undoable: () => undefined,
      trouble: () => undefined,
    },
  });
  return { engine, told, box, posted, answer: () => answer?.() };
}

describe('the engine of a course', () => {
  it('that was left saves to its end, empties its box, and tells nobody', async () => {
    const a = anEngine('course a');
    await a.engine.open();
    a.engine.change('title', [
      { type: 'set', id: anId('course a'), field: 'title', value: 'A typed', was: 'course a' },
    ]);
    const said = a.told.length;
    const ended = a.engine.end();
    await new Promise((go) => setTimeout(go, 60));
    expect(a.box).toHaveLength(1);
    a.answer();
    await ended;
    expect([a.posted.length, a.box.length, a.told.length]).toEqual([1, 0, said]);
  });
});
