import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { sendLeftBehind, useCourse } from '../../../app/stores/course';
import { useFigures } from '../../../app/stores/figures';
import { useBeside } from '../../../app/stores/beside';
import { useSession } from '../../../app/stores/session';
import type { Course } from '../../../core/course/course';
import { applyAll, type Operation } from '../../../core/course/operations';
import { aLesson, aModule, anId } from '../../builders';
import { aServer } from './server';

/** What this browser keeps, in place of its database: by store and key. `full`: it keeps nothing. */
const kept = new Map<string, unknown>();
const browser = { full: false };
vi.mock('idb-keyval', () => ({
  createStore: (name: string) => name,
  get: (key: string) => Promise.resolve(kept.get(key)),
  del: (key: string) => Promise.resolve(void kept.delete(key)),
  entries: () => Promise.resolve([...kept.entries()]),
  setMany: (all: [string, unknown][]) =>
    browser.full
      ? Promise.reject(new Error('QuotaExceededError'))
      : Promise.resolve(all.forEach(([key, value]) => kept.set(key, value))),
  delMany: (keys: string[]) => Promise.resolve(keys.forEach((key) => kept.delete(key))),
}));

const title = (value: string, was: string, id = anId('First one')): Operation => ({
  type: 'set',
  id,
  field: 'title',
  value,
  was,
});
const titles = (course: Course | null) =>
  course!.modules.flatMap((module) => module.lessons.map((lesson) => lesson.title));

