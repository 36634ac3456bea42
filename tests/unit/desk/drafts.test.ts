import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { allLessons, placedChecks } from '../../../core/course/course';
import { evidencedSentences, replay } from '../../../core/course/rich-text';
import { blockTexts } from '../../../core/course/blocks';
import { takeOutline } from '../../../core/course/gestures';
import { validateCourse } from '../../../core/course/validate';
import { usedPassages } from '../../../core/draft/from-course';
import { exportArchive, importArchive } from '../../../server/desk/archive';
import { draftInto } from '../../../server/desk/draft';
import { courseRows } from '../../../server/desk/rows';
import { openInstallation } from '../../../server/utils/installation';
import { aBriefInput, aChange, INES } from '../../data';
import { file } from '../../builders';

const folder = mkdtempSync(join(tmpdir(), 'uplift-drafts-'));
const desk = openInstallation(folder);
beforeAll(() => desk.people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1));
afterAll(async () => {
  await desk.drafter.stop();
  desk.db.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A course with the demo's policy and the given files, its outline drafted and taken. */
async function outlined(...files: string[]) {
  const id = desk.courses.create('Lending', aBriefInput(), INES);
  for (const path of files) {
    const added = await desk.sources.addFile(id, path, path.split('/').pop()!, INES);
    expect(added.ok).toBe(true);
  }
  const { nodes, minutes } = await desk.drafter.ask('outline', { course: desk.courses.load(id).course, sources: desk.sources.keys(id) });
  desk.courses.post(id, takeOutline(desk.courses.load(id).course, nodes).map((operation) => aChange(operation, INES, 'goutlineaaaa')), 0);
  return { id, minutes };
}

describe('a course on the desk', () => {
  it('is outlined and drafted lesson by lesson, every sentence on its passage', async () => {
    const { id, minutes } = await outlined('demo/files/lending-policy.docx');
    const lessons = allLessons(desk.courses.load(id).course);
    expect(lessons.length).toBeGreaterThan(4);
    expect(lessons.every((lesson) => lesson.state === 'blank' && lesson.plannedPassages.length > 0 && minutes[lesson.id] > 0)).toBe(true);
    for (const lesson of lessons) await draftInto(desk, id, lesson.id, INES, 0);
    const { course } = desk.courses.load(id);
    expect(validateCourse(course)).toEqual([]);
    expect(placedChecks(course).length).toBeGreaterThan(3);
    const passages = new Map(desk.sources.keys(id).flatMap((key) => desk.sources.read(key.id, key.version)!.source.passages.map((passage) => [passage.id, passage.text] as const)));
    const sentences = allLessons(course).flatMap((lesson) => lesson.blocks.flatMap((block) => blockTexts(block).flatMap(evidencedSentences)));
    expect(sentences.length).toBeGreaterThan(60);
    for (const { mark, text } of sentences) expect(replay(mark.attrs.passages, (passage) => passages.get(passage))).toBe(text);
    const again = allLessons(course)[1];
    const undone = desk.courses.takeBack(id, INES, 0, 'undo');
    expect(undone.what).toContain('draft of');
    await draftInto(desk, id, again.id, INES, 0);
    expect(allLessons(desk.courses.load(id).course)[1].blocks).toEqual(again.blocks);
  });

  it('leaves a lesson that was edited while it was drafted', async () => {
    const { id } = await outlined('demo/files/coordinators-notes.md');
    const [lesson] = allLessons(desk.courses.load(id).course);
    const drafting = draftInto(desk, id, lesson.id, INES, 0);
    desk.courses.post(id, [aChange({ type: 'set', id: lesson.id, field: 'title', value: 'Mine', was: lesson.title })], 0);
    await expect(drafting).rejects.toMatchObject({ problem: { code: 'changed-meanwhile' } });
    expect(allLessons(desk.courses.load(id).course)[0]).toMatchObject({ title: 'Mine', blocks: [] });
  });

  it('drafts a lesson written by hand from what fits its title, and says when nothing does', async () => {
    const { id } = await outlined('demo/files/battery-guide.pdf');
    const { course } = desk.courses.load(id);
    const blank = { kind: 'lesson' as const, objectiveIds: [], state: 'blank' as const, plannedPassages: [], blocks: [] };
    desk.courses.post(id, [
      aChange({ type: 'insert', kind: 'lesson', parent: course.modules[0].id, after: null, node: { ...blank, id: 'lownaaaaaaaaa', title: 'Volcanoes of the southern sea' } }),
    ], 0);
    await expect(draftInto(desk, id, 'lownaaaaaaaaa', INES, 0)).rejects.toMatchObject({ problem: { code: 'nothing-to-draft' } });
  });

  it('shows unused passages that fit a lesson best first, and passages in their place', async () => {
    const { id } = await outlined('demo/files/lending-policy.docx', 'demo/files/questions.html');
    const { course } = desk.courses.load(id);
    const late = allLessons(course).find((lesson) => /late/i.test(lesson.title))!;
    const found = await desk.drafter.ask('unused', { course, lessonId: late.id, sources: desk.sources.keys(id) });
    expect(found.length).toBeGreaterThan(3);
    expect(found.map((each) => each.score)).toEqual(found.map((each) => each.score).toSorted((a, b) => b - a));
    const [best] = desk.sources.passages(id, [found[0].id]);
    expect(best.passage.text).toMatch(/late/i);
    expect(best.before.length + best.after.length).toBeGreaterThan(0);
    expect(usedPassages(course).size).toBe(0);
  });
});

describe('sources of a course', () => {
  it('are the same when the file or its content is the same, and stay on the shelf when taken off', async () => {
    const id = desk.courses.create('Same', aBriefInput(), INES);
    const notes = join(folder, 'notes.md');
    writeFileSync(notes, '# Notes\n\nA saw must be wiped with oil before it is hung up.\n');
    const first = await desk.sources.addFile(id, notes, 'notes.md', INES);
    const second = await desk.sources.addFile(id, notes, 'copy.md', INES);
    expect(first.ok && second.ok && second.source.id === first.source.id && second.same).toBe('notes');
    expect(await desk.sources.addText(id, 'Pasted', '# Notes\n\nA saw must be wiped with oil before it is hung up.\n', INES)).toMatchObject({ ok: true, same: 'notes' });
    expect(desk.sources.ofCourse(id)).toHaveLength(1);
    expect(desk.sources.detach(id, desk.sources.ofCourse(id)[0].id)).toBe(true);
    expect(await desk.sources.addFile(id, notes, 'notes.md', INES)).toMatchObject({ ok: true, same: 'notes' });
  });

  it('that cannot be read say why and leave nothing behind', async () => {
    const id = desk.courses.create('Broken', aBriefInput(), INES);
    const path = join(folder, 'x.pdf');
    writeFileSync(path, '%PDF-1.7 nothing of the kind');
    expect(await desk.sources.addFile(id, path, 'x.pdf', INES)).toMatchObject({ ok: false, problem: { place: 'x.pdf' } });
    expect(await desk.sources.addText(id, 'Empty', '   ', INES)).toMatchObject({ ok: false });
    expect(desk.sources.ofCourse(id)).toEqual([]);
  });
});

describe('archives', () => {
  const shipped = new Uint8Array(file('demo/course/lending-tools-safely.uplift.zip'));
  it('come in by the normal door and go out the same', () => {
    const { id } = importArchive(desk, shipped, INES);
    const first = exportArchive(desk, id);
    expect(first.name).toBe('lending-tools-safely.uplift.zip');
    const copy = importArchive(desk, first.bytes, INES);
    expect(copy.id).not.toBe(id);
    const bare = (course: string) => JSON.stringify(desk.courses.load(course).course).replaceAll(course, 'u');
    expect(bare(copy.id)).toBe(bare(id));
  });

  it('the demo\'s has evidence that resolves, letter by letter', () => {
    const { id } = importArchive(desk, shipped, INES);
    const { course } = desk.courses.load(id);
    const passages = new Map(desk.sources.keys(id).flatMap((key) => desk.sources.read(key.id, key.version)!.source.passages.map((passage) => [passage.id, passage.text] as const)));
    for (const lesson of allLessons(course)) {
      for (const { mark } of lesson.blocks.flatMap((block) => blockTexts(block).flatMap(evidencedSentences))) expect(replay(mark.attrs.passages, (passage) => passages.get(passage)), lesson.title).toBeDefined();
    }
    for (const check of course.checks) for (const range of check.evidence) expect(passages.get(range.id)?.length ?? 0).toBeGreaterThanOrEqual(range.to);
    const row = courseRows(desk, INES).find((each) => each.id === id)!;
    expect(row.states).toMatchObject({ approved: 3, 'for-review': 2 });
    expect(row.minutes).toBeGreaterThan(30);
  });
});
