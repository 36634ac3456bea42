import { describe, expect, it } from 'vitest';
import { contentHash } from '../../core/document/id';
import { mediaName, mediaRefs, type PictureRef } from '../../core/document/media';
import { ProblemError } from '../../core/document/problem';
import { inspectPicture, PICTURE_LIMITS } from '../../core/media/inspect';
import type { Course } from '../../core/course/course';
import { readArchive, writeArchive } from '../../core/exchange/archive';
import { courseDocument } from '../../core/exchange/document';
import { writeReadingPage } from '../../core/exchange/html';
import { writePackage } from '../../core/exchange/package';
import { USUAL_RULES } from '../../core/learning/rules';
import { freezeCourse } from '../../core/learning/view';
import { duplicate, importArchive } from '../../server/desk/archive';
import { openInstallation } from '../../server/utils/installation';
import { parseHTML } from 'linkedom';
import { unzipSync } from 'fflate';
import { aCourse, anId } from '../builders';
import { aPng } from '../pictures';
import { aChange, aFolder, archiveOf, INES } from '../data';

const codeOf = (work: () => unknown): string => {
  try {
    work();
    return 'nothing';
  } catch (error) {
    return error instanceof ProblemError ? error.problem.code : String(error);
  }
};
const aBlock = (ref: PictureRef) => ({
  id: anId('shown'),
  kind: 'picture' as const,
  body: {
    picture: { hash: ref.hash, type: ref.type, width: ref.width, height: ref.height },
    alt: 'A shed',
    caption: [{ type: 'text' as const, text: 'In spring' }],
  },
});
const withPicture = (ref: PictureRef): Course => {
  const course = aCourse();
  course.modules[0].lessons[0].blocks.push(aBlock(ref));
  return course;
};

describe('a picture', () => {
  it('is what its bytes say, whatever it is called', () => {
    const bytes = aPng(4, 3);
    expect(inspectPicture(bytes, 'holiday.pdf')).toEqual({
      hash: contentHash(bytes),
      type: 'image/png',
      width: 4,
      height: 3,
    });
  });
  it.each([
    ['words', new TextEncoder().encode('just words')],
    ['a page', new TextEncoder().encode('<html><script>alert(1)</script></html>')],
    [
      'a drawing that can hold a script',
      new TextEncoder().encode('<svg xmlns="http://www.w3.org/2000/svg" width="4" height="4"><script/></svg>'),
    ],
    ['nothing', new Uint8Array()],
    ['a cut one', aPng(4, 3).slice(0, 12)],
    ['one of no size', aPng(1, 1, { width: 0, height: 5 })],
  ])('is not %s', (_, bytes) => expect(codeOf(() => inspectPicture(bytes, 'x.png'))).toBe('no-picture'));
  it('is refused by what its header says, before anything is unpacked', () => {
    const bomb = aPng(2, 2, { width: 60_000, height: 60_000 });
    expect(bomb.length).toBeLessThan(200);
    expect(codeOf(() => inspectPicture(bomb, 'x.png'))).toBe('picture-too-big');
    const heavy = new Uint8Array(PICTURE_LIMITS.bytes + 1);
    heavy.set(aPng(4, 3));
    expect(codeOf(() => inspectPicture(heavy, 'x.png'))).toBe('file-too-big');
  });
});

describe('what a document shows', () => {
  const ref = inspectPicture(aPng(4, 3), 'a.png');
  it('is found wherever it stands: on pages, in takes, in the bin; each once', () => {
    const other = inspectPicture(aPng(5, 3), 'b.png');
    const course = withPicture(ref);
    course.bin.push({ kind: 'block', parent: anId('First one'), after: null, node: aBlock(other) });
    course.modules[0].lessons[1].blocks.push({ ...aBlock(ref), id: anId('again') });
    expect(
      mediaRefs(course)
        .map(({ hash }) => hash)
        .sort(),
    ).toEqual([ref.hash, other.hash].sort());
    expect(mediaRefs({ hash: 'no hash', type: 'image/png' })).toEqual([]);
    expect(mediaRefs({ hash: ref.hash, type: 'text/html' })).toEqual([]);
  });
  it('goes along in archives, packages and on the reading page, and nothing else does', () => {
    const course = withPicture(ref);
    const [bytes, stranger] = [aPng(4, 3), aPng(9, 9)];
    const media = new Map([
      [ref.hash, bytes],
      [contentHash(stranger), stranger],
    ]);
    const document = courseDocument(course, [], [], {});
    const back = readArchive(writeArchive(document, media));
    expect([...back.media]).toEqual([[ref.hash, bytes]]);
    expect(mediaRefs(back.document.course)).toEqual([expect.objectContaining({ hash: ref.hash })]);
    const released = { id: 'rabcdefghij2', number: 1, rules: USUAL_RULES, frozen: freezeCourse(course, 's') };
    const player = { script: new Uint8Array([1]), style: new Uint8Array([1]), faces: new Map(), notices: '' };
    for (const format of ['html', 'scorm12', 'scorm2004'] as const) {
      const files = unzipSync(writePackage(released, format, player, media));
      expect(files[`media/${mediaName(ref)}`]).toEqual(bytes);
      expect(Object.keys(files).filter((name) => name.startsWith('media/'))).toHaveLength(1);
      if (format !== 'html')
        expect(new TextDecoder().decode(files['imsmanifest.xml'])).toContain(`media/${mediaName(ref)}`);
    }
    const image = parseHTML(writeReadingPage(document, [], '', media)).document.querySelector('.up-picture img')!;
    expect(image.getAttribute('src')).toBe(`data:image/png;base64,${Buffer.from(bytes).toString('base64')}`);
    expect(image.getAttribute('alt')).toBe('A shed');
  });
});

