import { describe, expect, it } from 'vitest';
import { compareCourses } from '../../../core/course/comparison';
import { mergedValue } from '../../../core/course/conflicts';
import type { Course } from '../../../core/course/course';
import { placeLessons } from '../../../core/course/gestures';
import { applyAll, type Operation } from '../../../core/course/operations';
import { aCourse, aLesson, anId, aText } from '../../builders';

const then = aCourse();
function after(...operations: Operation[]): Course {
  const made = applyAll(then, operations);
  if (!made.ok) throw new Error(made.problem.code);
  return made.course;
}
const lesson = (now: Course, title: string) =>
  compareCourses(then, now).lessons.find((each) => each.id === anId(title))!;

describe('two states of a course', () => {
  it('that are the same have no difference', () => {
    const { lessons, course } = compareCourses(then, aCourse());
    expect(lessons.map((each) => [each.kind, each.moved])).toEqual(Array.from({ length: 4 }, () => ['same', false]));
    expect(course).toEqual([]);
  });

  it('differ in words, checks and states, lesson by lesson', () => {
    const block = then.modules[0].lessons[0].blocks[0];
    const now = after(
      {
        type: 'set',
        id: block.id,
        field: 'body',
        value: { text: [{ type: 'text', text: 'Other words.' }] },
        was: block.body,
      },
      { type: 'set', id: anId('check'), field: 'stem', value: 'What now?', was: 'What of check?' },
      { type: 'set', id: anId('First one'), field: 'state', value: 'approved', was: 'drafted' },
    );
    expect(lesson(now, 'First one')).toMatchObject({
      kind: 'changed',
      moved: false,
      words: [{ before: 'Words of First one.', after: 'Other words.' }],
      checks: [{ id: anId('check') }],
      state: { before: 'drafted', after: 'approved' },
    });
    expect(lesson(now, 'First two').kind).toBe('same');
  });

  it('name what came, went, and stands elsewhere; only what was moved counts as moved', () => {
    const now = after(
      { type: 'remove', id: anId('Second two') },
      {
        type: 'insert',
        kind: 'lesson',
        parent: anId('First'),
        after: null,
        node: aLesson('Fresh', [aText('fresh', 'Fresh.')]),
      },
      ...placeLessons([anId('First one')], anId('Second'), anId('Second one')),
    );
    const { lessons } = compareCourses(then, now);
    expect(lessons.map((each) => [each.title, each.kind, each.moved])).toEqual([
      ['Fresh', 'added', false],
      ['First two', 'same', false],
      ['Second one', 'same', false],
      ['First one', 'same', true],
      ['Second two', 'gone', false],
    ]);
  });

  it('tell another order of parts, and what differs outside of lessons', () => {
    const now = after(
      { type: 'move', id: anId('First one-b2'), parent: anId('First one'), after: null },
      { type: 'set', id: anId('First'), field: 'purpose', value: 'Begin', was: '' },
      { type: 'remove', id: anId('offer') },
      { type: 'set', id: then.id, field: 'title', value: 'B', was: 'A course' },
    );
    expect(lesson(now, 'First one')).toMatchObject({ order: true, words: [] });
    expect(compareCourses(then, now).course.map((each) => [each.what, each.before.split('\n')[0], each.after])).toEqual(
      [
        ['title', 'A course', 'B'],
        ['module', 'First', 'First: Begin'],
        ['offer', 'What of offer?', ''],
      ],
    );
  });
});

describe('a value changed in two places', () => {
  const was = { a: 1, b: { c: 'x', d: ['y'] } };
  it('is joined where the changes are of different parts, at any depth', () => {
    expect(mergedValue(was, { a: 2, b: was.b }, { a: 1, b: { c: 'x', d: ['z'] } })).toEqual({
      value: { a: 2, b: { c: 'x', d: ['z'] } },
    });
    expect(mergedValue(was, { b: was.b }, { ...was, e: 5 })).toEqual({ value: { b: was.b, e: 5 } });
  });
  it('is not where both changed the same part', () => {
    expect(mergedValue(was, { ...was, a: 2 }, { ...was, a: 3 })).toBeUndefined();
    expect(mergedValue(['x'], ['x', 'y'], ['z'])).toBeUndefined();
    expect(mergedValue('x', 'y', 'y')).toEqual({ value: 'y' });
  });
});
