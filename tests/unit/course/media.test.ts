import { describe, expect, it } from 'vitest';
import type { Block } from '../../../core/blocks/forms';
import type { Course, Medium } from '../../../core/course/course';
import { creditsOf, layOnShelf, replaceMedia, shelfOf } from '../../../core/course/media';
import { applyAll, type Operation } from '../../../core/course/operations';
import { operationsTo } from '../../../core/course/return';
import { restore } from '../../../core/course/restore';
import { validateCourse } from '../../../core/course/validate';
import { mediaRefs, type PictureRef } from '../../../core/document/media';
import { freezeCourse } from '../../../core/learning/view';
import { aCourse, anId } from '../../builders';

const hash = (name: string) => name.repeat(64).slice(0, 64);
const ref = (name: string, width = 640): PictureRef => ({ hash: hash(name), type: 'image/png', width, height: 480 });
const shown = (id: string, picture: PictureRef, more: object = {}): Block => ({
  id: anId(id),
  kind: 'picture',
  body: { picture, alt: '', caption: [], ...more },
});
const medium = (name: string, more: Partial<Medium> = {}): Medium => ({
  id: anId(`medium ${name}`),
  file: { ...ref(name), bytes: 99 },
  name: `${name}.png`,
  ...more,
});
function done(course: Course, operations: readonly Operation[]): Course {
  const made = applyAll(course, operations);
  if (!made.ok) throw new Error(made.problem.code);
  return made.course;
}

describe('the shelf', () => {
  const course = aCourse();
  const [lesson] = course.modules[0].lessons;
  lesson.blocks.push(shown('p1', ref('a'), { alt: 'A bench' }), shown('p2', ref('b'), { decorative: true }));

  it('has what lies on it, what stands on pages, and what each shows', () => {
    const laid = done(course, layOnShelf(course, medium('a')));
    expect(validateCourse(laid)).toEqual([]);
    expect(layOnShelf(laid, medium('a'))).toEqual([]);
    const more = done(laid, layOnShelf(laid, medium('c', { alt: 'A till' })));
    expect(shelfOf(more).map(({ name, alt, uses }) => [name, alt, uses.length])).toEqual([
      ['a.png', 'A bench', 1],
      ['c.png', 'A till', 0],
      ['', '', 1],
    ]);
    expect(shelfOf(more)[0].uses).toEqual([{ lesson: lesson.id, block: anId('p1') }]);
    // An archive takes along what is kept.
    expect(mediaRefs(more).map((each) => each.hash)).toContain(hash('c'));
  });

  it('gives up what is thrown away to the bin, which gives it back; going back in time does the same', () => {
    const laid = done(course, [...layOnShelf(course, medium('a')), ...layOnShelf(course, medium('a'))].slice(0, 1));
    const gone = done(laid, [{ type: 'remove', id: medium('a').id }]);
    expect(gone.media).toBeUndefined();
    expect(done(gone, restore(gone, medium('a').id)).media).toEqual(laid.media);
    expect(done(gone, operationsTo(gone, laid)).media).toEqual(laid.media);
  });

  it('shows another file wherever one stands, what is said of it kept, as one gesture that is undone', () => {
    const operations = replaceMedia(course, hash('a'), { ...ref('c', 900), bytes: 5 });
    const made = applyAll(course, operations);
    if (!made.ok) throw new Error(made.problem.code);
    const block = made.course.modules[0].lessons[0].blocks.find(({ id }) => id === anId('p1'));
    expect(block?.body).toEqual({ picture: ref('c', 900), alt: 'A bench', caption: [] });
    expect(done(made.course, made.inverses)).toEqual(course);
    expect(replaceMedia(course, hash('f'), ref('c'))).toEqual([]);
  });

  it('says whose a file is to learners where that is asked for, and only of what they see', () => {
    const whose = { credit: 'Tessa Brand', licence: 'CC BY 4.0', credited: true } as const;
    let more = done(course, layOnShelf(course, medium('a', whose)));
    more = done(more, layOnShelf(more, medium('b', { credit: 'Kept to us' })));
    more = done(more, layOnShelf(more, medium('c', whose)));
    expect(Object.keys(creditsOf(more))).toEqual([hash('a'), hash('c')]);
    expect(freezeCourse(more, 's').view.credits).toEqual({ [hash('a')]: 'Tessa Brand, CC BY 4.0' });
  });

  it('leaves out of what learners get whatever holds nothing yet', () => {
    const empty = structuredClone(course);
    empty.modules[0].lessons[0].blocks.push(
      { id: anId('e1'), kind: 'gallery', body: { pictures: [], show: 'grid' } },
      { id: anId('e2'), kind: 'files', body: { files: [] } },
      { id: anId('e3'), kind: 'clip', body: { title: 'To come', caption: '', cues: [] } },
    );
    const kinds = freezeCourse(empty, 's').view.modules[0].lessons[0].blocks.map(({ kind }) => kind);
    expect(kinds).not.toContain('gallery');
    expect(kinds).not.toContain('files');
    expect(kinds).not.toContain('clip');
  });
});
