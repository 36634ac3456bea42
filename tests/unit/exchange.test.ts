import { describe, expect, it } from 'vitest';
import { parseHTML } from 'linkedom';
import { allLessons } from '../../core/course/course';
import { contentHash } from '../../core/document/id';
import { plainRun } from '../../core/document/rich-text';
import { ProblemError } from '../../core/document/problem';
import { draftCourse } from '../../core/draft';
import { readArchive, writeArchive } from '../../core/exchange/archive';
import { courseDocument, type CourseDocument } from '../../core/exchange/document';
import { writeReadingPage } from '../../core/exchange/html';
import { drawProfile } from '../../core/picture/profile';
import { aBrief, aCourse, aLesson, anId, english, knowing, file } from '../builders';
import { aZip } from './reading/zips';

const knowledge = await knowing(new TextDecoder().decode(file('demo/sources/battery-guide.md')), 'battery-guide.md');
const made = draftCourse(aBrief(), [knowledge], 'Batteries');
const document: CourseDocument = courseDocument(made.course, [knowledge.source], knowledge.claims, english());

const codeOf = (bytes: Uint8Array): string => {
  try {
    readArchive(bytes);
    return 'read';
  } catch (error) {
    return error instanceof ProblemError ? error.problem.code : String(error);
  }
};

describe('the archive', () => {
  it('read back and written again gives the same bytes', () => {
    const picture = new Uint8Array(900).fill(7);
    const source = {
      ...knowledge.source,
      pictures: [{ hash: contentHash(picture), type: 'image/png', alt: 'A pack' }],
    };
    const bytes = writeArchive({ ...document, sources: [source] }, new Map([[contentHash(picture), picture]]));
    const { document: back, media } = readArchive(bytes);
    expect(back.course).toEqual(document.course);
    expect(back.claims).toEqual(document.claims);
    expect([...media.values()]).toEqual([picture]);
    expect(writeArchive(back, media)).toEqual(bytes);
  });

  it('of version 1 is read, its takes saying what is known of them, and what it should not hold mended', () => {
    const { document: old } = readArchive(new Uint8Array(file('tests/fixtures/archive-1.uplift.zip')));
    expect(old.version).toBe(10);
    expect(old.course.takes).toMatchObject([{ value: 'Another name', made: { at: 0, by: '', why: 'kept' } }]);
    const damaged = {
      ...aCourse(),
      checks: aCourse().checks.slice(1),
      takes: [{ id: anId('t'), of: anId('First one'), field: 'page', value: { lesson: 7 } }],
      bin: [{}],
    };
    const mended = readArchive(aZip({ 'manifest.json': manifest(), 'course.json': JSON.stringify(damaged) })).document
      .course;
    expect(mended.modules[0].lessons[0].blocks.map((block) => block.kind)).toEqual(['text', 'text']);
    expect([mended.takes, mended.bin]).toEqual([[], []]);
  });

  it('of version 2 is read as it is', () => {
    const { document: old } = readArchive(new Uint8Array(file('tests/fixtures/archive-2.uplift.zip')));
    expect(old.version).toBe(10);
    expect(allLessons(old.course).length).toBe(22);
    expect(old.course.leftOut).toBeUndefined();
  });

  const manifest = (changes: object = {}) =>
    JSON.stringify({ format: 'uplift-course', version: 1, course: 'x', sources: [], ...changes });
  it.each([
    ['words', new TextEncoder().encode('words'), 'zip-broken'],
    ['another zip', aZip({ 'a.txt': 'x' }), 'not-an-archive'],
    ['a newer one', aZip({ 'manifest.json': manifest({ version: 99 }) }), 'newer-archive'],
    ['one without its course', aZip({ 'manifest.json': manifest() }), 'bad-document'],
    [
      'one with a damaged course',
      aZip({ 'manifest.json': manifest(), 'course.json': JSON.stringify({ ...aCourse(), title: 7 }) }),
      'bad-document',
    ],
    ['one with text that is no JSON', aZip({ 'manifest.json': '{' }), 'bad-document'],
    [
      'one whose source is missing',
      aZip({ 'manifest.json': manifest({ sources: [anId('s')] }), 'course.json': JSON.stringify(aCourse()) }),
      'bad-document',
    ],
    [
      'one whose picture was changed',
      aZip({
        'manifest.json': manifest(),
        'course.json': JSON.stringify(aCourse()),
        [`media/${'0'.repeat(64)}.png`]: 'x',
      }),
      'bad-document',
    ],
    ['a sound one', aZip({ 'manifest.json': manifest(), 'course.json': JSON.stringify(aCourse()) }), 'read'],
  ])('refuses %s', (_, bytes, code) => expect(codeOf(bytes)).toBe(code));
});

