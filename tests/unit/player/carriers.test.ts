import { afterEach, describe, expect, it, vi } from 'vitest';
import { USUAL_RULES } from '../../../core/learning/rules';
import { checksIn, lessonsOf } from '../../../core/learning/view';
import { browserStore, localCarrier, noStore } from '../../../player/carriers/local';
import { scormStore, sessionTime } from '../../../player/carriers/scorm';
import { chanceName, waitingKey } from '../../../player/carriers/carrier';
import { serverCarrier, type Sent, type Told } from '../../../player/carriers/server';
import { say, wordsFor } from '../../../core/words';
import { sayRules } from '../../../player/rules';
import { aLearnersCourse, optionsOf, asChoice } from '../../builders';

const { view, keys } = aLearnersCourse();
const lessons = lessonsOf(view);
const [one, two] = lessons;
const [check] = checksIn(one);
const {
  right,
  wrong: [wrong],
} = optionsOf(keys, check);
const [second] = checksIn(lessons[2]);
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

/** A box as browsers have it, with a door that can be shut. */
function aBox(open = true) {
  const kept = new Map<string, string>();
  const barred = () => {
    throw new Error('denied');
  };
  return {
    kept,
    getItem: (name: string) => (open ? (kept.get(name) ?? null) : barred()),
    setItem: (name: string, value: string) => void (open ? kept.set(name, value) : barred()),
  };
}

describe('the local carrier', () => {
  it('marks on the spot and keeps what it knows for the next visit', () => {
    const box = aBox();
    vi.stubGlobal('localStorage', box);
    const first = localCarrier({ course: view, keys, rules: USUAL_RULES }, browserStore('x'));
    const heard = vi.fn();
    first.subscribe(heard);
    first.visit(one.id);
    first.answer(one.id, check, wrong);
    expect(first.state().answers[check]).toMatchObject({ score: 0, settled: false });
    first.answer(one.id, check, right);
    first.read(one.id);
    expect(heard).toHaveBeenCalledTimes(4);
    const next = localCarrier({ course: view, keys, rules: USUAL_RULES }, browserStore('x'));
    expect(next.state()).toMatchObject({
      read: [one.id],
      at: one.id,
      answers: { [check]: { score: 1, tries: 2, solution: right } },
    });
    expect(
      localCarrier({ course: view, keys, rules: USUAL_RULES }, browserStore('another release')).state().read,
    ).toEqual([]);
  });
  it.each([
    ['a shut box', aBox(false)],
    ['nonsense in it', Object.assign(aBox(), { getItem: () => '{"read":3}' })],
    ['no JSON', Object.assign(aBox(), { getItem: () => '{' })],
  ])('goes on with %s', (_, box) => {
    vi.stubGlobal('localStorage', box);
    const carrier = localCarrier({ course: view, keys, rules: USUAL_RULES }, browserStore('x'));
    carrier.read(one.id);
    expect(carrier.state().read).toEqual([one.id]);
    expect(carrier.lost()).toBe(false);
    expect(noStore.load().read).toEqual([]);
  });
});

