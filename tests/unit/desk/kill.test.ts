import { build } from 'esbuild';
import { spawn } from 'node:child_process';
import { resolve } from 'node:path';
import { describe, expect, it } from 'vitest';
import { validateCourse } from '../../../core/course/validate';
import { courseDesk } from '../../../server/desk/courses';
import { openDatabase } from '../../../server/database/open';
import { aDesk } from '../../data';

/**
 * Runs the posting process and kills it some milliseconds after its first word; gives the changes it said were
 * confirmed.
 */
function killedAfter(script: string, folder: string, id: string, wait: number): Promise<string[]> {
  return new Promise((done) => {
    const child = spawn(process.execPath, [script, folder, id], { stdio: ['ignore', 'pipe', 'inherit'] });
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => {
      if (said === '') setTimeout(() => child.kill('SIGKILL'), wait);
      said += chunk.toString();
    });
    // Only whole lines were confirmed.
    child.on('close', () => done(said.split('\n').slice(0, -1)));
  });
}

describe('a server that is killed', () => {
  it('fifty times, has every confirmed change, and none twice', async () => {
    const script = resolve('out/killed.mjs');
    await build({
      entryPoints: ['tests/killed.ts'],
      outfile: script,
      bundle: true,
      platform: 'node',
      format: 'esm',
      packages: 'external',
      logLevel: 'error',
    });
    const { folder, id, db } = aDesk();
    db.close();
    let seed = 17;
    const confirmed: string[] = [];
    for (let round = 0; round < 50; round++) {
      seed = (seed * 48271) % 2147483647;
      confirmed.push(...(await killedAfter(script, folder, id, seed % 60)));
    }
    const after = openDatabase(folder);
    const ids = (
      after.prepare('select id from change where course_id = ? order by revision').all(id) as { id: string }[]
    ).map((row) => row.id);
    expect(confirmed.length).toBeGreaterThan(100);
    expect(new Set(ids).size).toBe(ids.length);
    const known = new Set(ids);
    expect(confirmed.filter((change) => !known.has(change))).toEqual([]);
    const { course, revision } = courseDesk(after, () => 0).load(id);
    expect(validateCourse(course)).toEqual([]);
    expect(course.title).toBe(`Title ${revision}`);
    after.close();
  });
});
