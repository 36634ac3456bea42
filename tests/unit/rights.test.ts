import { readdirSync } from 'node:fs';
import { join, relative } from 'node:path';
import { describe, expect, it } from 'vitest';
import { attemptLimit, checkPassword, freshToken, hashPassword, tokenHash } from '../../server/rights/password';
import { mayCall, RIGHTS, rightFor, type Right } from '../../server/rights/table';

/** Every route there is a file for, as method and pattern. */
function routes(folder: string, root = folder): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return routes(path, root);
    const [, name, method] = /^(.*)\.(get|post|put|patch|delete)\.ts$/.exec(relative(root, path)) ?? [];
    return [`${method.toUpperCase()} /api/${name.replace(/\/?index$/, '').replace(/\[(\w+)\]/g, ':$1')}`];
  });
}

describe('rights', () => {
  it('are settled for every route, and for no other', () => {
    expect(routes('server/api').sort((a, b) => (a < b ? -1 : 1))).toEqual(RIGHTS.map(([method, pattern]) => `${method} ${pattern}`).sort((a, b) => (a < b ? -1 : 1)));
  });

  it('refuse what is not in the table, and what only looks like it', () => {
    expect(rightFor('GET', '/api/secret')).toBeUndefined();
    expect(rightFor('DELETE', '/api/courses')).toBeUndefined();
    expect(rightFor('GET', '/api/courses/..%2f..')).toBeUndefined();
    expect(rightFor('GET', '/api/courses/uabcdefghij2/archive/more')).toBeUndefined();
    expect(rightFor('GET', '/api/courses/uabcdefghij2')).toEqual({ right: 'reader', course: 'uabcdefghij2' });
  });

  const owner = { role: 'owner' as const };
  const member = { role: 'member' as const };
  it.each<[Right, boolean, boolean, boolean, boolean, boolean]>([
    // nobody, member, owner, author, reviewer
    ['anyone', true, true, true, true, true], ['signed-in', false, true, true, true, true], ['owner', false, false, true, false, false], ['author', false, false, false, true, false], ['reader', false, false, false, true, true],
  ])('%s', (right, nobody, someone, first, author, reviewer) => {
    expect([mayCall(right, undefined, undefined), mayCall(right, member, undefined), mayCall(right, owner, undefined), mayCall(right, member, 'author'), mayCall(right, member, 'reviewer')]).toEqual([nobody, someone, first, author, reviewer]);
  });
  it('give a learner no way to the course\'s text', () => expect([mayCall('reader', member, 'learner'), mayCall('author', member, 'learner')]).toEqual([false, false]));
});

describe('passwords', () => {
  it('are kept salted and are told apart', async () => {
    const [one, two] = await Promise.all([hashPassword('a long enough one'), hashPassword('a long enough one')]);
    expect(one).not.toBe(two);
    expect(await checkPassword('a long enough one', one)).toBe(true);
    expect(await checkPassword('another', one)).toBe(false);
    expect(await checkPassword('another', undefined)).toBe(false);
  });
  it('may be tried ten times in ten minutes', () => {
    let now = 0;
    const limit = attemptLimit(() => now);
    for (let time = 0; time < 10; time++) limit.failed('login ines');
    expect(limit.mayTry('login ines')).toBe(false);
    expect(limit.mayTry('login tom')).toBe(true);
    now = 600_001;
    expect(limit.mayTry('login ines')).toBe(true);
  });
  it('give way to tokens of which only the hash is kept', () => {
    const token = freshToken();
    expect(token).toMatch(/^[\w-]{32}$/);
    expect(tokenHash(token)).toMatch(/^[0-9a-f]{64}$/);
  });
});
