import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { useCourse } from '../../../app/stores/course';
import { useFigures } from '../../../app/stores/figures';
import { useProposal } from '../../../app/stores/proposal';
import type { Course } from '../../../core/course/course';
import { apply, applyAll, type Operation } from '../../../core/course/operations';
import { aCourse, aLesson, aModule, anId } from '../../builders';

/** What this browser keeps, in place of its database. */
const kept = new Map<string, unknown>();
vi.mock('idb-keyval', () => ({ get: (key: string) => Promise.resolve(kept.get(key)), set: (key: string, value: unknown) => Promise.resolve(void kept.set(key, value)), del: (key: string) => Promise.resolve(void kept.delete(key)) }));

interface Sent { since: number; what?: string; changes: { id: string; group: string; operation: Operation }[] }

/** A server as the desk sees it: one course, changes of others, and moods. */
function aServer() {
  const server = {
    course: aCourse() as Course, revision: 0, log: [] as Operation[], seen: new Set<string>(), sent: [] as Sent[], mood: 'well' as 'well' | 'gone' | 'strict', groups: [] as Operation[][],
    /** Somebody else changes the course. */
    other(operation: Operation) {
      const applied = apply(server.course, operation);
      if (!applied.ok) throw new Error(applied.problem.code);
      server.course = applied.course;
      server.revision++;
      server.log.push(operation);
    },
  };
  const answer = async (path: string, { body, query }: { body?: Sent; query?: { since: number } } = {}) => {
    await Promise.resolve();
    if (server.mood === 'gone') throw new Error('fetch failed');
    if (path.endsWith('/operations')) {
      if (server.mood === 'strict') throw Object.assign(new Error('422'), { statusCode: 422, data: { data: { code: 'bad-input', message: 'What was sent cannot be used.' } } });
      server.sent.push(body!);
      const missed = server.log.slice(body!.since);
      const accepted: string[] = [];
      const refused: unknown[] = [];
      for (const { id, operation } of body!.changes) {
        if (server.seen.has(id)) {
          accepted.push(id);
          continue;
        }
        const applied = apply(server.course, operation);
        if (!applied.ok) {
          const lesson = server.course.modules.flatMap((module) => module.lessons).find((each) => operation.type === 'set' && each.id === operation.id);
          refused.push({ id, problem: applied.problem, ...(lesson && { now: lesson.title }) });
          continue;
        }
        server.course = applied.course;
        server.revision++;
        server.log.push(operation);
        server.groups.push([applied.inverse]);
        server.seen.add(id);
        accepted.push(id);
      }
      return { revision: server.revision, accepted, refused, missed, undo: 'it' };
    }
    if (path.endsWith('/undo')) {
      const missed = server.log.slice(body!.since);
      const operations = server.groups.pop()!;
      for (const operation of operations) server.other(operation);
      return { revision: server.revision, missed, operations, what: 'it' };
    }
    if (path.endsWith('/changes')) return { revision: server.revision, missed: server.log.slice(query!.since) };
    if (path.endsWith('/figures')) return {};
    return { course: server.course, revision: server.revision, role: 'author' };
  };
  vi.stubGlobal('$fetch', vi.fn(answer));
  return server;
}

const title = (value: string, was: string, id = anId('First one')): Operation => ({ type: 'set', id, field: 'title', value, was });
const titles = (course: Course | null) => course!.modules.flatMap((module) => module.lessons.map((lesson) => lesson.title));

let server: ReturnType<typeof aServer>;
let desk: ReturnType<typeof useCourse>;
beforeEach(async () => {
  kept.clear();
  setActivePinia(createPinia());
  server = aServer();
  desk = useCourse();
  await desk.open(server.course.id);
});