describe('the carrier to our server', () => {
  const begun: Told = { read: [], answers: {}, quizzes: {} };
  const settle = () => new Promise((go) => setTimeout(go, 0));
  /** A server that marks as ours does, and can be away. */
  function aServer() {
    const server = { away: false, refuses: false, got: [] as Sent[] };
    const send = (events: readonly Sent[]): Promise<Told | undefined> => {
      if (server.away) return Promise.reject(new Error('offline'));
      if (server.refuses || events.some((event) => event.lesson === 'lnothing')) return Promise.resolve(undefined);
      server.got.push(...events);
      return Promise.resolve({
        quizzes: {},
        read: events.flatMap((event) => (event.kind === 'read' ? [event.lesson] : [])),
        answers: Object.fromEntries(
          events.flatMap((event) =>
            event.kind === 'answer'
              ? [
                  [
                    event.check,
                    {
                      response: event.response,
                      score: event.response === right ? 1 : 0,
                      state: 'marked' as const,
                      tries: 1,
                      settled: true,
                    },
                  ],
                ]
              : [],
          ),
        ),
      });
    };
    return { server, send };
  }

  it('keeps what is done until it is confirmed, over a lost connection', async () => {
    vi.useFakeTimers();
    const box = aBox();
    const { server, send } = aServer();
    const carrier = serverCarrier('x', begun, send, box);
    server.away = true;
    carrier.answer(one.id, check, right);
    carrier.read(one.id);
    await vi.advanceTimersByTimeAsync(10);
    expect(carrier.lost()).toBe(true);
    const waiting = { [waitingKey(one.id, check)]: right };
    expect(carrier.state()).toMatchObject({ read: [one.id], waiting, answers: {}, at: one.id });
    expect(JSON.parse(box.kept.get('x')!)).toHaveLength(2);
    server.away = false;
    await vi.advanceTimersByTimeAsync(4000);
    expect(carrier.lost()).toBe(false);
    expect(carrier.state()).toMatchObject({ read: [one.id], waiting: {}, answers: { [check]: { score: 1 } } });
    expect(server.got.map((event) => event.kind)).toEqual(['answer', 'read']);
    expect(box.kept.get('x')).toBe('[]');
  });
  it('sends after a reload what the page before could not', async () => {
    const box = aBox();
    const { server, send } = aServer();
    server.away = true;
    serverCarrier('x', begun, send, box).answer(one.id, check, wrong);
    await settle();
    server.away = false;
    const reloaded = serverCarrier('x', begun, send, box);
    await settle();
    expect(server.got).toHaveLength(1);
    expect(reloaded.state()).toMatchObject({ waiting: {}, answers: { [check]: { score: 0 } } });
  });
  it('lets go of what the server refuses for good, and goes on', async () => {
    const { server, send } = aServer();
    server.refuses = true;
    const carrier = serverCarrier('x', begun, send, aBox());
    carrier.read(one.id);
    await settle();
    server.refuses = false;
    carrier.read(two.id);
    await settle();
    expect(server.got.map((event) => event.lesson)).toEqual([two.id]);
    expect(carrier.state().read).toEqual([two.id]);
  });
  it('finds what is refused among many, and loses none of the rest', async () => {
    const { server, send } = aServer();
    server.away = true;
    const box = aBox();
    const carrier = serverCarrier('x', begun, send, box);
    for (const lesson of [one.id, 'lnothing', two.id]) carrier.read(lesson);
    await settle();
    server.away = false;
    const next = serverCarrier('x', begun, send, box);
    for (let turn = 0; turn < 5; turn++) await settle();
    expect(server.got.map((event) => event.lesson)).toEqual([one.id, two.id]);
    expect(next.state().read).toEqual([one.id, two.id]);
  });
  it('works without a box, and makes ids of its own', async () => {
    const { send } = aServer();
    const carrier = serverCarrier('x', begun, send, aBox(false));
    carrier.read(one.id);
    await settle();
    expect(carrier.state().read).toEqual([one.id]);
    expect(chanceName()).toMatch(/^e[a-z2-7]{12}$/);
  });
});

