import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it, onTestFinished, vi } from 'vitest';
import { allLessons } from '../../../core/course/course';
import { validateCourse } from '../../../core/course/validate';
import { courseDesk } from '../../../server/desk/courses';
import { DATA_VERSION, openDatabase } from '../../../server/database/open';
import { openInstallation } from '../../../server/utils/installation';
import { aBriefInput, aChange, aDesk, aFolder, INES, TOM } from '../../data';
import { anId, optionsOf, asChoice } from '../../builders';

const keep = (...args: string[]) =>
  spawnSync(process.execPath, ['dist/keep.mjs', ...args], { encoding: 'utf8', env: { ...process.env, PORT: '1' } });

describe('data folders of older versions', () => {
  it.each(readdirSync('tests/fixtures').filter((name) => name.startsWith('data-')))(
    '%s is brought up to date and works',
    (name) => {
      const folder = aFolder();
      cpSync(join('tests/fixtures', name), folder, { recursive: true });
      const db = openDatabase(folder);
      expect(db.pragma('user_version', { simple: true })).toBe(DATA_VERSION);
      const desk = courseDesk(db, () => 5_000_000);
      const row = desk.list(INES).find((each) => each.id !== 'ubrokencourse')!;
      const { course, revision } = desk.load(row.id);
      expect(validateCourse(course)).toEqual([]);
      expect(allLessons(course).map((lesson) => lesson.title)).toEqual(['Greeting', 'First two', 'Second one']);
      desk.takeBack(row.id, INES, revision, 'undo');
      desk.takeBack(row.id, INES, revision, 'undo');
      expect(allLessons(desk.load(row.id).course).map((lesson) => lesson.title)).toEqual([
        'First one',
        'First two',
        'Second one',
        'Second two',
      ]);
      db.close();
    },
  );

  it('of version 12 has its pictures still', () => {
    const folder = aFolder();
    cpSync('tests/fixtures/data-12', folder, { recursive: true });
    const { db, courses, media } = openInstallation(folder);
    const [picture, ...others] = courses.list(INES).flatMap(({ id }) => media.ofCourse(id));
    expect(picture).toMatchObject({ name: 'shed.png', type: 'image/png', width: 4, height: 3, origin: 'file' });
    expect(picture).not.toHaveProperty('seconds');
    expect(others).toEqual([]);
    db.close();
  });

  it('of version 2 has its releases and learners still', () => {
    const folder = aFolder();
    cpSync('tests/fixtures/data-2', folder, { recursive: true });
    const { db, courses, releases, learners, jobs } = openInstallation(folder);
    const [row] = courses.list(INES);
    expect(releases.list(row.id)).toMatchObject([{ number: 1, note: 'as it was', access: 'link' }]);
    expect(learners.lines(row.id)).toMatchObject([{ name: 'Ada', release: 1, progress: { done: 1 } }]);
    expect(jobs.ofCourse(row.id)).toEqual([]);
    expect(releases.meaning(row.id)?.lessons.changed).toEqual([]);
    db.close();
  });

  it('of version 3 has its sources understood anew, once, and still when a course that came in brings older claims', async () => {
    const folder = aFolder();
    cpSync('tests/fixtures/data-3', folder, { recursive: true });
    const desk = openInstallation(folder);
    onTestFinished(async () => {
      await desk.search.close();
      await desk.drafter.stop();
      desk.db.close();
    });
    const [course] = desk.courses.list(INES);
    const [row] = desk.sources.ofCourse(course.id);
    expect(row.holds.claims).toEqual({});
    // Held in memory as it was kept: what is made anew replaces that too.
    expect(desk.sources.read(row.id, row.version)!.claims).toEqual([]);
    await Promise.all([desk.sources.renewClaims(), desk.sources.renewClaims()]);
    expect(desk.sources.read(row.id, row.version)!.claims.map((claim) => claim.kind)).toEqual(['rule', 'rule']);
    expect(desk.sources.ofCourse(course.id)[0].holds.claims).toEqual({ rule: 2 });
    const asked = vi.spyOn(desk.drafter, 'ask');
    await desk.sources.renewClaims();
    expect(asked).not.toHaveBeenCalled();
    // What comes in with an archive brings no claims that are believed: they are made here.
    const { source } = desk.sources.read(row.id, row.version)!;
    const other = desk.courses.create('Of an archive', aBriefInput(), INES);
    desk.sources.adopt(other, [{ source: { ...source, title: 'Elsewhere' }, claims: [] }], new Map(), INES);
    const [came] = desk.sources.ofCourse(other);
    expect(desk.sources.read(came.id, came.version)!.claims).toEqual([]);
    await desk.sources.renewClaims();
    expect(desk.sources.read(came.id, came.version)!.claims).toHaveLength(2);
  });

  it('of version 4 has what its log let in mended, and its takes say what is known of them', () => {
    const folder = aFolder();
    cpSync('tests/fixtures/data-4', folder, { recursive: true });
    const { db, courses, releases, learners, sources } = openInstallation(folder);
    const { course } = courses.load('ubrokencourse');
    expect(validateCourse(course)).toEqual([]);
    expect(allLessons(course).map((lesson) => lesson.title)).toEqual(['First one', 'First two', 'Second one']);
    expect(asChoice(course.checks[0]).options.map((option) => option.id)).toContain(asChoice(course.checks[0]).key);
    expect(course.takes).toEqual([]);
    const [whole] = courses.list(INES).filter((row) => row.id !== 'ubrokencourse');
    expect(courses.load(whole.id).course.takes).toMatchObject([
      { value: 'Another name', made: { at: 0, by: '', why: 'kept' } },
    ]);
    expect(courses.versions(whole.id)).toMatchObject([{ name: 'as it was', by: 'Ines Marlow' }]);
    expect(releases.list(whole.id)).toHaveLength(1);
    expect(learners.lines(whole.id)).toMatchObject([{ name: 'Ada' }]);
    const [source] = sources.ofCourse(whole.id);
    expect(sources.versions(whole.id, source.id, INES)).toMatchObject([{ serial: 1, by: 'Ines Marlow', used: true }]);
    db.close();
  });

  it('of version 5 has what its learners answered, as its kind of check has it', () => {
    const folder = aFolder();
    cpSync('tests/fixtures/data-5', folder, { recursive: true });
    const { db, courses, releases, learners } = openInstallation(folder);
    const [{ id }] = courses.list(INES);
    const [release] = releases.list(id);
    const { view, keys } = releases.frozen(release.id);
    const [check] = view.checks;
    expect(check.kind).toBe('choice');
    const { right } = optionsOf(keys, check.id);
    const [line] = learners.lines(id);
    expect(line.progress).toMatchObject({ done: 1, checks: { answered: 1, right: 1, waiting: 0, of: 1 }, score: 1 });
    const events = db.prepare('select kind, answer from attempt order by serial').all() as {
      kind: string;
      answer: string;
    }[];
    expect(events.map(({ kind }) => kind)).toEqual(['answer', 'answer', 'read']);
    expect(JSON.parse(events[1].answer)).toBe(right);
    expect(() => db.prepare('update attempt set answer = null').run()).toThrowError('only ever added');
    db.close();
  });

  it('of version 11 has its hand-ins and who marks them still, and takes feedback', async () => {
    const folder = aFolder();
    cpSync('tests/fixtures/data-11', folder, { recursive: true });
    const desk = openInstallation(folder);
    onTestFinished(async () => {
      await desk.search.close();
      await desk.drafter.stop();
      desk.db.close();
    });
    const { courses, releases, handIns, surveys, people, db } = desk;
    const [{ id }] = courses.list(INES);
    expect(handIns.list(id)).toMatchObject([{ learner: { name: 'Ada' }, state: 'marked' }]);
    expect(people.roleIn(id, TOM)).toBe('marker');
    expect(releases.list(id)).toMatchObject([{ note: 'with a task' }]);
    expect(surveys.list(id)).toEqual([]);
    expect(db.prepare('select count(*) from survey_sheet').pluck().get()).toBe(0);
  });

  it('whose documents are newer than this program are refused, one by one', () => {
    const { db, desk, id } = aDesk();
    desk.post(id, [aChange({ type: 'set', id: anId('First one'), field: 'title', value: 'A', was: 'First one' })], 0);
    db.prepare('update snapshot set version = 99').run();
    expect(() => courseDesk(db, () => 0).load(id)).toThrowError('newer-document');
    db.prepare('update snapshot set version = 2').run();
    db.prepare('update change set version = 99').run();
    expect(() => courseDesk(db, () => 0).load(id)).toThrowError('newer-document');
  });

  it('a newer one is refused and left as it is', () => {
    const folder = aFolder();
    const db = openDatabase(folder);
    db.pragma(`user_version = ${DATA_VERSION + 1}`);
    db.close();
    expect(() => openDatabase(folder)).toThrowError('newer-data');
  });
});

describe('a copy', () => {
  it('is made while the desk works, and put back while it does not', () => {
    const { folder, db, desk, id } = aDesk();
    writeFileSync(join(folder, 'files', 'a'.repeat(64)), 'bytes');
    const copy = join(aFolder(), 'copy');
    expect(keep('backup', folder, copy)).toMatchObject({ status: 0 });
    desk.post(
      id,
      [aChange({ type: 'set', id: anId('First one'), field: 'title', value: 'After the copy', was: 'First one' })],
      0,
    );
    db.close();
    expect(keep('restore', copy, folder)).toMatchObject({ status: 0 });
    expect(existsSync(join(folder, 'files', 'a'.repeat(64)))).toBe(true);
    const again = openDatabase(folder);
    expect(allLessons(courseDesk(again, () => 0).load(id).course)[0].title).toBe('First one');
    again.close();
  });

  it('is refused into a folder with something in it, and from what is none', () => {
    const { folder, db } = aDesk();
    db.close();
    const full = aFolder();
    writeFileSync(join(full, 'mine'), '');
    expect(keep('backup', folder, full).stderr).toContain('is not empty');
    expect(keep('restore', full, folder).status).toBe(1);
    expect(keep('nothing').status).toBe(2);
  });
});
