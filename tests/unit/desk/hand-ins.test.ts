import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { unzipSync } from 'fflate';
import { afterAll, describe, expect, it } from 'vitest';
import type { LastWord, TaskCheck } from '../../../core/checks/task/form';
import { USUAL_RULES } from '../../../core/learning/rules';
import { handInDesk } from '../../../server/desk/hand-ins';
import { handedFiles } from '../../../server/desk/handed-files';
import { learnerDesk } from '../../../server/desk/learners';
import { newsDesk } from '../../../server/desk/news';
import { releaseDesk } from '../../../server/desk/releases';
import { aCourse, aLesson, aModule, anId } from '../../builders';
import { aDesk, INES } from '../../data';
import { PIXELS, TASK } from '../../every-check';

const scratch = mkdtempSync(join(tmpdir(), 'uplift-handed-'));
afterAll(() => rmSync(scratch, { recursive: true, force: true }));
/** A file as it lies while it is taken in. */
function lying(bytes: Uint8Array | string): string {
  const path = join(scratch, `file${readdirSync(scratch).length}`);
  writeFileSync(path, bytes);
  return path;
}
const LESSON = anId('asks');

/** A released course that asks the task, with one learner. */
function asking(lastWord: LastWord, more: Partial<TaskCheck> = {}) {
  const check: TaskCheck = { ...TASK, lessonId: LESSON, lastWord, ...more };
  const blocks = [{ id: anId('b'), kind: 'check' as const, body: { checkId: check.id } }];
  const desk = aDesk(undefined, {
    ...aCourse(),
    modules: [aModule('M', [{ ...aLesson('asks'), id: LESSON, blocks }])],
    checks: [check],
  });
  const now = () => desk.clock.at;
  const releases = releaseDesk(desk.db, desk.desk, now);
  const handed = handedFiles(desk.db, desk.folder, now);
  const learners = learnerDesk(desk.db, releases, newsDesk(), now, handed);
  const release = releases.make(desk.id, { note: '', access: 'link', rules: USUAL_RULES, move: false }, INES);
  const { learner } = learners.begin(desk.id, release, { name: 'Ada' });
  let count = 0;
  const handIn = (response: unknown, who = learner) =>
    learners.take(who, [
      { id: anId(`e${count++}`), kind: 'answer', lesson: LESSON, check: check.id, response, at: now() },
    ]);
  return {
    ...desk,
    check,
    handed,
    learner,
    learners,
    handIns: handInDesk(desk.db, learners, handed, now),
    handIn,
    begin: (name: string) => learners.begin(desk.id, release, { name }).learner,
    kept: () => readdirSync(join(desk.folder, 'handed', 'files')),
  };
}
const GOOD = 'I take the battery out of the drill. On the same day I tell the desk lead about it.';
const words = (text: string) => ({ text, files: [] });