describe.each([
  ['1.2', 'API', 'LMS'],
  ['2004', 'API_1484_11', ''],
] as const)('a learning platform of SCORM %s', (edition, name, prefix) => {
  /** A platform in a window around this one, and what it was told. */
  function aPlatform(values: Record<string, string> = {}, begins = 'true') {
    const told: Record<string, string> = { ...values };
    const calls: string[] = [];
    const api = {
      [`${prefix}Initialize`]: () => begins,
      [edition === '1.2' ? 'LMSFinish' : 'Terminate']: () => calls.push('end'),
      [`${prefix}Commit`]: () => calls.push('commit'),
      [`${prefix}GetValue`]: (key: string) => told[key] ?? '',
      [`${prefix}SetValue`]: (key: string, value: string) => void (told[key] = value),
    };
    const top = { [name]: api } as Record<string, unknown>;
    top.parent = top;
    const leaving: (() => void)[] = [];
    vi.stubGlobal('window', {
      parent: { parent: top },
      opener: null,
      addEventListener: (_: string, listener: () => void) => leaving.push(listener),
    });
    return { told, calls, leave: () => leaving.forEach((listener) => listener()) };
  }
  const status = (told: Record<string, string>) =>
    edition === '1.2'
      ? told['cmi.core.lesson_status']
      : `${told['cmi.completion_status']} ${told['cmi.success_status']}`;
  const finish = (carrier: ReturnType<typeof localCarrier>, option: string) => {
    carrier.answer(one.id, check, option);
    if (option === wrong) carrier.answer(one.id, check, option);
    carrier.answer(
      lessons[2].id,
      second,
      option === right ? optionsOf(keys, second).right : optionsOf(keys, second).wrong[0],
    );
    for (const lesson of lessons) carrier.read(lesson.id);
  };

  it('is told place, score, status and answers; left and come back to, it goes on', () => {
    const platform = aPlatform();
    const carrier = localCarrier({ course: view, keys, rules: USUAL_RULES }, scormStore(edition, view, USUAL_RULES));
    expect(status(platform.told)).toMatch(/^incomplete/);
    carrier.visit(two.id);
    finish(carrier, right);
    expect(status(platform.told)).toBe(edition === '1.2' ? 'passed' : 'completed passed');
    expect(platform.told[edition === '1.2' ? 'cmi.core.score.raw' : 'cmi.score.raw']).toBe('100');
    expect(platform.told['cmi.interactions.0.result']).toBe('correct');
    platform.leave();
    platform.leave();
    expect(platform.calls.filter((call) => call === 'end')).toHaveLength(1);
    expect(platform.told[edition === '1.2' ? 'cmi.core.exit' : 'cmi.exit']).toBe(edition === '1.2' ? '' : 'suspend');
    const again = aPlatform(platform.told);
    const resumed = localCarrier({ course: view, keys, rules: USUAL_RULES }, scormStore(edition, view, USUAL_RULES));
    expect(resumed.state().read).toEqual(lessons.map((lesson) => lesson.id));
    expect(resumed.state().answers[check]).toMatchObject({ score: 1, response: right });
    expect(status(again.told)).toBe(edition === '1.2' ? 'passed' : 'completed passed');
  });
  it.each([
    ['what an answer that is partly right is worth', { score: 0.5, state: 'marked' as const }, '0.5'],
    ['of an answer that waits for its mark, as neither', { score: 0, state: 'waiting' as const }, 'neutral'],
    ['of a wrong one', { score: 0, state: 'marked' as const }, edition === '1.2' ? 'wrong' : 'incorrect'],
  ])('is told %s', (_, worth, result) => {
    const { told } = aPlatform();
    const store = scormStore(edition, view, USUAL_RULES);
    store.load();
    store.save(
      { read: lessons.map((lesson) => lesson.id), answers: { [check]: { response: right, tries: 1, ...worth } } },
      { id: '', kind: 'answer', lesson: one.id, check, response: right },
    );
    expect(told['cmi.interactions.0.result']).toBe(result);
    expect(told['cmi.interactions.0.type']).toBe('choice');
    expect(
      told[edition === '1.2' ? 'cmi.interactions.0.student_response' : 'cmi.interactions.0.learner_response'],
    ).toBe(
      'abc'[asChoice(view.checks.find((each) => each.id === check)!).options.findIndex((each) => each.id === right)],
    );
    expect(status({ ...told })).not.toMatch(/passed/);
  });
  it('is told when too few answers are right', () => {
    const platform = aPlatform();
    finish(localCarrier({ course: view, keys, rules: USUAL_RULES }, scormStore(edition, view, USUAL_RULES)), wrong);
    expect(status(platform.told)).toBe(edition === '1.2' ? 'failed' : 'completed failed');
    expect(platform.told['cmi.interactions.0.result']).toBe(edition === '1.2' ? 'wrong' : 'incorrect');
  });
  it('that does not begin, or is not there, leaves a course that works', () => {
    for (const arrange of [
      () => aPlatform({}, 'false'),
      () =>
        vi.stubGlobal(
          'window',
          Object.assign(
            { opener: null, addEventListener: () => undefined },
            {
              get parent() {
                return this;
              },
            },
          ),
        ),
    ]) {
      arrange();
      const carrier = localCarrier({ course: view, keys, rules: USUAL_RULES }, scormStore(edition, view, USUAL_RULES));
      carrier.read(one.id);
      expect(carrier.state().read).toEqual([one.id]);
    }
  });
  it('gets times in its own form', () =>
    expect(sessionTime(edition, 3671.4)).toBe(edition === '1.2' ? '01:01:11' : 'PT1H1M11S'));
});

describe("the learner's words", () => {
  const [english, ...others] = ['en', 'de', 'fr', 'es'].map((language) => wordsFor(language).words);
  const flat = (value: object, path = ''): [string, string][] =>
    Object.entries(value).flatMap(([key, each]) =>
      typeof each === 'string' ? [[`${path}${key}`, each] as [string, string]] : flat(each as object, `${path}${key}.`),
    );
  const holes = (text: string) => [...text.matchAll(/\{\w+\}/g)].map(([hole]) => hole).sort();
  it.each(others)('are whole in each language, with the same places for values', (words) => {
    const found = new Map(flat(words));
    for (const [key, text] of flat(english)) {
      expect(found.get(key), key).toBeTruthy();
      expect(holes(found.get(key)!), key).toEqual(holes(text));
    }
  });
  it('are English where there are none, and say so', () => {
    expect(wordsFor('ja')).toMatchObject({ language: 'en', missing: true });
    expect(wordsFor('de-AT')).toMatchObject({ language: 'de', missing: false });
    expect(wordsFor('und').missing).toBe(false);
  });
  it('put values in, and leave what they do not know', () =>
    expect(say('{a} of {b} {c}', { a: 1, b: 'two' })).toBe('1 of two {c}'));
  it('say the rules of a course', () => {
    expect(
      sayRules(english, {
        lesson: { kind: 'passed', share: 0.5 },
        course: { kind: 'lessons' },
        order: 'forced',
        tries: null,
      }),
    ).toEqual([
      'A lesson is done when you have read it and 50 % of its checks are right.',
      'The course is completed when all lessons are done.',
      'Lessons open one after another.',
    ]);
    expect(sayRules(english, USUAL_RULES)).toHaveLength(3);
  });
});
