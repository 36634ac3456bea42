import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { checkPassword, freshToken, hashPassword, tokenHash } from '../../server/rights/password';
import { BODY_LIMITS, withinLimit } from '../../server/rights/limits';
import { isWeakPassword, lookOf, mixesScripts } from '../../server/rights/logins';
import { rateLimit } from '../../server/rights/rates';
import { signInTries } from '../../server/rights/sign-in';
import { isRoute, pathOf } from '../../server/rights/path';
import { mayCall, type Right } from '../../server/rights/right';
import type { Route } from '../../server/route';
import { ROUTES } from '../../server/route-list';
import { openDatabase } from '../../server/database/open';
import { fairTurns } from '../../server/reading/turns';
import { aFolder } from '../data';

describe('rights', () => {
  it('stand with every route, and the list of routes says the same', async () => {
    const { status, stderr } = spawnSync(process.execPath, ['scripts/routes.mjs', '--check'], { encoding: 'utf8' });
    expect([status, stderr]).toEqual([0, '']);
    for (const [key, right] of Object.entries(ROUTES)) {
      const [method, pattern] = key.split(' ');
      const name = `../../server${pattern.replace(/:(\w+)/g, '[$1]')}`;
      const file = [`${name}.${method.toLowerCase()}.ts`, `${name}/index.${method.toLowerCase()}.ts`].find((each) =>
        existsSync(join(import.meta.dirname, each)),
      )!;
      const { default: made } = (await import(/* @vite-ignore */ file)) as { default: Partial<Route> };
      expect(made.definition?.right, key).toBe(right);
    }
  });

  it('refuse what is no route, and what only looks like one', () => {
    expect(isRoute('GET', '/api/secret')).toBe(false);
    expect(isRoute('DELETE', '/api/courses')).toBe(false);
    expect(isRoute('GET', '/api/courses/..%2f..')).toBe(false);
    expect(isRoute('GET', '/api/courses/uabcdefghij2/archive/more')).toBe(false);
    expect(isRoute('GET', '/api/courses/uabcdefghij2')).toBe(true);
  });

  const owner = { role: 'owner' as const };
  const member = { role: 'member' as const };
  it.each<[Right, boolean, boolean, boolean, boolean, boolean, boolean]>([
    // nobody, member, owner, author, reviewer, marker
    ['anyone', true, true, true, true, true, true],
    ['signed-in', false, true, true, true, true, true],
    ['owner', false, false, true, false, false, false],
    ['author', false, false, false, true, false, false],
    ['marker', false, false, false, true, false, true],
    ['reader', false, false, false, true, true, true],
  ])('%s', (right, nobody, someone, first, author, reviewer, marker) => {
    expect([
      mayCall(right, undefined, undefined),
      mayCall(right, member, undefined),
      mayCall(right, owner, undefined),
      mayCall(right, member, 'author'),
      mayCall(right, member, 'reviewer'),
      mayCall(right, member, 'marker'),
    ]).toEqual([nobody, someone, first, author, reviewer, marker]);
  });
  it("give a learner no way to the course's text", () =>
    expect([mayCall('reader', member, 'learner'), mayCall('author', member, 'learner')]).toEqual([false, false]));
});

describe('passwords', () => {
  it('are kept salted and are told apart', async () => {
    const [one, two] = await Promise.all([hashPassword('a long enough one'), hashPassword('a long enough one')]);
    expect(one).not.toBe(two);
    expect(await checkPassword('a long enough one', one)).toBe(true);
    expect(await checkPassword('another', one)).toBe(false);
    expect(await checkPassword('another', undefined)).toBe(false);
    expect([await checkPassword('another', ''), await checkPassword('', '')]).toEqual([false, false]);
  });
  it('of few signs, or little more than the name, are refused', () => {
    expect(
      ['aaaaaaaaaaaa', 'ababababab', 'noornoornoor1', '          '].map((each) => isWeakPassword(each, 'noor')),
    ).toEqual([true, true, true, true]);
    expect(
      ['ten letters or more', 'fernhollow-desk', 'パスワードは長い方がよい'].map((each) =>
        isWeakPassword(each, 'ines'),
      ),
    ).toEqual([false, false, false]);
  });
  it('give way to tokens of which only the hash is kept', () => {
    const token = freshToken();
    expect(token).toMatch(/^[\w-]{32}$/);
    expect(tokenHash(token)).toMatch(/^[0-9a-f]{64}$/);
  });
});

describe('addresses', () => {
  it('are read in one way, or not at all', () => {
    expect(pathOf('/api/courses?x=1')).toBe('/api/courses');
    expect(pathOf('/course/uabcdefghij2/outline')).toBe('/course/uabcdefghij2/outline');
    for (const strange of [
      '/\\api/courses',
      '\\api\\courses',
      '//api/courses',
      '/api//courses',
      '/api/../api/courses',
      '/api/./courses',
      '/api/courses%2f',
      '/api/%63ourses',
      '/a\u0000',
      '/api/courses/..',
      'http://x/api/courses',
    ]) {
      expect(pathOf(strange), strange).toBeUndefined();
    }
  });
});

describe('bodies', () => {
  const limit = { bytes: 1000, values: 10, depth: 3 };
  it('are measured before anything is built of them', () => {
    expect(withinLimit('{"a":[1,2,{"b":"x,y:[{"}]}', limit)).toBe(true);
    expect(withinLimit('[[[[1]]]]', limit)).toBe(false);
    expect(
      withinLimit(JSON.stringify(Object.fromEntries(Array.from({ length: 11 }, (_, at) => [`k${at}`, at]))), limit),
    ).toBe(false);
    expect(withinLimit(JSON.stringify({ text: '\\"[[[[[[[{{{{{,,,,,,,,,,,,,,,,,,' }), limit)).toBe(true);
    expect(
      withinLimit(
        JSON.stringify({
          login: 'x',
          ...Object.fromEntries(Array.from({ length: 160_000 }, (_, at) => [`k${at}`, 0])),
        }),
        BODY_LIMITS.form,
      ),
    ).toBe(false);
  });
});