let server: ReturnType<typeof aServer>;
let desk: ReturnType<typeof useCourse>;
/** A window of Ines's on the same browser. */
async function aWindow(id = server.course.id) {
  setActivePinia(createPinia());
  useSession().person = { id: 'pinesmarlowa', name: 'Ines Marlow', role: 'owner', mustChange: false };
  const opened = useCourse();
  await opened.open(id);
  return opened;
}
beforeEach(async () => {
  kept.clear();
  browser.full = false;
  server = aServer();
  desk = await aWindow();
});
describe('a change on the screen', () => {
  it('is shown at once, kept in the browser until it is confirmed, and then let go', async () => {
    expect(desk.change('title', [title('Greeting', 'First one')])).toBe(true);
    expect(titles(desk.course)[0]).toBe('Greeting');
    expect(titles(server.course)[0]).toBe('First one');
    expect([...kept.keys()]).toEqual([expect.stringMatching(new RegExp(`^pinesmarlowa/${server.course.id}/x`))]);
    expect(desk.saving).toBe('saving');
    await desk.settleAll();
    expect(titles(server.course)[0]).toBe('Greeting');
    expect(desk.saving).toBe('saved');
    expect(kept.size).toBe(0);
    expect(desk.undoWhat).toBe('it');
  });

  it('that does not fit changes nothing and says so', () => {
    expect(desk.change('title', [title('X', 'not what stands there')])).toBe(false);
    expect(desk.trouble?.message).toContain('Nothing was changed');
    expect(titles(desk.course)[0]).toBe('First one');
  });

  it('goes out with others of its gesture, and gestures in their order', async () => {
    desk.change('two', [title('A', 'First one'), title('B', 'First two', anId('First two'))], 'gonegesture');
    desk.change('one', [title('C', 'A')], 'ganotherone');
    await desk.settleAll();
    expect(server.sent.map((sent) => [sent.what, sent.changes.length])).toEqual([
      ['two', 2],
      ['one', 1],
    ]);
    expect(titles(server.course).slice(0, 2)).toEqual(['C', 'B']);
  });

  it('goes out in the order it was made, also where gestures take turns', async () => {
    desk.change('a', [title('A', 'First one')], 'gaaaaaaaaaa');
    desk.change('b', [title('B', 'First two', anId('First two'))], 'gbbbbbbbbbb');
    desk.change('a', [title('C', 'Second one', anId('Second one'))], 'gaaaaaaaaaa');
    await desk.settleAll();
    expect(
      server.sent.map((sent) => sent.changes.map((change) => (change.operation as { value: string }).value)),
    ).toEqual([['A'], ['B'], ['C']]);
  });

  it('waits while the server is away, is there after a reload, and is made once', async () => {
    vi.useFakeTimers();
    server.mood = 'gone';
    desk.change('title', [title('Typed away', 'First one')]);
    await desk.settleAll();
    expect(desk.saving).toBe('waiting');
    expect(desk.trouble?.code).toBe('offline');
    server.mood = 'well';
    const reloaded = await aWindow();
    expect(titles(reloaded.course)[0]).toBe('Typed away');
    await reloaded.settleAll();
    await vi.advanceTimersByTimeAsync(5000);
    expect(titles(server.course)[0]).toBe('Typed away');
    expect(server.revision).toBe(1);
    expect(kept.size).toBe(0);
    vi.useRealTimers();
  });

  it('typed on without a server does not pile up, and what is said of the connection goes when it is back', async () => {
    vi.useFakeTimers();
    server.mood = 'gone';
    let was = 'First one';
    for (const value of ['T', 'Ty', 'Typ', 'Type', 'Typed']) {
      desk.type('title', [title(value, was)], 'gonegesture');
      was = value;
      await desk.settleAll();
    }
    expect(kept.size).toBe(1);
    expect(desk.trouble?.code).toBe('offline');
    server.mood = 'well';
    await vi.advanceTimersByTimeAsync(5000);
    expect(titles(server.course)[0]).toBe('Typed');
    expect([desk.saving, desk.trouble]).toEqual(['saved', null]);
    vi.useRealTimers();
  });

  it('waits for whoever was signed out meanwhile, and belongs to them alone', async () => {
    vi.useFakeTimers();
    server.mood = 'signed-out';
    desk.type('title', [title('Typed signed out', 'First one')]);
    await desk.settleAll();
    expect([desk.saving, desk.trouble?.code]).toEqual(['waiting', 'not-signed-in']);
    server.mood = 'well';
    setActivePinia(createPinia());
    useSession().person = { id: 'ptomashbyaaa', name: 'Tom Ashby', role: 'member', mustChange: false };
    const toms = useCourse();
    await toms.open(server.course.id);
    expect(titles(toms.course)[0]).toBe('First one');
    await vi.advanceTimersByTimeAsync(5000);
    expect(titles(server.course)[0]).toBe('Typed signed out');
    vi.useRealTimers();
  });

  it('that the server will never take is kept for its author, not sent again, and the course shown as it stands', async () => {
    server.mood = 'strict';
    desk.change('title', [title('Refused', 'First one')]);
    server.other(title('Theirs', 'First two', anId('First two')));
    await desk.settleAll();
    expect(titles(desk.course).slice(0, 2)).toEqual(['First one', 'Theirs']);
    expect(desk.saving).toBe('stuck');
    expect(desk.stuck()).toMatchObject([{ operation: { value: 'Refused' } }]);
    server.mood = 'well';
    const reloaded = await aWindow();
    expect([reloaded.saving, reloaded.stuck().length, server.sent.length]).toEqual(['stuck', 1, 0]);
    await reloaded.forgetStuck();
    expect([reloaded.saving, kept.size]).toEqual(['saved', 0]);
  });

  it('that was typed on top of what the server will never take meets nobody: it is made without that, or lies with it', async () => {
    const lesson = aLesson('Never', []);
    server.mood = 'strict-once';
    const gesture: Operation[] = [
      title('Refused', 'First one'),
      { type: 'insert', kind: 'lesson', parent: server.course.modules[0].id, after: null, node: lesson },
    ];
    desk.change('two at once', gesture);
    const sent = desk.settleAll();
    desk.type('title', [title('Refused and more', 'Refused')], 'gathirdgest');
    desk.type('title', [title('And more still', 'Refused and more')], 'gsixthgest');
    desk.type('title', [title('Within', 'Never', lesson.id)], 'gafourthgest');
    desk.change(
      'place',
      [
        title('Never by halves', 'Second one', anId('Second one')),
        { type: 'move', id: anId('First two'), parent: server.course.modules[0].id, after: lesson.id },
      ],
      'gafifthgest',
    );
    await sent;
    await desk.settleAll();
    expect(desk.stuck().map((change) => change.what)).toEqual([
      'two at once',
      'two at once',
      'title',
      'place',
      'place',
    ]);
    expect(titles(server.course)).not.toContain('Never by halves');
    expect(titles(server.course)[0]).toBe('And more still');
    expect(server.course.takes).toEqual([]);
    expect(desk.trouble?.code).not.toBe('did-not-fit');
    server.refuses = 'bad-input';
    desk.change('title', [title('Once more', 'And more still')]);
    await desk.settleAll();
    server.refuses = undefined;
    expect(desk.saving).toBe('stuck');
    expect(server.course.takes).toEqual([]);
    expect(desk.stuck().map((change) => change.operation)).toContainEqual(title('Once more', 'And more still'));
    expect(kept.size).toBe(desk.stuck().length);
  });

  it('left behind without a connection goes out from the first page, when there is one', async () => {
    server.mood = 'gone';
    desk.type('title', [title('Left behind', 'First one')]);
    await desk.leave();
    expect(kept.size).toBe(1);
    server.mood = 'well';
    await sendLeftBehind({ id: 'ptomashbyaaa', name: 'Tom Ashby' });
    expect(titles(server.course)[0]).toBe('First one');
    await sendLeftBehind({ id: 'pinesmarlowa', name: 'Ines Marlow' });
    expect(titles(server.course)[0]).toBe('Left behind');
    expect(kept.size).toBe(0);
  });

  it('says when the browser keeps nothing', async () => {
    browser.full = true;
    server.mood = 'gone';
    desk.type('title', [title('Only here', 'First one')]);
    await desk.settleAll();
    expect([desk.saving, desk.kept]).toEqual(['waiting', false]);
  });
});

