import { spawnSync } from 'node:child_process';
import { chmodSync, existsSync, mkdirSync, readdirSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { allLessons } from '../../../core/course/course';
import { checkFolder } from '../../../server/check/check';
import { repairFolder } from '../../../server/check/repair';
import { openDatabase } from '../../../server/database/open';
import { troubleOf } from '../../../server/database/trouble';
import { courseDesk } from '../../../server/desk/courses';
import { courseRows } from '../../../server/desk/rows';
import { aChange, aDesk, aFolder, INES } from '../../data';
import { openInstallation } from '../../../server/utils/installation';
import { aCourse, anId } from '../../builders';
import { aPng } from '../../pictures';

const title = (value: string, was: string) =>
  aChange({ type: 'set', id: anId('First one'), field: 'title', value, was });
const codeOf = (work: () => unknown) => {
  try {
    work();
    return 'opened';
  } catch (error) {
    return (error as { problem?: { code: string } }).problem?.code ?? String(error);
  }
};

describe('a data folder that is not well', () => {
  it('is never begun anew over an empty database or lost files', () => {
    const empty = aFolder();
    writeFileSync(join(empty, 'uplift.sqlite'), '');
    expect(codeOf(() => openDatabase(empty))).toBe('data-missing');
    expect(statSync(join(empty, 'uplift.sqlite')).size).toBe(0);
    const orphaned = aFolder();
    mkdirSync(join(orphaned, 'files'));
    writeFileSync(join(orphaned, 'files', 'a'.repeat(64)), 'x');
    expect(codeOf(() => openDatabase(orphaned))).toBe('data-missing');
    expect(existsSync(join(orphaned, 'uplift.sqlite'))).toBe(false);
    expect(codeOf(() => openDatabase(join(aFolder(), 'fresh')))).toBe('opened');
  });

  it('says what is wrong in words of its own', () => {
    const folder = aFolder();
    writeFileSync(join(folder, 'uplift.sqlite'), 'no database at all, but long enough to look like one'.repeat(40));
    expect(codeOf(() => openDatabase(folder))).toBe('data-damaged');
    expect(checkFolder(folder)).toMatchObject([{ about: 'database' }]);
    for (const [code, problem] of [
      ['SQLITE_FULL', 'disk-full'],
      ['ENOSPC', 'disk-full'],
      ['SQLITE_READONLY_DBMOVED', 'disk-read-only'],
      ['SQLITE_CORRUPT_VTAB', 'data-damaged'],
      ['EACCES', 'data-unreadable'],
    ])
      expect(troubleOf(Object.assign(new Error('x'), { code }))).toEqual({ code: problem });
    expect(troubleOf(new Error('another'))).toBeUndefined();
  });

  it('names a picture whose file is gone', () => {
    const folder = aFolder();
    const { db, media, courses, people } = openInstallation(folder);
    people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1);
    const id = courses.adopt(aCourse(), INES);
    const { hash } = media.add(id, aPng(4, 3), 'shed.png', INES);
    db.close();
    expect(checkFolder(folder)).toEqual([]);
    rmSync(join(folder, 'files', hash));
    expect(checkFolder(folder)).toMatchObject([{ about: `picture “shed.png” of course ${id}` }]);
  });

  it("is its user's alone", () => {
    const folder = aFolder();
    chmodSync(folder, 0o755);
    openDatabase(folder).close();
    for (const [path, mode] of [
      [folder, 0o700],
      [join(folder, 'files'), 0o700],
      [join(folder, 'uplift.sqlite'), 0o600],
    ] as const)
      expect(statSync(path).mode & 0o777, path).toBe(mode);
  });
});

