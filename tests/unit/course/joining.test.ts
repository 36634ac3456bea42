import { describe, expect, it } from 'vitest';
import { allLessons, type Course } from '../../../core/course/course';
import { mergeLessons, splitLesson } from '../../../core/course/joining';
import { applyAll } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { plainRun } from '../../../core/document/rich-text';
import type { aLesson } from '../../builders';
import { aCourse, anId, aText } from '../../builders';

const ID = anId('second half');
const apply = (course: Course, operations: Parameters<typeof applyAll>[1]): Course => {
  const made = applyAll(course, operations);
  if (!made.ok) throw new Error(made.problem.code);
  expect(validateCourse(made.course)).toEqual([]);
  return made.course;
};
const withFirst = (changes: Partial<ReturnType<typeof aLesson>>): Course => {
  const course = aCourse();
  course.modules[0].lessons[0] = { ...course.modules[0].lessons[0], ...changes };
  return course;
};

describe('a lesson split in two', () => {
  const heading = (name: string) => ({
    id: anId(name),
    kind: 'heading' as const,
    body: { level: 2, text: plainRun(name) },
  });
  const blocks = [
    aText('t1', 'One.'),
    heading('Of old'),
    aText('t2', 'Two.'),
    aText('t3', 'Three.'),
    heading('Of late'),
    aText('t4', 'Four.'),
  ] as never;

  it('is cut at the heading nearest its middle, which names the second, or where it is said', () => {
    const course = withFirst({ blocks, state: 'approved' });
    course.checks = [];
    const lesson = course.modules[0].lessons[0];
    const [first, second] = allLessons(apply(course, splitLesson(course, lesson, undefined, ID)));
    expect([first.blocks.length, second.blocks.length]).toEqual([4, 2]);
    expect([second.id, second.title, second.state]).toEqual([ID, 'Of late', 'in-work']);
    const [a, b] = allLessons(apply(course, splitLesson(course, lesson, anId('t2'), ID)));
    expect([a.blocks.length, b.blocks.length, b.title]).toEqual([2, 4, 'First one (2)']);
    expect(splitLesson(course, lesson, anId('t1'), ID)).toEqual([]);
    expect(splitLesson(course, lesson, anId('nowhere'), ID)).toEqual([]);
  });

  it('takes its checks along, and of a blank one its passages', () => {
    const course = aCourse();
    const [whole] = course.modules[0].lessons;
    const [first, second] = allLessons(apply(course, splitLesson(course, whole, anId('place'), ID)));
    expect([first.blocks.length, second.blocks.map(({ kind }) => kind)]).toEqual([2, ['check']]);
    const blank = withFirst({ blocks: [], plannedPassages: [anId('p1'), anId('p2'), anId('p3')] });
    blank.checks = [];
    const [a, b] = allLessons(apply(blank, splitLesson(blank, blank.modules[0].lessons[0], undefined, ID)));
    expect([a.plannedPassages, b.plannedPassages]).toEqual([[anId('p1'), anId('p2')], [anId('p3')]]);
    const one = withFirst({ blocks: [], plannedPassages: [anId('p1')] });
    expect(splitLesson(one, one.modules[0].lessons[0], undefined, ID)).toEqual([]);
  });
});

describe('two lessons joined', () => {
  it('are one page with all that both had, and are two again by undo', () => {
    const course = aCourse();
    const [into, from] = course.modules[0].lessons;
    const made = applyAll(course, mergeLessons(into, from));
    if (!made.ok) throw new Error(made.problem.code);
    expect(validateCourse(made.course)).toEqual([]);
    expect(allLessons(made.course).map(({ id }) => id)).not.toContain(from.id);
    expect(made.course.modules[0].lessons[0].blocks).toEqual([...into.blocks, ...from.blocks]);
    const back = applyAll(made.course, made.inverses);
    expect(back.ok && back.course).toEqual(course);
  });
});