describe('the reading page', () => {
  const page = parseHTML(
    writeReadingPage(
      document,
      [
        {
          sourceId: anId('s'),
          topic: 'Log',
          reason: 'size',
          passages: [],
          text: 'Ladders go back first.',
          words: 4,
          kinds: { limit: 2, exception: 1 },
        },
      ],
      '',
    ),
  ).document;

  it('has every lesson, and every sentence a click from its passage', () => {
    expect(page.querySelectorAll('article')).toHaveLength(
      made.course.modules.flatMap((module) => module.lessons).length,
    );
    const links = [...page.querySelectorAll('a.from')];
    expect(links.length).toBeGreaterThan(50);
    for (const link of links) expect(page.getElementById(link.getAttribute('href')!.slice(1))).not.toBeNull();
  });

  it('shows the passage with the words that stand on it', () => {
    const link = [...page.querySelectorAll('article p a.from')][0];
    expect(
      page.getElementById(link.getAttribute('href')!.slice(1))!.querySelector('blockquote')!.textContent,
    ).toContain(link.textContent);
  });

  it('escapes whatever the author wrote', () => {
    const course = aCourse();
    course.title = '<script>alert(1)</script>';
    course.modules[0].lessons[0] = aLesson('"><img src=x onerror=alert(1)>', [
      { id: anId('evil'), kind: 'text', body: { text: plainRun('</style><script>x</script>') } },
    ]);
    const html = writeReadingPage(courseDocument(course, [], [], english()), [], '');
    expect(html).not.toMatch(/<script|<img/);
    expect(html).toContain('&lt;script&gt;');
  });

  it('asks nothing of any network and runs nothing', () => {
    const html = writeReadingPage(document, [], '');
    expect(html).not.toMatch(/<script|<link|src=|url\(http|@import/);
  });

  it('says of what somebody tells that it is told, in the language of the course', () => {
    for (const [language, words] of [
      ['en', 'From experience'],
      ['de', 'Aus Erfahrung'],
    ]) {
      const course = { ...aCourse(), language };
      course.modules[0].lessons[0] = aLesson('Told', [
        { id: anId('t'), kind: 'callout', body: { tone: 'experience', paragraphs: [plainRun('I wait.')] } },
      ]);
      expect(writeReadingPage(courseDocument(course, [], [], english()), [], '')).toContain(
        `<div class="up-callout up-experience" role="note"><p class="up-label">${words}</p><p>I wait.</p></div>`,
      );
    }
  });

  it('nests lists as deep as they are', () => {
    const item = (depth: number, text: string) => ({ depth, text: plainRun(text) });
    const course = aCourse();
    course.modules[0].lessons[0] = aLesson('List', [
      {
        id: anId('l'),
        kind: 'list',
        body: { ordered: false, items: [item(0, 'a'), item(1, 'b'), item(3, 'c'), item(0, 'd')] },
      },
    ]);
    const html = writeReadingPage(courseDocument(course, [], [], english()), [], '');
    expect(html).toContain('<ul><li>a<ul><li>b<ul><li>c</li></ul></li></ul></li><li>d</li></ul>');
  });
});

describe('the path profile', () => {
  const lesson = (minutes: number, demand: number, checks = 0) => ({ id: 'l', title: 'L', minutes, demand, checks });
  const drawing = drawProfile(
    [
      { title: 'One', lessons: [lesson(1, 2, 2), lesson(3, 8)] },
      { title: 'Two', lessons: [lesson(4, 5)] },
    ],
    800,
    120,
  );

  it('is as long as the minutes and as high as the demand', () => {
    expect(drawing.segments.map((segment) => segment.width)).toEqual([100, 300, 400]);
    expect(drawing.modules.map((module) => module.width)).toEqual([400, 400]);
    const height = (at: number) => Number(/L[\d.]+,[\d.]+ L[\d.]+,([\d.]+)/.exec(drawing.segments[at].path)![1]);
    expect(height(1)).toBeLessThan(height(2));
    expect(height(2)).toBeLessThan(height(0));
  });

  it('has a post for each check', () => expect(drawing.posts).toHaveLength(2));
  it('draws a course of nothing', () => expect(drawProfile([], 800, 120).segments).toEqual([]));
});