describe('one broken course', () => {
  it('is listed as such and keeps no other from being opened', () => {
    const { desk, id, db } = aDesk();
    const other = desk.adopt({ ...aCourse(), id: 'uanotherone', title: 'Whole' }, INES);
    desk.post(id, [title('A', 'First one')], 0);
    db.prepare('update change set operation = ? where course_id = ?').run('{"type":"set","id":', id);
    const again = courseDesk(db, () => 0);
    const rows = courseRows(
      { courses: again, releases: { standing: () => ({ newest: undefined, learners: 0 }) } },
      INES,
    );
    expect(rows.find((row) => row.id === id)?.broken).toContain('damaged');
    expect(rows.find((row) => row.id === other)).toMatchObject({ title: 'Whole' });
    expect(() => again.load(id)).toThrow('bad-log');
    expect(again.load(other).course.title).toBe('Whole');
  });
});

describe('a disk that is full', () => {
  it('is read from as before, refuses what is new without harm, and takes it once there is room', () => {
    const { desk, id, db } = aDesk();
    desk.post(id, [title('A', 'First one')], 0);
    db.pragma('wal_checkpoint(truncate)');
    db.pragma(`max_page_count = ${String(db.pragma('page_count', { simple: true }))}`);
    const long = 'x'.repeat(399);
    const fill = () => {
      for (let number = 0; number < 400; number++) desk.nameVersion(id, `${long.slice(0, 100)} ${number}`, INES);
    };
    expect(() => fill()).toThrowError(expect.objectContaining({ code: 'SQLITE_FULL' }));
    expect(desk.load(id).course.modules[0].lessons[0].title).toBe('A');
    expect(courseDesk(db, () => 0).load(id).revision).toBe(1);
    db.pragma('max_page_count = 1000000');
    expect(desk.post(id, [title('B', 'A')], 1).revision).toBe(2);
  });
});

describe('looking a folder through', () => {
  it('finds nothing where nothing is wrong', () => {
    const { folder, desk, id } = aDesk();
    desk.post(id, [title('A', 'First one')], 0);
    desk.nameVersion(id, 'v', INES);
    expect(checkFolder(folder)).toEqual([]);
  });

  it('finds what is wrong, and mends it to the newest good state, keeping what it takes out', async () => {
    const { folder, desk, id, db } = aDesk();
    let was = 'First one';
    for (const value of ['A', 'B', 'C']) {
      desk.post(id, [title(value, was)], 0);
      was = value;
    }
    db.prepare('update change set operation = ? where course_id = ? and revision = 3').run(
      '{"type":"set","id":"xgonegonegone","field":"title","value":"x","was":"y"}',
      id,
    );
    const left = join(folder, 'files', `upload.t${'a'.repeat(12)}`);
    writeFileSync(left, 'half');
    utimesSync(left, 1, 1);
    writeFileSync(join(folder, 'files', 'b'.repeat(64)), 'not what it says');
    db.pragma('foreign_keys = OFF');
    db.prepare(
      "insert into member (course_id, person_id, role, accepted_at) values ('unothingaaaa', ?, 'author', 0)",
    ).run(INES);
    db.close();
    expect(checkFolder(folder).map((finding) => finding.mend?.kind)).toEqual([
      'references',
      'course',
      undefined,
      'leftover',
    ]);
    const { copy, mended, left: rest } = await repairFolder(folder);
    expect(mended).toHaveLength(3);
    expect(rest.map((finding) => finding.what)).toEqual(['it was changed since it was kept.']);
    expect(readdirSync(copy)).toEqual(
      expect.arrayContaining([`course-${id}-changes.json`, 'rows.json', 'uplift.sqlite']),
    );
    const again = openDatabase(folder);
    expect(allLessons(courseDesk(again, () => 0).load(id).course)[0].title).toBe('B');
    again.close();
  });

  it('is a command, with an exit code', () => {
    const { folder, db } = aDesk();
    db.close();
    const keep = (...args: string[]) =>
      spawnSync(process.execPath, ['dist/keep.mjs', ...args], { encoding: 'utf8', env: { ...process.env, PORT: '1' } });
    expect(keep('check', folder)).toMatchObject({ status: 0 });
    expect(keep('check', join(folder, 'none'))).toMatchObject({ status: 1 });
    expect(keep('repair', folder).stdout).toContain('is sound');
    expect(keep('check').status).toBe(2);
  });
});
