import { describe, expect, it } from 'vitest';
import { courseMinutes, lessonDemand, lessonMinutes } from '../../core/brief/sizing';
import { allLessons, type Lesson } from '../../core/course/course';
import { blockTexts, type Block } from '../../core/blocks/forms';
import { turnBlocks, TURNABLE } from '../../core/blocks/turn';
import { evidencedSentences, textOf } from '../../core/document/rich-text';
import { readArchive } from '../../core/exchange/archive';
import { drawProfile, type ProfileModule } from '../../core/picture/profile';
import { aLesson, anId, aText, file } from '../builders';

const { document } = readArchive(file('demo/course/lending-tools-safely.uplift.zip'));
const { course } = document;
const posts = (lesson: Lesson) => lesson.blocks.filter((block) => block.kind === 'check').length;
const modules: ProfileModule[] = course.modules.map((module) => ({
  title: module.title,
  lessons: module.lessons.map((lesson) => ({
    id: lesson.id,
    title: lesson.title,
    minutes: lessonMinutes(lesson),
    demand: lessonDemand(lesson, course, 9),
    checks: posts(lesson),
  })),
}));

describe('the demo course as a drawing', () => {
  const drawing = drawProfile(modules, 900, 140);
  const numbers = [...drawing.line.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(
    (match) => [Number(match[1]), Number(match[2])] as const,
  );

  it('has a segment for each lesson and a post for each check', () => {
    expect(drawing.segments.map((segment) => segment.id)).toEqual(allLessons(course).map((lesson) => lesson.id));
    expect(drawing.posts).toHaveLength(allLessons(course).reduce((sum, lesson) => sum + posts(lesson), 0));
  });
  it('stays inside its sheet, from edge to edge, and never turns back', () => {
    expect([numbers[0][0], numbers.at(-1)![0]]).toEqual([0, 900]);
    expect(numbers.every(([x, y], at) => y > 0 && y < drawing.ground && (at === 0 || x >= numbers[at - 1][0]))).toBe(
      true,
    );
  });
  it('joins neighbours: a segment begins where the one before ended', () => {
    const segments = drawing.segments;
    segments.slice(1).forEach((segment, at) => expect(segment.x).toBeCloseTo(segments[at].x + segments[at].width, 1));
    expect(drawing.modules.reduce((sum, module) => sum + module.width, 0)).toBeCloseTo(900, 0);
  });
  it('is the same at twice the width, but for the scale across', () => {
    const wide = drawProfile(modules, 1800, 140);
    wide.segments.forEach((segment, at) =>
      expect(Math.abs(segment.width - 2 * drawing.segments[at].width)).toBeLessThan(0.5),
    );
    expect(wide.segments.map((segment) => segment.top)).toEqual(drawing.segments.map((segment) => segment.top));
  });
});

describe('sizes add up', () => {
  it('the course is as long as its lessons', () =>
    expect(courseMinutes(course)).toBeCloseTo(
      modules.flatMap((module) => module.lessons).reduce((sum, lesson) => sum + lesson.minutes, 0),
      5,
    ));
  it('a longer page takes longer, a question more', () => {
    const [short, long] = [20, 200].map((words) => aLesson('x', [aText('a', 'word '.repeat(words).trim())]));
    expect(lessonMinutes(long)).toBeGreaterThan(lessonMinutes(short));
    const withCheck = allLessons(course).find((lesson) => posts(lesson) > 0)!;
    expect(
      lessonMinutes({ ...withCheck, blocks: withCheck.blocks.filter((block) => block.kind !== 'check') }),
    ).toBeLessThan(lessonMinutes(withCheck));
  });
});

const textsOf = (all: Block[]): string => all.flatMap(blockTexts).map(textOf).join(' ');

describe("turning the demo's blocks", () => {
  const blocks = allLessons(course).flatMap((lesson) => lesson.blocks);
  it.each(TURNABLE)('into %s keeps every word and every mark of evidence', (kind) => {
    let next = 0;
    for (const block of blocks) {
      const turned = turnBlocks([block], kind, () => anId(`turned${next++}`));
      const marks = (all: typeof turned) =>
        all
          .flatMap(blockTexts)
          .flatMap(evidencedSentences)
          .map(({ mark, text }) => `${mark.attrs.id} ${text}`);
      expect(marks(turned)).toEqual(marks([block]));
      const said = textsOf(turned);
      for (const words of textsOf([block]).split(/\s+/)) expect(said).toContain(words);
      expect(turned[0].id).toBe(block.id);
    }
  });
  it('and back again gives lists their words in order', () => {
    const list = blocks.find((block) => block.kind === 'list')!;
    const there = turnBlocks([list], 'steps', () => anId('never'));
    expect(
      turnBlocks([there[0]], 'list', () => anId('never'))
        .flatMap(blockTexts)
        .map(textOf),
    ).toEqual(blockTexts(list).map(textOf));
  });
});