describe('media of a data folder', () => {
  const opened = () => {
    const desk = openInstallation(aFolder());
    desk.people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1);
    return { ...desk, id: desk.courses.adopt(aCourse(), INES) };
  };

  it('are taken in once, and are the course’s that was given them', () => {
    const desk = opened();
    const other = desk.courses.create('Another', desk.courses.load(desk.id).course.brief, INES);
    const added = desk.media.add(desk.id, aPng(4, 3), 'a.png', INES);
    expect(desk.media.add(desk.id, aPng(4, 3), 'again.png', INES)).toEqual(added);
    expect(desk.media.ofCourse(desk.id)).toHaveLength(1);
    expect(desk.media.get(desk.id, added.hash)).toMatchObject({ name: 'a.png', type: 'image/png', bytes: added.bytes });
    expect(codeOf(() => desk.media.get(other, added.hash))).toBe('no-such-media');
    // Naming it in a document gives nobody a file of another course.
    expect(desk.media.laidOf(other, [aBlock(added as PictureRef)])).toEqual(new Map());
    desk.db.close();
  });

  it('are shown by a release that has them, and go through an archive into another course', async () => {
    const desk = opened();
    const added = desk.media.add(desk.id, aPng(4, 3), 'a.png', INES);
    const [lesson] = desk.courses.load(desk.id).course.modules[0].lessons;
    desk.courses.post(
      desk.id,
      [
        aChange({
          type: 'insert',
          kind: 'block',
          parent: lesson.id,
          after: lesson.blocks.at(-1)!.id,
          node: aBlock(added as PictureRef),
        }),
      ],
      0,
    );
    const release = desk.releases.make(desk.id, { note: '', access: 'link', rules: USUAL_RULES, move: false }, INES);
    expect(desk.releases.shows(release.id, added.hash)).toBe(true);
    expect(desk.releases.shows(release.id, 'f'.repeat(64))).toBe(false);
    const { id } = importArchive(desk, readArchive(await archiveOf(desk, desk.id)), INES);
    expect(desk.media.ofCourse(id)).toMatchObject([{ hash: added.hash, width: 4 }]);
    desk.db.close();
  });

  it('of all sorts are looked at elsewhere, taken in without what a camera wrote, shared, and go along whole', async () => {
    const desk = opened();
    const other = desk.courses.create('Another', desk.courses.load(desk.id).course.brief, INES);
    const film = await desk.media.take(desk.id, 'tests/fixtures/media/turning.webm', 'turning.webm', INES);
    expect(film).toMatchObject({ type: 'video/webm', width: 320, height: 180, name: 'turning.webm' });
    await expect(desk.media.take(desk.id, 'package.json', 'package.json', INES)).rejects.toMatchObject({
      problem: { code: 'media-kind' },
    });
    expect(desk.media.share(desk.id, other, film.hash, INES)).toMatchObject({ hash: film.hash, seconds: film.seconds });
    expect(desk.media.get(other, film.hash).name).toBe('turning.webm');

    const { hash, type, width, height, seconds, bytes } = film;
    const node = { id: anId('film'), file: { hash, type, width, height, seconds, bytes }, name: 'How it turns' };
    desk.courses.post(desk.id, [aChange({ type: 'insert', kind: 'medium', parent: desk.id, after: null, node })], 0);
    const { id } = importArchive(desk, readArchive(await archiveOf(desk, desk.id)), INES);
    expect(desk.media.ofCourse(id)).toMatchObject([{ hash, seconds, width, bytes, name: 'How it turns' }]);
    const copy = duplicate(desk, desk.id, 'Once more', INES);
    expect(desk.media.get(copy.id, hash).bytes).toBe(bytes);
    desk.db.close();
  });
});
