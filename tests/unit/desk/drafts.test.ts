import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { canonicalJson } from '../../../core/document/canonical';
import { courseMinutes } from '../../../core/brief/sizing';
import { allLessons, placedChecks } from '../../../core/course/course';
import { evidencedSentences, replay } from '../../../core/document/rich-text';
import { blockTexts } from '../../../core/blocks/forms';
import { takeOutline } from '../../../core/course/taking';
import { pagesBeside, swapPage } from '../../../core/course/takes';
import { validateCourse } from '../../../core/course/validate';
import { usesOf } from '../../../core/course/uses';
import { contentHash } from '../../../core/document/id';
import { readArchive } from '../../../core/exchange/archive';
import { contentVersion } from '../../../core/source/assemble';
import { validateSource } from '../../../core/source/validate';
import { duplicate, exportArchive, importArchive } from '../../../server/desk/archive';
import { courseRows } from '../../../server/desk/rows';
import { startDrafting } from '../../../server/jobs/drafting';
import { openInstallation } from '../../../server/utils/installation';
import { inWords } from '../../../server/words/jobs';
import { aBriefInput, aChange, archiveOf, INES, TOM } from '../../data';
import { aText, file, MAKER } from '../../builders';
import { aZip } from '../reading/zips';

const folder = mkdtempSync(join(tmpdir(), 'uplift-drafts-'));
const desk = openInstallation(folder);
beforeAll(() => desk.people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1));
afterAll(async () => {
  await desk.drafter.stop();
  desk.db.close();
  rmSync(folder, { recursive: true, force: true });
});

/** A course with the demo's policy and the given files, its outline drafted and taken. */
const outlined = (...files: string[]) => outlinedFor(aBriefInput(), ...files);
async function outlinedFor(brief: ReturnType<typeof aBriefInput>, ...files: string[]) {
  const id = desk.courses.create('Lending', brief, INES);
  for (const path of files) {
    const added = await desk.sources.addFile(id, path, path.split('/').pop()!, INES);
    expect(added.ok).toBe(true);
  }
  const { nodes, minutes } = await desk.drafter.ask('outline', {
    course: desk.courses.load(id).course,
    sources: desk.sources.keys(id),
  });
  desk.courses.post(
    id,
    takeOutline(desk.courses.load(id).course, nodes).map((operation) => aChange(operation, INES, 'goutlineaaaa')),
    0,
  );
  return { id, minutes };
}

/** Drafts lessons and waits for them. */
async function drafted(id: string, lessons: string[]) {
  startDrafting(desk, id, lessons, INES);
  await desk.jobs.idle();
}

