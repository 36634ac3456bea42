import { describe, expect, it, onTestFinished, vi } from 'vitest';
import { ProblemError } from '../../../core/document/problem';
import { openDatabase } from '../../../server/database/open';
import { newsDesk } from '../../../server/desk/news';
import { Passing, type JobKind } from '../../../server/jobs/kind';
import { jobQueue } from '../../../server/jobs/queue';
import { aFolder, INES, TOM } from '../../data';

/** A queue on a folder, with kinds whose steps are written down as they are done. */
function aQueue(kinds: Record<string, Partial<JobKind>>, folder = aFolder()) {
  const db = openDatabase(folder);
  onTestFinished(() => void (db.open && db.close()));
  const done: string[] = [];
  const news = newsDesk();
  const whole = Object.fromEntries(
    Object.entries(kinds).map(([name, kind]) => [
      name,
      {
        places: 1,
        waits: [],
        make: ({ item }) => Promise.resolve((end) => db.transaction(() => (done.push(item), end('done', item)))()),
        ...kind,
      } satisfies JobKind,
    ]),
  );
  const queue = jobQueue({ db, news, now: () => Date.now(), kinds: whole });
  const add = (kind: string, person: string, ...items: string[]) =>
    queue.add({ kind, person, payload: {}, items: items.map((id) => ({ id, title: id })) });
  return { db, folder, done, news, queue, add };
}

/** Work that waits until it is let go. */
function gate() {
  let open = () => undefined as void;
  const opened = new Promise<void>((go) => (open = go));
  return { open, opened };
}