describe('a hand-in', () => {
  it('waits for a person, who is suggested marks where the task says so, and marks by levels', async () => {
    const { id, check, learner, learners, handIns, handIn } = asking('confirmed');
    const told = await handIn(words(GOOD));
    expect(told.answers[check.id]).toMatchObject({ state: 'waiting', tries: 1 });
    expect(handIns.list(id)).toMatchObject([{ check: check.id, state: 'waiting', learner: { name: 'Ada' }, tries: 1 }]);
    const { suggestion, criteria, text } = handIns.get(id, learner.id, check.id);
    expect(text).toBe(GOOD);
    const [first, second] = criteria;
    expect(suggestion).toMatchObject({ suggested: true, levels: { [first.id]: first.levels[0].id } });
    expect(suggestion!.words![first.id]).toEqual(['I take the battery out of the drill.']);
    // A score that is sent beside levels is not believed.
    const levels = { [first.id]: first.levels[0].id, [second.id]: second.levels[1].id };
    learners.mark(id, learner.id, { check: check.id, score: 0, levels, notes: { [second.id]: 'When?' } }, INES);
    expect(handIns.list(id)).toMatchObject([{ state: 'marked', score: 0.75 }]);
    const seen = learners.told(learner).answers[check.id];
    expect(seen.feedback?.criteria).toMatchObject([
      { points: 2, of: 2, level: 'It is there' },
      { points: 1, of: 2, note: 'When?' },
    ]);
    // The words that earned a level a person confirmed stand with it; where they gave another, none.
    expect(seen.feedback!.criteria!.map((each) => each.words)).toEqual([
      ['I take the battery out of the drill.'],
      undefined,
    ]);
    expect(JSON.stringify(seen)).not.toContain(INES);
    // Handed in again it waits again, and what was before is at hand.
    await handIn(words(`${GOOD} I write it down.`));
    expect(handIns.get(id, learner.id, check.id)).toMatchObject({ state: 'waiting', before: [{ lines: [GOOD] }] });
  });

  it('is marked at once where what is suggested holds, and a person can still correct it', async () => {
    const { id, check, learner, learners, handIns, handIn } = asking('suggested');
    const told = await handIn(words(GOOD));
    expect(told.answers[check.id]).toMatchObject({ state: 'marked', score: 1, feedback: { suggested: true } });
    expect(handIns.list(id)).toMatchObject([{ state: 'marked', suggested: true }]);
    const off = await handIn(words('Our choir sings every Tuesday in the hall.'), learner);
    expect(off.answers[check.id].score).toBe(1);
    const [first] = check.criteria;
    learners.mark(id, learner.id, { check: check.id, score: 0, levels: { [first.id]: first.levels[0].id } }, INES);
    expect(handIns.list(id)[0]).toMatchObject({ score: 0.5 });
    expect(handIns.list(id)[0]).not.toHaveProperty('suggested');
  });

  it('gets nothing suggested where a person alone marks, and none where learners compare', async () => {
    const alone = asking('person');
    await alone.handIn(words(GOOD));
    expect(alone.handIns.get(alone.id, alone.learner.id, alone.check.id)).not.toHaveProperty('suggestion');
    const own = asking('learner');
    const told = await own.handIn(words(GOOD));
    expect(told.answers[own.check.id]).toMatchObject({ state: 'marked', score: 1, feedback: { code: 'compare' } });
  });

  it('against a model answer alone is right or not', async () => {
    const { id, check, learner, learners, handIns, handIn } = asking('confirmed', { criteria: [] });
    await handIn(words(GOOD));
    expect(handIns.get(id, learner.id, check.id)).not.toHaveProperty('suggestion');
    learners.mark(id, learner.id, { check: check.id, score: 1 }, INES);
    expect(handIns.list(id)).toMatchObject([{ state: 'marked', score: 1 }]);
    expect(() => handIns.get(id, learner.id, anId('another'))).toThrow('nothing-to-mark');
  });
});