describe('a course on the desk', () => {
  it('is outlined and drafted lesson by lesson, every sentence on its passage', async () => {
    const { id, minutes } = await outlined('demo/files/lending-policy.docx');
    const lessons = allLessons(desk.courses.load(id).course);
    expect(lessons.length).toBeGreaterThan(4);
    expect(
      lessons.every(
        (lesson) => lesson.state === 'blank' && lesson.plannedPassages.length > 0 && minutes[lesson.id] > 0,
      ),
    ).toBe(true);
    await drafted(
      id,
      lessons.map((lesson) => lesson.id),
    );
    const { course } = desk.courses.load(id);
    expect(validateCourse(course)).toEqual([]);
    expect(placedChecks(course).length).toBeGreaterThan(3);
    const passages = new Map(
      desk.sources
        .keys(id)
        .flatMap((key) =>
          desk.sources.read(key.id, key.version)!.source.passages.map((passage) => [passage.id, passage.text] as const),
        ),
    );
    const sentences = allLessons(course).flatMap((lesson) =>
      lesson.blocks.flatMap((block) => blockTexts(block).flatMap(evidencedSentences)),
    );
    expect(sentences.length).toBeGreaterThan(60);
    for (const { mark, text } of sentences)
      expect(replay(mark.attrs.passages, (passage) => passages.get(passage))).toBe(text);
    const again = allLessons(course)[1];
    const undone = desk.courses.takeBack(id, INES, 0, 'undo');
    expect(undone.what).toContain('draft of');
    await drafted(id, [again.id]);
    expect(allLessons(desk.courses.load(id).course)[1].blocks).toEqual(again.blocks);
  });

  it.each([12, 25])('takes the %i minutes asked, and its outline says so before', async (asked) => {
    const brief = aBriefInput();
    const { id, minutes } = await outlinedFor(
      { ...brief, size: { ...brief.size, minutes: asked } },
      'demo/files/lending-policy.docx',
      'demo/files/coordinators-notes.md',
    );
    await drafted(
      id,
      allLessons(desk.courses.load(id).course).map((lesson) => lesson.id),
    );
    const got = courseMinutes(desk.courses.load(id).course);
    expect(Math.abs(got - asked)).toBeLessThanOrEqual(asked * 0.1);
    expect(Math.abs(Object.values(minutes).reduce((sum, each) => sum + each, 0) - got)).toBeLessThanOrEqual(
      asked * 0.05,
    );
  });

  it('never writes over a lesson that was edited while it was drafted: the draft lies beside it, to be taken', async () => {
    const { id } = await outlined('demo/files/coordinators-notes.md');
    const [lesson, other] = allLessons(desk.courses.load(id).course);
    startDrafting(desk, id, [lesson.id, other.id], INES);
    desk.courses.post(
      id,
      [
        aChange({
          type: 'insert',
          kind: 'block',
          parent: lesson.id,
          after: null,
          node: aText('mine', 'My own words.'),
        }),
      ],
      0,
    );
    await desk.jobs.idle();
    const { course } = desk.courses.load(id);
    expect(desk.jobs.ofCourse(id)[0]).toMatchObject({ state: 'done', steps: [{ state: 'kept' }, { state: 'done' }] });
    expect(allLessons(course)[0].blocks).toHaveLength(1);
    const [take] = pagesBeside(course, lesson.id);
    expect(take.value.lesson.blocks.length).toBeGreaterThan(1);
    desk.courses.post(
      id,
      swapPage(course, take, 'tmineaaaaaaaa', MAKER).map((operation) => aChange(operation)),
      0,
    );
    const taken = desk.courses.load(id).course;
    expect(validateCourse(taken)).toEqual([]);
    expect(allLessons(taken)[0].blocks).toEqual(take.value.lesson.blocks);
    expect(pagesBeside(taken, lesson.id).map((each) => each.value.lesson.blocks)).toEqual([
      [aText('mine', 'My own words.')],
    ]);
    const [back] = pagesBeside(taken, lesson.id);
    desk.courses.post(
      id,
      swapPage(taken, back, take.id, MAKER).map((operation) => aChange(operation)),
      0,
    );
    expect(allLessons(desk.courses.load(id).course)[0].blocks).toEqual([aText('mine', 'My own words.')]);
  });

  it('is drafted to the same bytes in one go, and stopped by a crash and gone on with', async () => {
    const { id } = await outlined('demo/files/lending-policy.docx', 'demo/files/coordinators-notes.md');
    const lessons = allLessons(desk.courses.load(id).course).map((lesson) => lesson.id);
    const pinned = desk.courses.pin(id);
    await drafted(id, lessons);
    const bare = (each: typeof desk) => JSON.stringify({ ...each.courses.load(id).course, bin: [] });
    const whole = bare(desk);
    const before = desk.courses.at(id, pinned);

    const copy = mkdtempSync(join(tmpdir(), 'uplift-resumed-'));
    await desk.db.backup(join(copy, 'uplift.sqlite'));
    const clean = openInstallation(copy);
    clean.db.exec(
      "delete from job; delete from job_step; delete from change where course_id = '" +
        id +
        "' and revision > " +
        pinned +
        "; delete from snapshot where course_id = '" +
        id +
        "' and revision > " +
        pinned,
    );
    clean.db.prepare('update course set revision = ? where id = ?').run(pinned, id);
    expect(clean.courses.load(id).course).toEqual(before);
    startDrafting(clean, id, lessons, INES);
    while (clean.jobs.ofCourse(id)[0].steps.filter((step) => step.state === 'done').length < 2)
      await new Promise((go) => setTimeout(go, 5));
    // As a crash: the lesson under way is lost, and nothing more is written.
    clean.jobs.close();
    await clean.jobs.idle();
    await clean.drafter.stop();
    clean.db.close();
    const again = openInstallation(copy);
    const left = again.jobs.ofCourse(id)[0].steps.filter((step) => step.state === 'waiting').length;
    expect(left).toBeGreaterThan(0);
    expect(left).toBeLessThan(lessons.length);
    again.jobs.resume();
    await again.jobs.idle();
    expect(bare(again as typeof desk)).toBe(whole);
    await again.drafter.stop();
    again.db.close();
    rmSync(copy, { recursive: true, force: true });
  });

  it('stops when asked, keeps what is finished, and takes no lesson twice', async () => {
    const { id } = await outlined('demo/files/lending-policy.docx');
    const lessons = allLessons(desk.courses.load(id).course).map((lesson) => lesson.id);
    const heard: string[] = [];
    const leave = desk.news.watch(id, (news) => heard.push(news.kind));
    const job = startDrafting(desk, id, lessons, INES)!;
    expect(startDrafting(desk, id, lessons.slice(0, 2), INES)).toBeUndefined();
    while (!desk.jobs.ofCourse(id)[0].steps.some((step) => step.state === 'done'))
      await new Promise((go) => setTimeout(go, 5));
    desk.jobs.stop(id, job);
    await desk.jobs.idle();
    leave();
    const [ended] = desk.jobs.ofCourse(id);
    expect(ended.state).toBe('stopped');
    const done = ended.steps.filter((step) => step.state === 'done').map((step) => step.item);
    expect(done.length).toBeLessThan(lessons.length);
    expect(
      allLessons(desk.courses.load(id).course)
        .filter((lesson) => lesson.blocks.length > 0)
        .map((lesson) => lesson.id),
    ).toEqual(done);
    expect(new Set(heard)).toEqual(new Set(['job', 'course']));
    expect(() => desk.jobs.stop('unotthiscourse', job)).toThrow('no-such-job');
  });

  it('drafts a lesson written by hand from what fits its title, and says when nothing does', async () => {
    const { id } = await outlined('demo/files/battery-guide.pdf');
    const { course } = desk.courses.load(id);
    const blank = {
      kind: 'lesson' as const,
      objectiveIds: [],
      state: 'blank' as const,
      plannedPassages: [],
      blocks: [],
    };
    desk.courses.post(
      id,
      [
        aChange({
          type: 'insert',
          kind: 'lesson',
          parent: course.modules[0].id,
          after: null,
          node: { ...blank, id: 'lownaaaaaaaaa', title: 'Volcanoes of the southern sea' },
        }),
      ],
      0,
    );
    await drafted(id, ['lownaaaaaaaaa']);
    expect(desk.jobs.ofCourse(id)[0].steps).toMatchObject([{ state: 'failed', problem: { code: 'nothing-to-draft' } }]);
    expect(inWords(desk.jobs.ofCourse(id))[0].steps[0].problem!.message).toMatch(
      /^The sources hold nothing that fits here/,
    );
    expect(() => startDrafting(desk, id, ['lnosuchlesson'], INES)).toThrow('gone');
    expect(() => startDrafting(desk, desk.courses.create('Empty', aBriefInput(), INES), [], INES)).toThrow(
      'no-sources',
    );
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
    expect(usesOf(course).size).toBe(0);
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
    expect(
      await desk.sources.addText(id, 'Pasted', '# Notes\n\nA saw must be wiped with oil before it is hung up.\n', INES),
    ).toMatchObject({ ok: true, same: 'notes' });
    expect(desk.sources.ofCourse(id)).toHaveLength(1);
    expect(desk.sources.detach(id, desk.sources.ofCourse(id)[0].id)).toBe(true);
    expect(await desk.sources.addFile(id, notes, 'notes.md', INES)).toMatchObject({ ok: true, same: 'notes' });
  });

  it('come in a zip, each file for itself, pages together, and what is none is told', async () => {
    const id = desk.courses.create('Zipped', aBriefInput(), INES);
    const path = join(folder, 'all.zip');
    const page = (title: string, words: string) => `<html><body><h1>${title}</h1><p>${words}</p></body></html>`;
    writeFileSync(
      path,
      aZip({
        'notes/returns.md': '# Returns\n\nA member must return every saw clean and dry before noon.\n',
        '../climbs.md': '# Evil\n\nNothing of this may come in.\n',
        'fees.csv': 'tool,fee\nsaw,£4\n',
        'site/index.html': page('Handbook', 'Ask the desk before you open a case.'),
        'site/two.html': page('Keys', 'Keys hang behind the desk and never leave the room.'),
        'inner.zip': aZip({ 'a.md': 'x' }),
        '.hidden.md': 'x',
      }),
    );
    const zip = await desk.sources.addZip(id, path, 'all.zip', INES);
    expect(
      zip.ok && zip.files.map(({ name, added }) => [name, added.ok ? added.source.kind : added.problem.code]),
    ).toEqual([
      ['all', 'html'],
      ['notes/returns.md', 'markdown'],
      ['fees.csv', 'csv'],
      ['inner.zip', 'not-read-here'],
    ]);
    expect(desk.sources.ofCourse(id)).toHaveLength(3);
    writeFileSync(path, aZip({}));
    expect(await desk.sources.addZip(id, path, 'all.zip', INES)).toMatchObject({
      ok: false,
      problem: { code: 'zip-empty' },
    });
    writeFileSync(path, 'no zip');
    expect(await desk.sources.addZip(id, path, 'all.zip', INES)).toMatchObject({
      ok: false,
      problem: { code: 'zip-broken' },
    });
  });

  it('that cannot be read say why and leave nothing behind', async () => {
    const id = desk.courses.create('Broken', aBriefInput(), INES);
    const path = join(folder, 'x.pdf');
    writeFileSync(path, '%PDF-1.7 nothing of the kind');
    expect(await desk.sources.addFile(id, path, 'x.pdf', INES)).toMatchObject({
      ok: false,
      problem: { place: 'x.pdf' },
    });
    expect(await desk.sources.addText(id, 'Empty', '   ', INES)).toMatchObject({ ok: false });
    expect(desk.sources.ofCourse(id)).toEqual([]);
  });
});