describe('the queue of long work', () => {
  it('lets nobody wait for the whole of what another began, nor a single step for a whole job', async () => {
    const held = gate();
    const order: string[] = [];
    const { queue, add } = aQueue({
      work: {
        make: async ({ item }) => {
          if (item === 'a1') await held.opened;
          return (end) => {
            order.push(item);
            end('done');
          };
        },
      },
    });
    add('work', INES, 'a1', 'a2', 'a3', 'a4');
    add('work', INES, 'b1');
    add('work', TOM, 'c1', 'c2');
    held.open();
    await queue.idle();
    expect(order).toEqual(['a1', 'c1', 'b1', 'a2', 'c2', 'a3', 'a4']);
  });

  it('works kinds beside each other, each at as many places as it has', async () => {
    let [most, now] = [0, 0];
    const make: JobKind['make'] = async () => {
      most = Math.max(most, ++now);
      await new Promise((go) => setTimeout(go, 5));
      now--;
      return (end) => end('done');
    };
    const held = gate();
    const { queue, add, done } = aQueue({
      slow: { make: () => held.opened.then(() => (end) => end('done')) },
      wide: { places: 3, make },
      quick: {},
    });
    const slow = add('slow', INES, 's1');
    add('wide', INES, 'w1', 'w2', 'w3', 'w4', 'w5');
    add('quick', INES, 'q1');
    await vi.waitFor(() => expect(done).toEqual(['q1']));
    expect(queue.lastOf('slow', 's1')).toMatchObject({ id: slow, state: 'running', now: ['s1'] });
    held.open();
    await queue.idle();
    expect(most).toBe(3);
  });

  it('tries again what may pass, with its words, and gives up after the last attempt; other steps go on', async () => {
    const tries: string[] = [];
    const { queue, add } = aQueue({
      work: {
        waits: [1, 1],
        make: ({ item, attempts }) => {
          tries.push(`${item}${attempts}`);
          if (item === 'down' || (item === 'late' && attempts < 2)) throw new Passing({ code: 'page-too-slow' });
          if (item === 'wrong') throw new ProblemError({ code: 'nothing-to-draft' });
          return Promise.resolve((end) => end('done', { of: item }));
        },
      },
    });
    add('work', INES, 'down', 'late', 'wrong', 'good');
    await queue.idle();
    const view = queue.lastOf('work', 'down')!;
    expect(view.state).toBe('done');
    expect(view.steps).toMatchObject([
      { item: 'down', state: 'failed', attempts: 2, problem: { code: 'page-too-slow' } },
      { item: 'late', state: 'done', attempts: 2, problem: null, result: { of: 'late' } },
      { item: 'wrong', state: 'failed', attempts: 0, problem: { code: 'nothing-to-draft' } },
      { item: 'good', state: 'done', attempts: 0 },
    ]);
    expect(tries.filter((each) => each.startsWith('wrong'))).toEqual(['wrong0']);
    queue.again(INES, view.id);
    await queue.idle();
    expect(queue.lastOf('work', 'down')!.steps.map((step) => step.state)).toEqual(['failed', 'done', 'failed', 'done']);
    expect(tries.filter((each) => each.startsWith('good'))).toEqual(['good0']);
  });

  it('tries again when it is due, whatever else is under way', async () => {
    vi.useFakeTimers({ now: 1000 });
    onTestFinished(() => void vi.useRealTimers());
    const held = gate();
    const tries: string[] = [];
    const make: JobKind['make'] = ({ item, attempts }) => {
      tries.push(item);
      if (item === 'late' && attempts === 0) throw new Passing({ code: 'page-too-slow' });
      return item === 'long' ? held.opened.then(() => (end) => end('done')) : Promise.resolve((end) => end('done'));
    };
    const { queue, add } = aQueue({ slow: { make }, quick: { make, waits: [50] } });
    add('slow', INES, 'long');
    add('quick', INES, 'late');
    await vi.advanceTimersByTimeAsync(100);
    expect(tries).toEqual(['long', 'late', 'late']);
    held.open();
    await queue.idle();
  });

  it('stops when asked: what is under way is called off and not written, and goes on when it is asked to', async () => {
    const held = gate();
    let called = false;
    const { queue, add, done } = aQueue({
      work: {
        make: async ({ item }, signal) => {
          signal.addEventListener('abort', () => (called = true));
          if (item === 'two' && !called) await held.opened;
          return (end) => {
            done.push(item);
            end('done');
          };
        },
      },
    });
    const id = add('work', INES, 'one', 'two', 'three');
    await vi.waitFor(() => expect(done).toEqual(['one']));
    expect(() => queue.stop(TOM, id)).toThrow('no-such-job');
    queue.stop(INES, id);
    held.open();
    await queue.idle();
    expect([called, done]).toEqual([true, ['one']]);
    expect(queue.lastOf('work', 'one')).toMatchObject({
      state: 'stopped',
      steps: [{ state: 'done' }, { state: 'stopped' }, { state: 'stopped' }],
    });
    queue.again(INES, id);
    await queue.idle();
    expect(done).toEqual(['one', 'two', 'three']);
    expect(() => queue.again(INES, id)).toThrow('nothing-left');
  });

  it('goes on after a stop with what was under way, and writes nothing twice', async () => {
    const held = gate();
    const first = aQueue({
      work: {
        make: ({ item }) =>
          item === 'one' ? Promise.resolve((end) => end('done')) : held.opened.then(() => (end) => end('done')),
      },
    });
    first.add('work', INES, 'one', 'two');
    await vi.waitFor(() => expect(first.queue.lastOf('work', 'two')?.now).toEqual(['two']));
    first.queue.close();
    held.open();
    await first.queue.idle();
    first.db.close();
    const next = aQueue({ work: {} }, first.folder);
    next.queue.resume();
    await next.queue.idle();
    expect(next.done).toEqual(['two']);
    expect(next.queue.lastOf('work', 'two')?.state).toBe('done');
  });

  it('comes back by itself when nothing could be written for a while', async () => {
    const { db, queue, add, done } = aQueue({ work: {} });
    onTestFinished(() => void vi.restoreAllMocks());
    vi.spyOn(console, 'error').mockImplementation(() => undefined);
    const full = `create trigger full before update on job_step begin select raise(abort, 'full'); end`;
    db.exec(full);
    add('work', INES, 'one');
    await vi.waitFor(() => expect(console.error).toHaveBeenCalled());
    expect(queue.lastOf('work', 'one')?.state).toBe('running');
    db.exec('drop trigger full');
    await queue.idle();
    expect(done.at(-1)).toBe('one');
    expect(queue.lastOf('work', 'one')?.state).toBe('done');
  });

  it('tells whoever watches the person of a job without a course', async () => {
    const { queue, add, news } = aQueue({ work: {} });
    const heard: unknown[] = [];
    news.watch(TOM, (each) => heard.push(each));
    const id = add('work', TOM, 'one');
    await queue.idle();
    expect(heard).toEqual([
      { kind: 'job', job: id, step: 0 },
      { kind: 'job', job: id, step: 0 },
      { kind: 'job', job: id, step: 1 },
    ]);
  });
});
