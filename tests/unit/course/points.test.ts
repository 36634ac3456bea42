import { describe, expect, it } from 'vitest';
import { allLessons, type Course, type Lesson } from '../../../core/course/course';
import { mergeLessons, splitLesson } from '../../../core/course/joining';
import { applyAll, type Operation } from '../../../core/course/operations';
import { giveToPoint, movePoint, newPointBelow, removePoints, takePoints } from '../../../core/course/points';
import { operationsTo } from '../../../core/course/return';
import { followReworded } from '../../../core/course/rebase';
import { compareCourses } from '../../../core/course/comparison';
import { restore } from '../../../core/course/restore';
import { validateCourse } from '../../../core/course/validate';
import { aCourse, anId, aPoint } from '../../builders';

const P = ['p1', 'p2', 'p3', 'p4'].map(anId);
/** A course whose first lesson is blank and has three points. */
function pointed(): Course {
  const course = aCourse();
  const [first] = course.modules[0].lessons;
  Object.assign(first, {
    blocks: [],
    plannedPassages: P,
    points: [aPoint('Who', [P[0]]), aPoint('When', [P[1], P[2]]), aPoint('Where')],
  });
  course.checks = [];
  return course;
}
const firstOf = (course: Course): Lesson => course.modules[0].lessons[0];
const textsOf = ({ points = [] }: Lesson) => points.map(({ text }) => text);
function after(course: Course, operations: readonly Operation[]): Course {
  const made = applyAll(course, operations);
  if (!made.ok) throw new Error(`${made.problem.code} at ${made.problem.place}`);
  expect(validateCourse(made.course)).toEqual([]);
  const back = applyAll(made.course, made.inverses, { log: true });
  expect(back.ok && back.course).toEqual(course);
  return made.course;
}

describe('points of a lesson', () => {
  it('are put in below another, moved, and taken out with what they would have said', () => {
    const course = pointed();
    const lesson = firstOf(course);
    expect(textsOf(firstOf(after(course, newPointBelow(lesson, aPoint('How'), anId('Who')))))).toEqual([
      'Who',
      'How',
      'When',
      'Where',
    ]);
    expect(textsOf(firstOf(after(course, movePoint(lesson, anId('Where'), -1))))).toEqual(['Who', 'Where', 'When']);
    expect(textsOf(firstOf(after(course, movePoint(lesson, anId('Who'), 1))))).toEqual(['When', 'Who', 'Where']);
    expect(movePoint(lesson, anId('Who'), -1)).toEqual([]);
    const without = firstOf(after(course, removePoints(lesson, [anId('When')])));
    expect([textsOf(without), without.plannedPassages]).toEqual([
      ['Who', 'Where'],
      [P[0], P[3]],
    ]);
    const bare = firstOf(
      after(
        course,
        removePoints(
          lesson,
          lesson.points!.map(({ id }) => id),
        ),
      ),
    );
    expect([bare.points, bare.plannedPassages]).toEqual([undefined, [P[3]]]);
  });

  it('come back from the bin to their lesson', () => {
    const course = after(pointed(), [{ type: 'remove', id: anId('When') }]);
    expect(textsOf(firstOf(after(course, restore(course, anId('When')))))).toEqual(['Who', 'When', 'Where']);
  });

  it('that are proposed bring only what no point has yet', () => {
    const course = pointed();
    const offered = [aPoint('Again', [P[1]]), aPoint('New', [P[3]])];
    expect(textsOf(firstOf(after(course, takePoints(firstOf(course), offered))))).toEqual([
      'Who',
      'When',
      'Where',
      'New',
    ]);
  });

  it('are given passages, which the lesson has then too', () => {
    const course = pointed();
    const lesson = firstOf(course);
    const fresh = anId('p9');
    const given = firstOf(after(course, giveToPoint(lesson, lesson.points![2], [fresh])));
    expect([given.points![2].passages, given.given]).toEqual([[fresh], [fresh]]);
    expect(giveToPoint(lesson, lesson.points![0], [P[0]])).toEqual([]);
  });

  it('split a lesson, and are joined with it again', () => {
    const course = pointed();
    const id = anId('second');
    const halves = after(course, splitLesson(course, firstOf(course), anId('When'), id));
    const [a, b] = allLessons(halves);
    expect([textsOf(a), a.plannedPassages]).toEqual([['Who'], [P[0], P[3]]]);
    expect([b.title, textsOf(b), b.plannedPassages]).toEqual(['When', ['When', 'Where'], [P[1], P[2]]]);
    const one = firstOf(after(halves, mergeLessons(a, b)));
    expect([textsOf(one), one.plannedPassages]).toEqual([
      ['Who', 'When', 'Where'],
      [P[0], P[3], P[1], P[2]],
    ]);
    // Back to how it was, wherever they have gone meanwhile.
    const [back] = allLessons(after(halves, operationsTo(halves, course)));
    expect(back).toEqual(firstOf(course));
  });

  it('follow their passages into a newer version, and show in a comparison', () => {
    const course = pointed();
    const [next] = [anId('newer')];
    const moved = firstOf(
      after(course, followReworded(course, [{ id: P[1], before: 'a', after: 'b', afterId: next }])),
    );
    expect(moved.points![1].passages).toEqual([next, P[2]]);
    expect(moved.plannedPassages).toEqual([P[0], next, P[2], P[3]]);
    const reworded = after(course, [{ type: 'set', id: anId('Who'), field: 'text', value: 'Who else', was: 'Who' }]);
    expect(compareCourses(course, reworded).lessons[0].words).toEqual([
      { id: anId('Who'), before: 'Who', after: 'Who else' },
    ]);
  });
});