describe('what others change', () => {
  it("comes along with the answer and goes below one's own", async () => {
    server.other(title('Theirs', 'First two', anId('First two')));
    desk.change('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    expect(titles(desk.course).slice(0, 2)).toEqual(['Mine', 'Theirs']);
    expect(desk.outside).toBe(1);
  });

  it('is looked for when the window is come back to, but not over what is pending', async () => {
    server.other(title('Theirs', 'First one'));
    await desk.refresh();
    expect(titles(desk.course)[0]).toBe('Theirs');
    desk.change('title', [title('Mine', 'Theirs')]);
    server.other(title('Theirs again', 'First two', anId('First two')));
    await desk.refresh();
    expect(titles(desk.course)[0]).toBe('Mine');
    await desk.settleAll();
    await desk.hear(server.revision);
    expect(titles(desk.course).slice(0, 2)).toEqual(['Mine', 'Theirs again']);
    expect(titles(server.course).slice(0, 2)).toEqual(['Mine', 'Theirs again']);
  });

  it("is read anew when it was too much, with one's own on top, also where that does not succeed at once", async () => {
    vi.useFakeTimers();
    server.mostMissed = 2;
    for (const value of ['a', 'b', 'c']) server.other(title(value, titles(server.course)[1], anId('First two')));
    await desk.refresh();
    expect(titles(desk.course)[1]).toBe('c');
    for (const value of ['d', 'e', 'f']) server.other(title(value, titles(server.course)[1], anId('First two')));
    server.openFails = 1;
    desk.change('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    expect([desk.saving, titles(desk.course)[0]]).toEqual(['waiting', 'Mine']);
    await vi.advanceTimersByTimeAsync(5000);
    expect([desk.saving, ...titles(desk.course).slice(0, 2)]).toEqual(['saved', 'Mine', 'f']);
    expect(server.revision).toBe(7);
    vi.useRealTimers();
  });

  it("is asked for when it is heard of, and not for one's own", async () => {
    const asked = () => vi.mocked($fetch).mock.calls.filter(([path]) => String(path).endsWith('/changes')).length;
    desk.change('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    await desk.hear(server.revision);
    expect(asked()).toBe(0);
    server.other(title('Theirs', 'First two', anId('First two')));
    await desk.hear(server.revision);
    expect(asked()).toBe(1);
    expect(titles(desk.course)[1]).toBe('Theirs');
  });

  it('in the same place is a conflict: mine is kept in the course, found after a reload, and can be put over it', async () => {
    server.other(title('Theirs', 'First one'));
    desk.type('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    await desk.settleAll();
    expect(titles(desk.course)[0]).toBe('Theirs');
    expect(server.course.takes).toMatchObject([
      { of: anId('First one'), field: 'title', value: 'Mine', made: { by: 'Ines Marlow', why: 'conflict' } },
    ]);
    expect(desk.saving).toBe('saved');
    const elsewhere = await aWindow();
    const [conflict] = elsewhere.conflicts;
    elsewhere.settleConflict(conflict, 'mine');
    await elsewhere.settleAll();
    expect(titles(server.course)[0]).toBe('Mine');
    expect(server.course.takes).toMatchObject([{ value: 'Theirs', made: { why: 'kept' } }]);
    expect(elsewhere.conflicts).toEqual([]);
  });

  it('can stand, with mine kept as a take', async () => {
    server.other(title('Theirs', 'First one'));
    desk.type('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    await desk.settleAll();
    desk.settleConflict(desk.conflicts[0], 'theirs');
    await desk.settleAll();
    expect(titles(server.course)[0]).toBe('Theirs');
    expect(server.course.takes).toMatchObject([
      { of: anId('First one'), field: 'title', value: 'Mine', made: { why: 'kept' } },
    ]);
    expect(desk.conflicts).toEqual([]);
  });

  it('heard of before mine is given away is a conflict all the same', async () => {
    server.other(title('Theirs', 'First one'));
    await desk.hear(server.revision);
    desk.type('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    expect(titles(server.course)[0]).toBe('Theirs');
    expect(desk.conflicts).toMatchObject([{ value: 'Mine' }]);
  });

  it('spoils only the part of what I typed that it met; the rest is saved', async () => {
    const [one, two] = server.course.modules[0].lessons[0].blocks;
    const words = (text: string) => ({ text: [{ type: 'text', text }] });
    const set = (id: string, value: unknown, was: unknown): Operation => ({
      type: 'set',
      id,
      field: 'body',
      value,
      was,
    });
    server.other(set(one.id, words('Theirs.'), one.body));
    desk.type('words', [set(one.id, words('Mine.'), one.body), set(two.id, words('Mine too.'), two.body)]);
    await desk.settleAll();
    await desk.settleAll();
    expect(server.course.modules[0].lessons[0].blocks.slice(0, 2).map((block) => block.body)).toEqual([
      words('Theirs.'),
      words('Mine too.'),
    ]);
    expect(server.course.takes).toMatchObject([{ of: one.id, value: words('Mine.') }]);
  });

  it('of another part of the same value is joined with mine', async () => {
    const { brief } = server.course;
    const theirs = { ...brief, audience: { ...brief.audience, who: 'Theirs' } };
    server.other({ type: 'set', id: server.course.id, field: 'brief', value: theirs, was: brief });
    desk.type('brief', [
      { type: 'set', id: server.course.id, field: 'brief', value: { ...brief, promise: 'Mine' }, was: brief },
    ]);
    await desk.settleAll();
    await desk.settleAll();
    expect(server.course.brief).toEqual({ ...theirs, promise: 'Mine' });
    expect(server.course.takes).toEqual([]);
  });

  it('took away the place I typed in: the words are kept, and come back with it', async () => {
    const lesson = server.course.modules[0].lessons[0];
    const [block] = lesson.blocks;
    server.other({ type: 'remove', id: lesson.id });
    const typed = { text: [{ type: 'text', text: 'Typed offline.' }] };
    desk.type('words', [
      { type: 'set', id: block.id, field: 'body', value: typed, was: block.body },
      {
        type: 'insert',
        kind: 'block',
        parent: lesson.id,
        after: block.id,
        node: { id: anId('fresh'), kind: 'text', body: { text: [{ type: 'text', text: 'A new paragraph.' }] } },
      },
    ]);
    await desk.settleAll();
    await desk.settleAll();
    const takes = desk.conflicts;
    expect(takes.map((take) => take.field)).toEqual(['body', 'insert']);
    expect(server.course.takes).toHaveLength(2);
    for (const take of takes)
      desk.settleConflict(
        desk.conflicts.find((each) => each.id === take.id)!,
        'mine',
      );
    await desk.settleAll();
    const back = server.course.modules[0].lessons.find((each) => each.id === lesson.id)!;
    expect(back.blocks.slice(0, 2).map((each) => JSON.stringify(each.body))).toEqual([
      JSON.stringify(typed),
      expect.stringContaining('A new paragraph.'),
    ]);
    expect(server.course.takes).toEqual([]);
  });

  it('makes a gesture impossible: nothing of it is done, and that is said', async () => {
    server.other({ type: 'remove', id: anId('First') });
    desk.change('two things', [title('X', 'Second one', anId('Second one')), title('Y', 'First one')]);
    await desk.settleAll();
    await desk.settleAll();
    expect(titles(server.course)).toEqual(['Second one', 'Second two']);
    expect(desk.trouble?.code).toBe('did-not-fit');
    expect(server.course.takes).toHaveLength(2);
  });
});

describe('two courses in one window', () => {
  it('opening another gives what is typed to the first one still', async () => {
    const given: string[] = [];
    desk.onFlush(
      () =>
        void (
          given.length === 0 &&
          given.push(desk.course!.id) &&
          desk.type('title', [title('Typed last', 'First one')])
        ),
    );
    const first = server.course.id;
    await desk.open(first);
    expect(given).toEqual([first]);
    await vi.waitFor(() => expect(titles(server.course)[0]).toBe('Typed last'));
  });
});

describe('undo on the screen', () => {
  it('sends what is typed first, one undo after another, and shows what the server did', async () => {
    const typed: (() => void)[] = [() => void desk.change('words', [title('Typed', 'First one')])];
    const off = desk.onFlush(() => typed.pop()?.());
    await Promise.all([desk.undo(), desk.undo().catch(() => undefined)]);
    expect(server.sent).toHaveLength(1);
    expect(titles(desk.course)[0]).toBe('First one');
    expect(titles(server.course)[0]).toBe('First one');
    expect(desk.shown).toMatchObject({ said: 'Undone: it', ids: [anId('First one')] });
    off();
  });
});

describe('what a reader may do', () => {
  it('is to read: nothing is undone for them', async () => {
    desk.role = 'reviewer';
    const calls = vi.mocked($fetch).mock.calls.length;
    await desk.undo();
    expect(vi.mocked($fetch).mock.calls.length).toBe(calls);
    expect(desk.mayEdit).toBe(false);
  });
});

describe('figures and proposals beside the course', () => {
  it('follow the course as it is typed', async () => {
    const figures = useFigures();
    const before = figures.all.get(anId('First one'))!;
    const words = Array.from({ length: 360 }, () => 'word').join(' ');
    const block = desk.course!.modules[0].lessons[0].blocks[0];
    desk.change('words', [
      { type: 'set', id: block.id, field: 'body', value: { text: [{ type: 'text', text: words }] }, was: block.body },
    ]);
    expect(figures.all.get(anId('First one'))!.minutes).toBeCloseTo(before.minutes + 2, 0);
    expect(before.checks).toBe(1);
    await desk.settleAll();
  });

  it('are taken as one gesture or left without a trace', async () => {
    const nodes = { modules: [aModule('Drafted', [aLesson('D one', [])])], objectives: [] };
    const real = vi.mocked($fetch).getMockImplementation()!;
    vi.mocked($fetch).mockImplementation(((path: string, options?: never) =>
      path.endsWith('/outline')
        ? Promise.resolve({ nodes, dropped: [], notices: [], minutes: {} })
        : (real as (path: string, options?: never) => unknown)(path, options)) as never);
    const beside = useBeside();
    await beside.draft();
    expect(beside.other?.nodes.modules).toHaveLength(1);
    beside.leave();
    expect(titles(desk.course)).toHaveLength(4);
    await beside.draft();
    await beside.takeAll();
    expect(titles(desk.course)).toEqual(['D one']);
    await desk.settleAll();
    expect(titles(server.course)).toEqual(['D one']);
    expect(server.sent.at(-1)!.what).toBe('drafted outline');
    expect(applyAll(server.course, []).ok).toBe(true);
  });
});