describe('archives', () => {
  const shipped = readArchive(new Uint8Array(file('demo/course/lending-tools-safely.uplift.zip')));
  it('come in by the normal door and go out the same', async () => {
    const { id } = importArchive(desk, shipped, INES);
    const first = await archiveOf(desk, id);
    expect(exportArchive(desk, id).name).toBe('lending-tools-safely.uplift.zip');
    const copy = importArchive(desk, readArchive(first), INES);
    expect(copy.id).not.toBe(id);
    const bare = (course: string) => canonicalJson(desk.courses.load(course).course).replaceAll(course, 'u');
    // Its sources are her own already, so the copy stands on them.
    expect(bare(copy.id)).toBe(bare(id));
    expect(desk.sources.keys(copy.id)).toEqual(desk.sources.keys(id));
  });

  it('come in for somebody else with sources of their own, word for word, and every id led on', async () => {
    desk.people.add({ id: TOM, name: 'Tom', login: 'tom', role: 'member' }, 'x.y', 1);
    const { id } = importArchive(desk, shipped, INES);
    const { id: his } = importArchive(desk, readArchive(await archiveOf(desk, id)), TOM);
    const [mine, theirs] = [desk.sources.keys(id), desk.sources.keys(his)];
    expect(theirs.map((key) => key.version)).toEqual(mine.map((key) => key.version));
    expect(theirs.some((key) => mine.some((other) => other.id === key.id))).toBe(false);
    const passages = new Map(
      theirs.flatMap((key) =>
        desk.sources.read(key.id, key.version)!.source.passages.map((passage) => [passage.id, passage.text] as const),
      ),
    );
    const { course } = desk.courses.load(his);
    expect(validateCourse(course)).toEqual([]);
    const sentences = allLessons(course).flatMap((lesson) =>
      lesson.blocks.flatMap((block) => blockTexts(block).flatMap(evidencedSentences)),
    );
    expect(sentences.length).toBeGreaterThan(100);
    for (const { mark } of sentences)
      expect(replay(mark.attrs.passages, (passage) => passages.get(passage))).toBeDefined();
    for (const lesson of allLessons(course))
      expect(lesson.plannedPassages.every((passage) => passages.has(passage))).toBe(true);
  });

  it('keep their words and keys, whatever the course is called inside', () => {
    const text = JSON.stringify(shipped.document.course).replaceAll(shipped.document.course.id, 'paragraphs');
    const course = JSON.parse(text) as typeof shipped.document.course;
    const block = course.modules[0].lessons[0].blocks.find((each) => each.kind === 'callout' || each.kind === 'text')!;
    course.modules[0].lessons[0].blocks = [
      { id: block.id, kind: 'callout', body: { tone: 'note', paragraphs: [[{ type: 'text', text: 'paragraphs' }]] } },
    ];
    const { id } = importArchive(desk, { document: { ...shipped.document, course }, media: new Map() }, INES);
    expect(desk.courses.load(id).course.modules[0].lessons[0].blocks[0].body).toEqual({
      tone: 'note',
      paragraphs: [[{ type: 'text', text: 'paragraphs' }]],
    });
    expect(validateCourse(desk.courses.load(id).course)).toEqual([]);
    expect(courseRows(desk, INES).some((row) => row.id === id)).toBe(true);
  });

  it('bring the pictures of their sources along, and take them out again', async () => {
    const bytes = new Uint8Array(600).fill(9);
    const hash = contentHash(bytes);
    const [first, ...others] = shipped.document.sources;
    const pictured = {
      ...first,
      title: 'With a picture',
      pictures: [{ hash, type: 'image/png', alt: 'A pack', near: first.passages[0].id }],
    };
    const sources = [{ ...pictured, version: contentVersion(pictured) }, ...others];
    const { id } = importArchive(
      desk,
      { document: { ...shipped.document, sources }, media: new Map([[hash, bytes]]) },
      INES,
    );
    const out = readArchive(await archiveOf(desk, id));
    expect(out.media.get(hash)).toEqual(bytes);
    const [held] = out.document.sources;
    expect(held.pictures).toEqual([{ hash, type: 'image/png', alt: 'A pack', near: held.passages[0].id }]);
    expect(validateSource(held)).toEqual([]);
  });

  it('of a course that is here make it once more: on the same sources, without its releases, and the first untouched', () => {
    const { id } = importArchive(desk, shipped, INES);
    const before = JSON.stringify(desk.courses.load(id).course);
    const shelf = desk.sources.shelf(INES).length;
    const copy = duplicate(desk, id, 'Lending once more', INES);
    expect(copy.id).not.toBe(id);
    const { course } = desk.courses.load(copy.id);
    expect(validateCourse(course)).toEqual([]);
    expect([course.title, allLessons(course).length, course.checks.length]).toEqual([
      'Lending once more',
      allLessons(shipped.document.course).length,
      shipped.document.course.checks.length,
    ]);
    expect(desk.sources.keys(copy.id)).toEqual(desk.sources.keys(id));
    expect(desk.sources.shelf(INES)).toHaveLength(shelf);
    expect(courseRows(desk, INES).find((row) => row.id === copy.id)).toMatchObject({
      learners: 0,
      toChoose: 0,
      revision: 0,
    });
    expect(courseRows(desk, INES).find((row) => row.id === copy.id)!.release).toBeUndefined();
    // Somebody who may only read the sources gets copies of their own.
    const toms = duplicate(desk, id, 'For Tom', TOM);
    expect(
      desk.sources.keys(toms.id).some(({ id: source }) => desk.sources.keys(id).some((key) => key.id === source)),
    ).toBe(false);
    expect(JSON.stringify(desk.courses.load(id).course)).toBe(before);
  });

  it('that fail on the way leave nothing behind', () => {
    const before = [desk.courses.list(INES).length, desk.sources.shelf(INES).length];
    const [source] = shipped.document.sources;
    const twice = {
      ...shipped.document,
      sources: [
        { ...source, title: 'One' },
        { ...source, title: 'Two', pictures: null as never },
      ],
    };
    expect(() => importArchive(desk, { document: twice, media: new Map() }, INES)).toThrow();
    expect([desk.courses.list(INES).length, desk.sources.shelf(INES).length]).toEqual(before);
  });

  it("the demo's has evidence that resolves, letter by letter", () => {
    const { id } = importArchive(desk, shipped, INES);
    const { course } = desk.courses.load(id);
    const passages = new Map(
      desk.sources
        .keys(id)
        .flatMap((key) =>
          desk.sources.read(key.id, key.version)!.source.passages.map((passage) => [passage.id, passage.text] as const),
        ),
    );
    for (const lesson of allLessons(course)) {
      for (const { mark } of lesson.blocks.flatMap((block) => blockTexts(block).flatMap(evidencedSentences)))
        expect(
          replay(mark.attrs.passages, (passage) => passages.get(passage)),
          lesson.title,
        ).toBeDefined();
    }
    for (const check of course.checks)
      for (const range of check.evidence) expect(passages.get(range.id)?.length ?? 0).toBeGreaterThanOrEqual(range.to);
    const row = courseRows(desk, INES).find((each) => each.id === id)!;
    expect(row.states).toMatchObject({ approved: 3, 'for-review': 2 });
    expect(row.minutes).toBeGreaterThan(30);
  });
});