describe('a change on the screen', () => {
  it('is shown at once, kept in the browser until it is confirmed, and then let go', async () => {
    expect(desk.change('title', [title('Greeting', 'First one')])).toBe(true);
    expect(titles(desk.course)[0]).toBe('Greeting');
    expect(titles(server.course)[0]).toBe('First one');
    expect([...kept.keys()]).toEqual([`pending/${server.course.id}`]);
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
    expect(server.sent.map((sent) => [sent.what, sent.changes.length])).toEqual([['two', 2], ['one', 1]]);
    expect(titles(server.course).slice(0, 2)).toEqual(['C', 'B']);
  });

  it('waits while the server is away, is there after a reload, and is made once', async () => {
    vi.useFakeTimers();
    server.mood = 'gone';
    desk.change('title', [title('Typed away', 'First one')]);
    await desk.settleAll();
    expect(desk.saving).toBe('waiting');
    expect(desk.trouble?.code).toBe('offline');
    server.mood = 'well';
    setActivePinia(createPinia());
    const reloaded = useCourse();
    await reloaded.open(server.course.id);
    expect(titles(reloaded.course)[0]).toBe('Typed away');
    await reloaded.settleAll();
    await vi.advanceTimersByTimeAsync(5000);
    expect(titles(server.course)[0]).toBe('Typed away');
    expect(server.revision).toBe(1);
    vi.useRealTimers();
  });

  it('that the server will never take is let go, and the course shown as it stands', async () => {
    server.mood = 'strict';
    desk.change('title', [title('Refused', 'First one')]);
    server.other(title('Theirs', 'First two', anId('First two')));
    await desk.settleAll();
    expect(titles(desk.course).slice(0, 2)).toEqual(['First one', 'Theirs']);
    expect(kept.size).toBe(0);
  });
});

describe('what others change', () => {
  it('comes along with the answer and goes below one\'s own', async () => {
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

  it('is asked for when it is heard of, and not for one\'s own', async () => {
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

  it('in the same place is a conflict with both texts; mine can be put over it', async () => {
    server.other(title('Theirs', 'First one'));
    desk.change('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    expect(titles(desk.course)[0]).toBe('Theirs');
    const [conflict] = desk.conflicts;
    expect(conflict).toMatchObject({ now: 'Theirs', operation: { value: 'Mine' } });
    desk.settleConflict(conflict, 'mine');
    await desk.settleAll();
    expect(titles(server.course)[0]).toBe('Mine');
    expect(desk.conflicts).toEqual([]);
  });

  it('can stand, with mine kept as a take', async () => {
    server.other(title('Theirs', 'First one'));
    desk.change('title', [title('Mine', 'First one')]);
    await desk.settleAll();
    desk.settleConflict(desk.conflicts[0], 'theirs');
    await desk.settleAll();
    expect(titles(server.course)[0]).toBe('Theirs');
    expect(server.course.takes).toMatchObject([{ of: anId('First one'), field: 'title', value: 'Mine' }]);
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
    expect(desk.said).toBe('Undone: it');
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
    desk.change('words', [{ type: 'set', id: block.id, field: 'body', value: { text: [{ type: 'text', text: words }] }, was: block.body }]);
    expect(figures.all.get(anId('First one'))!.minutes).toBeCloseTo(before.minutes + 2, 0);
    expect(before.checks).toBe(1);
    await desk.settleAll();
  });

  it('are taken as one gesture or left without a trace', async () => {
    const nodes = { modules: [aModule('Drafted', [aLesson('D one', [])])], objectives: [] };
    const real = vi.mocked($fetch).getMockImplementation()!;
    vi.mocked($fetch).mockImplementation(((path: string, options?: never) => (path.endsWith('/outline') ? Promise.resolve({ nodes, dropped: [], notices: [], minutes: {} }) : (real as (path: string, options?: never) => unknown)(path, options))) as never);
    const proposal = useProposal();
    await proposal.draft();
    expect(proposal.made?.nodes.modules).toHaveLength(1);
    proposal.leave();
    expect(titles(desk.course)).toHaveLength(4);
    await proposal.draft();
    proposal.take();
    expect(titles(desk.course)).toEqual(['D one']);
    await desk.settleAll();
    expect(titles(server.course)).toEqual(['D one']);
    expect(server.sent.at(-1)!.what).toBe('drafted outline');
    expect(applyAll(server.course, []).ok).toBe(true);
  });
});
