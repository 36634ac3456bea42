import { readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { aBriefInput, aChange, anInstallation, INES } from '../../data';
import { anId } from '../../builders';

const { folder, desk } = anInstallation();
const aFile = (name: string, sections: number) => {
  const path = join(folder, name);
  writeFileSync(
    path,
    Array.from(
      { length: sections },
      (_, at) => `# Part ${name} ${at}\n\nA volunteer must check tool ${at} of ${name} before it goes to the shelf.\n`,
    ).join('\n'),
  );
  return path;
};
const kept = () => ({
  files: readdirSync(join(folder, 'files')),
  sources: desk.db.prepare('select count(*) as count from source').get(),
  rows: desk.db.prepare('select count(*) as count from source_version').get(),
});

describe('reading that is stopped', () => {
  it.each([
    ['at once', 0],
    ['while it is read', 120],
    ['while it is understood', 900],
  ])('%s leaves nothing behind', async (_, after) => {
    const id = desk.courses.create('Stopped', aBriefInput(), INES);
    const before = kept();
    const stop = new AbortController();
    const reading = desk.sources.addFile(id, aFile(`stopped-${after}.md`, 6000), 'stopped.md', INES, stop.signal);
    if (after === 0) stop.abort();
    else setTimeout(() => stop.abort(), after);
    // Where the machine is quick it is over before; then it is there whole.
    const outcome = await reading.then(
      (added) => added.ok,
      (error: { problem?: { code: string } }) => error.problem?.code,
    );
    if (outcome === true) expect(desk.sources.ofCourse(id)).toHaveLength(1);
    else {
      expect(outcome).toBe('stopped');
      expect(desk.sources.ofCourse(id)).toEqual([]);
      expect(kept()).toEqual(before);
    }
  });
  it('does not hold up those that wait behind it', async () => {
    const id = desk.courses.create('Behind', aBriefInput(), INES);
    const stop = new AbortController();
    const stopped = [1, 2, 3].map((at) =>
      desk.sources.addFile(id, aFile(`held-${at}.md`, 3000), 'held.md', INES, stop.signal).catch(() => 'stopped'),
    );
    const behind = desk.sources.addFile(id, aFile('behind.md', 3), 'behind.md', INES);
    stop.abort();
    await Promise.all(stopped);
    expect(await behind).toMatchObject({ ok: true });
  });
});

describe('twenty files at once', () => {
  it('are all read, and what is typed meanwhile is confirmed as it comes', async () => {
    const id = desk.courses.create('Twenty', aBriefInput(), INES);
    desk.courses.post(
      id,
      [
        aChange({
          type: 'insert',
          kind: 'module',
          parent: id,
          after: null,
          node: { id: anId('m'), title: 'T0', purpose: '', objectiveIds: [], lessons: [] },
        }),
      ],
      0,
    );
    let done = 0;
    const adding = Array.from({ length: 20 }, (_, at) =>
      desk.sources.addFile(id, aFile(`many-${at}.md`, 40), `many-${at}.md`, INES).finally(() => done++),
    );
    let typed = 0;
    while (done < 20) {
      const posted = desk.courses.post(
        id,
        [aChange({ type: 'set', id: anId('m'), field: 'title', value: `T${typed + 1}`, was: `T${typed}` })],
        0,
      );
      expect(posted.refused).toEqual([]);
      typed++;
      await new Promise((go) => setTimeout(go, 20));
    }
    expect((await Promise.all(adding)).every((added) => added.ok)).toBe(true);
    expect(desk.sources.ofCourse(id)).toHaveLength(20);
    // The server's own thread was free between the files, again and again.
    expect(typed).toBeGreaterThan(20);
    await desk.search.filled();
    expect((await desk.search.find('volunteer', desk.sources.keys(id))).unready).toBe(0);
  });
});