describe('files', () => {
  it('are handed in, kept apart, and saved together with the marks', async () => {
    const { id, learner, handed, handIns, handIn, check, learners } = asking('confirmed');
    const file = await handed.take(learner, lying(PIXELS), 'what/../I saw.png', ['pictures']);
    expect(await handed.take(learner, lying(PIXELS), 'again.png', ['pictures'])).toEqual(file);
    await handIn({ text: '=cmd() and the drill', files: [file] });
    const [first, second] = check.criteria;
    const levels = { [first.id]: first.levels[0].id, [second.id]: second.levels[2].id };
    learners.mark(id, learner.id, { check: check.id, score: 0, levels, notes: { [second.id]: '=1+1' } }, INES);
    const files = unzipSync(handIns.together(id));
    const names = Object.keys(files);
    expect(names.every((name) => /^[\p{L}\p{N}./-]+$/u.test(name) && !name.includes('..'))).toBe(true);
    expect(names.map((name) => name.split('/').pop()).sort()).toEqual([
      '1-what-I-saw.png',
      'hand-ins.csv',
      'marks.csv',
      'text.txt',
    ]);
    // One whose bytes were lost leaves the others to be saved.
    rmSync(handed.get(learner.id, file.hash).path);
    expect(Object.keys(unzipSync(handIns.together(id)))).toHaveLength(3);
    const marks = new TextDecoder().decode(files[names.find((name) => name.endsWith('marks.csv'))!]);
    expect(marks).toContain("'=1+1");
  });

  it('that are not what they are called, of no kind that is asked for, or too large are not taken', async () => {
    const { learner, handed, kept } = asking('person');
    const take = (bytes: Uint8Array | string, name: string) =>
      handed.take(learner, lying(bytes), name, ['pictures', 'documents', 'tables']);
    const problem = { problem: { code: 'file-not-so' } };
    const script = '<script>alert(1)</script>';
    await expect(take(script, 'a.png')).rejects.toMatchObject(problem);
    await expect(take(PIXELS, 'a.pdf')).rejects.toMatchObject(problem);
    await expect(take('MZ\u0000\u0001program', 'a.txt')).rejects.toMatchObject(problem);
    await expect(take(new Uint8Array([0xff, 0xfe, 0x41]), 'a.csv')).rejects.toMatchObject(problem);
    await expect(take('PK\u0003\u0004 not a zip', 'a.docx')).rejects.toMatchObject(problem);
    for (const name of ['a.html', 'a.svg', 'a.exe', 'a', '.png', 'a.png.js', 'a.zip', 'a.docm'])
      await expect(take(script, name), name).rejects.toMatchObject({
        problem: { code: name === '.png' ? 'file-not-so' : 'file-kind' },
      });
    await expect(take(new Uint8Array(33 * 1024 ** 2), 'a.txt')).rejects.toMatchObject({
      problem: { code: 'file-too-big' },
    });
    expect(kept()).toEqual([]);
    // Words are words, whatever they say.
    await expect(take(script, 'notes.txt')).resolves.toMatchObject({ name: 'notes.txt' });
  });

  it('of somebody else, or that were never sent, cannot be handed in', async () => {
    const { handed, handIn, begin, handIns, id, learner } = asking('person');
    const other = begin('Ben');
    const file = await handed.take(other, lying(PIXELS), 'mine.png', ['pictures']);
    for (const response of [
      { text: GOOD, files: [file] },
      { text: GOOD, files: [{ ...file, hash: '0'.repeat(64) }] },
      { text: '', files: [], gone: true },
    ]) {
      expect((await handIn(response)).refused).toMatchObject([{ code: 'gone' }]);
    }
    expect((await handIn({ text: GOOD, files: [{ ...file, name: 'other.png' }] }, other)).refused).toHaveLength(1);
    expect(handIns.list(id)).toEqual([]);
    expect(() => handed.get(learner.id, file.hash)).toThrow('no-such-media');
    expect(handed.get(other.id, file.hash).name).toBe('mine.png');
  });

  it('go with their learner, and stay while another has the same', async () => {
    const { handed, begin, learner, learners, id, kept } = asking('person');
    const other = begin('Ben');
    await handed.take(learner, lying(PIXELS), 'a.png', ['pictures']);
    await handed.take(other, lying(PIXELS), 'b.png', ['pictures']);
    await handed.take(other, lying('words'), 'b.txt', ['documents']);
    expect(kept()).toHaveLength(2);
    learners.remove(id, other.id, true);
    expect(kept()).toHaveLength(1);
    learners.remove(id, learner.id, true);
    expect(kept()).toEqual([]);
  });
});

it('what was kept as long as its task says loses words and files, and its marks stay', async () => {
  const asked = asking('confirmed', { keepDays: 2 });
  const { clock, db, id, check, learner, learners, handed, handIn, handIns, kept } = asked;
  const day = 86_400_000;
  const file = await handed.take(learner, lying(PIXELS), 'a.png', ['pictures']);
  await handIn({ text: GOOD, files: [file] });
  clock.at += 9 * day;
  // Not marked yet, it is kept however long that takes.
  handIns.forgetOld();
  expect(kept()).toHaveLength(1);
  const [first] = check.criteria;
  learners.mark(id, learner.id, { check: check.id, score: 0, levels: { [first.id]: first.levels[0].id } }, INES);
  clock.at += 1.9 * day;
  handIns.forgetOld();
  expect(handIns.get(id, learner.id, check.id).text).toBe(GOOD);
  clock.at += 0.2 * day;
  handIns.forgetOld();
  expect(kept()).toEqual([]);
  expect(handIns.get(id, learner.id, check.id)).toMatchObject({ text: '', files: [], gone: true, score: 0.5 });
  expect(learners.told(learner).answers[check.id]).toMatchObject({ state: 'marked', score: 0.5, tries: 1 });
  // Nor do the marks quote it any more.
  expect(JSON.stringify(db.prepare('select answer from attempt').all())).not.toContain('battery');
  expect(handIns.list(id)).toMatchObject([{ gone: true, state: 'marked' }]);
});