describe('sign-in names', () => {
  it('that could be taken for each other look alike', () => {
    for (const [one, other] of [
      ['ines', 'INES'],
      ['ines', 'ιnes'],
      ['ines', 'іnеѕ'],
      ['paul', 'pau1'],
      ['modern', 'modem'],
      ['tom', 'tо\u0301m'],
      ['tom.ashby', 'tom_ashby'],
    ])
      expect(lookOf(one), `${one} ${other}`).toBe(lookOf(other));
    for (const [one, other] of [
      ['ines', 'inez'],
      ['tom', 'tim2'],
      ['anna', 'hanna'],
    ])
      expect(lookOf(one)).not.toBe(lookOf(other));
  });
  it('of two writings are told from those of one', () =>
    expect(['inеs', 'ines', 'инес', 'ines42', '田中'].map(mixesScripts)).toEqual([true, false, false, false, false]));
});

describe('tries to sign in', () => {
  const waited: number[] = [];
  const tries = (now: () => number) =>
    signInTries(openDatabase(aFolder()), now, (time) => Promise.resolve(void waited.push(time)));
  const codeOf = (promise: Promise<unknown>) =>
    promise.then(
      (made) => (made === undefined ? 'wrong' : 'in'),
      (error: { problem?: { code: string; parameters?: { seconds: number } } }) =>
        `${error.problem?.code} ${error.problem?.parameters?.seconds}`,
    );

  it('count before they are checked: sixty at once are ten', async () => {
    let checked = 0;
    const trying = tries(() => 1000);
    const all = await Promise.all(
      Array.from({ length: 60 }, () => codeOf(trying('ines', '10.0.0.1', () => Promise.resolve(void checked++)))),
    );
    expect(checked).toBe(10);
    expect(all.filter((each) => each === 'wrong')).toHaveLength(10);
    expect(all.at(-1)).toMatch(/^too-many-tries \d+$/);
  });

  it('lock a name at one address, say for how long, and shut nobody out elsewhere, only slower', async () => {
    let now = 1000;
    const trying = tries(() => now);
    const wrong = () => Promise.resolve(undefined);
    for (let time = 0; time < 10; time++) await trying('ines', '10.0.0.1', wrong);
    now += 60_000;
    expect(await codeOf(trying('ines', '10.0.0.1', wrong))).toBe('too-many-tries 540');
    waited.length = 0;
    expect(await codeOf(trying('ines', '10.0.0.2', () => Promise.resolve('ines')))).toBe('in');
    expect(waited).toEqual([500]);
    expect(await codeOf(trying('tom', '10.0.0.1', () => Promise.resolve('tom')))).toBe('in');
    now += 600_000;
    expect(await codeOf(trying('ines', '10.0.0.1', () => Promise.resolve('ines')))).toBe('in');
  });

  it('at many names from one address end too, and a good one clears its own', async () => {
    const trying = tries(() => 1000);
    for (let time = 0; time < 9; time++) await trying('ines', '10.0.0.1', () => Promise.resolve(undefined));
    await trying('ines', '10.0.0.1', () => Promise.resolve('ines'));
    expect(await codeOf(trying('ines', '10.0.0.1', () => Promise.resolve(undefined)))).toBe('wrong');
    const all = [];
    for (let time = 0; time < 110; time++)
      all.push(await codeOf(trying(`name${time}`, '10.0.0.9', () => Promise.resolve(undefined))));
    expect(all.filter((each) => each === 'wrong')).toHaveLength(100);
  });

  it('are still counted after a restart', async () => {
    const folder = aFolder();
    const first = signInTries(openDatabase(folder), () => 1000);
    for (let time = 0; time < 10; time++) await first('ines', '10.0.0.1', () => Promise.resolve(undefined));
    expect(
      await codeOf(signInTries(openDatabase(folder), () => 2000)('ines', '10.0.0.1', () => Promise.resolve('ines'))),
    ).toMatch(/^too-many-tries/);
  });
});

describe('rates and turns', () => {
  it('let so many pass within their time, by key', () => {
    let now = 0;
    const rate = rateLimit(() => now, { most: 3, within: 100 });
    expect([rate('a'), rate('a'), rate('a'), rate('a'), rate('b')]).toEqual([0, 0, 0, 100, 0]);
    now = 101;
    expect(rate('a')).toBe(0);
  });

  it('leave others a place beside somebody whose work is slow', async () => {
    const turn = fairTurns(2);
    const order: string[] = [];
    const ends: Record<string, () => void> = {};
    const work = (who: string, name: string) =>
      turn(
        who,
        () =>
          new Promise<void>((end) => {
            order.push(name);
            ends[name] = end;
          }),
      );
    const all = [
      work('ada', 'slow 1'),
      work('ada', 'slow 2'),
      work('ada', 'slow 3'),
      work('bo', 'quick 1'),
      work('bo', 'quick 2'),
    ];
    await new Promise((go) => setTimeout(go));
    expect(order).toEqual(['slow 1', 'quick 1']);
    ends['quick 1']();
    await new Promise((go) => setTimeout(go));
    expect(order).toEqual(['slow 1', 'quick 1', 'quick 2']);
    for (const name of ['slow 1', 'quick 2', 'slow 2', 'slow 3']) {
      ends[name]();
      await new Promise((go) => setTimeout(go));
    }
    await Promise.all(all);
    await expect(turn('ada', () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    expect(await turn('ada', () => Promise.resolve('free again'))).toBe('free again');
  });
});
