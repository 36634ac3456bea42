import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openInstallation } from '../../../server/utils/installation';
import { aBriefInput, INES, TOM } from '../../data';

const folder = mkdtempSync(join(tmpdir(), 'uplift-search-'));
let desk = openInstallation(folder);
let courses: string[] = [];
beforeAll(async () => {
  desk.people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1);
  desk.people.add({ id: TOM, name: 'Tom', login: 'tom', role: 'member' }, 'x.y', 1);
  courses = ['Lending', 'Batteries'].map((title) => desk.courses.create(title, aBriefInput(), INES));
  await desk.sources.addFile(courses[0], 'demo/files/lending-policy.docx', 'lending-policy.docx', INES);
  await desk.sources.addFile(courses[1], 'demo/files/battery-guide.pdf', 'battery-guide.pdf', INES);
  await desk.sources.addText(
    courses[1],
    'Deutsch',
    'Geschwollene Akkus gehören sofort in die Sandkiste und müssen gemeldet werden.',
    INES,
  );
  await desk.search.filled();
});
afterAll(async () => {
  await desk.search.close();
  await desk.drafter.stop();
  desk.db.close();
  rmSync(folder, { recursive: true, force: true });
});
const found = async (typed: string, course: string) => (await desk.search.find(typed, desk.sources.keys(course))).found;

describe('searching sources', () => {
  it('finds passages by any form of their words, those that say all of it first', async () => {
    const [first, ...others] = await found('late fees waived', courses[0]);
    expect(first.text).toContain('waive a late fee');
    expect(first.hits.map(({ from, to }) => first.text.slice(from, to).toLowerCase())).toEqual(
      expect.arrayContaining(['waive', 'late', 'fee']),
    );
    expect(others.length).toBeGreaterThan(2);
  });
  it('finds by the beginning of the last word, and in every language', async () => {
    expect((await found('Geschwol', courses[1]))[0].text).toContain('Geschwollene');
    expect((await found('Akku', courses[1]))[0].hits).toHaveLength(1);
  });
  it('keeps to the sources it is asked about', async () => {
    expect(await found('Sandkiste', courses[0])).toEqual([]);
    expect(await found('Sandkiste', courses[1])).toHaveLength(1);
  });
  it('takes what a person types as words only', async () => {
    for (const typed of [
      '"',
      '*',
      'a OR',
      'NEAR(x y)',
      'words:late',
      '-late',
      "'; drop table passage; --",
      'the',
      '\u0000',
      '😀'.repeat(200),
    ])
      await expect(desk.search.find(typed, desk.sources.keys(courses[0]))).resolves.toMatchObject({ unready: 0 });
    expect((await found('"late" fee*', courses[0])).length).toBeGreaterThan(0);
  });
  it('goes on with what a stop left half searchable', async () => {
    await desk.search.close();
    desk.db.exec('update source_version set searchable = 0');
    desk.db.close();
    desk = openInstallation(folder);
    const before = await desk.search.find('late', desk.sources.keys(courses[0]));
    expect(before.unready).toBe(1);
    await desk.search.filled();
    const after = await desk.search.find('late', desk.sources.keys(courses[0]));
    expect(after.unready).toBe(0);
    // Nothing stands in it twice.
    expect(new Set(after.found.map((each) => each.id)).size).toBe(after.found.length);
    expect(desk.db.prepare('select count(*) as count from passage').get()).toEqual(
      desk.db.prepare('select count(*) as count from passage_words').get(),
    );
  });
});

describe('the shelf', () => {
  it('shows a person all their sources and where they are used', () => {
    expect(
      desk.sources
        .shelf(INES)
        .map((row) => row.title)
        .sort(),
    ).toEqual(['Battery and Charger Guide', 'Deutsch', 'Lending Policy']);
    expect(desk.sources.shelf(INES)[0].holds.claims.rule).toBeGreaterThan(5);
    expect(desk.sources.shelf(TOM)).toEqual([]);
    expect(desk.sources.usedIn(INES)).toHaveLength(3);
  });
  it('shows those of a course one works on, and nobody else theirs', () => {
    desk.people.setRole(courses[1], TOM, 'reviewer');
    expect(desk.sources.shelf(TOM)).toHaveLength(2);
    const own = desk.courses.create('Toms', aBriefInput(), TOM);
    const policy = desk.sources.shelf(INES).find((row) => row.title === 'Lending Policy')!;
    expect(desk.sources.fromShelf(own, [policy.id], TOM)).toEqual([]);
    expect(desk.sources.ofCourse(own)).toEqual([]);
  });
  it('gives a source to another course, once', () => {
    const [row] = desk.sources.ofCourse(courses[0]);
    expect(desk.sources.fromShelf(courses[1], [row.id, row.id], INES)).toEqual([row.id]);
    expect(desk.sources.inCourse(courses[1], row.id)?.source.title).toBe('Lending Policy');
    desk.sources.detach(courses[1], row.id);
  });
  it('lets the owner put a source away, and back; courses keep it', () => {
    const [row] = desk.sources.ofCourse(courses[0]);
    expect(desk.sources.putAway(row.id, TOM, true)).toBe(false);
    expect(desk.sources.putAway(row.id, INES, true)).toBe(true);
    expect(desk.sources.shelf(INES).find((each) => each.id === row.id)?.put_away_at).not.toBeNull();
    expect(desk.sources.ofCourse(courses[0])).toHaveLength(1);
    desk.sources.putAway(row.id, INES, false);
    expect(desk.sources.shelf(INES).every((each) => each.put_away_at === null)).toBe(true);
  });
  it("takes in sources of an archive as one's own, and opens nothing of somebody else's", () => {
    const [row] = desk.sources.ofCourse(courses[0]);
    const { source, claims } = desk.sources.read(row.id, row.version)!;
    const mine = desk.courses.create('From an archive', aBriefInput(), INES);
    // What its owner has already, word for word, is used as it is.
    const ids = desk.sources.adopt(mine, [{ source: { ...source, id: 'selsewhereaa' }, claims }], new Map(), INES);
    expect(desk.sources.ofCourse(mine)).toMatchObject([{ id: row.id, version: row.version }]);
    expect(ids.get('selsewhereaa')).toBe(row.id);
    // A stub with the right id and version, of somebody who may not read it.
    const his = desk.courses.create('Of a stub', aBriefInput(), TOM);
    const stub = {
      ...source,
      passages: source.passages.slice(0, 1),
      root: { ...source.root, passages: [source.passages[0].id], sections: [] },
    };
    desk.sources.adopt(his, [{ source: stub, claims: [] }], new Map(), TOM);
    const [came] = desk.sources.ofCourse(his);
    expect(came.id).not.toBe(row.id);
    expect(came.version).not.toBe(row.version);
    expect(desk.sources.read(came.id, came.version)!.source.passages).toHaveLength(1);
    expect(
      desk.sources.passages(
        his,
        source.passages.map((passage) => passage.id),
      ),
    ).toEqual([]);
    expect(desk.sources.read(row.id, row.version)!.source).toEqual(source);
  });
});
