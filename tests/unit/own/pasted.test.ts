import { describe, expect, it } from 'vitest';
import type { Course } from '../../../core/course/course';
import { applyAll } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { outlineFromText } from '../../../core/own/lines';
import { pasteRows } from '../../../core/own/pasted';
import { aCourse, anId } from '../../builders';

const pasted = (course: Course, row: string | null, text: string) => {
  const own = outlineFromText(text, '');
  const flat = own.modules.length === 1 && own.modules[0].title === '';
  const { operations, first } = pasteRows(course, row, own, flat, 'seed');
  const made = applyAll(course, operations);
  if (!made.ok) throw new Error(made.problem.code);
  expect(validateCourse(made.course)).toEqual([]);
  const back = applyAll(made.course, made.inverses);
  expect(back.ok && back.course).toEqual(course);
  return {
    course: made.course,
    first,
    drawn: made.course.modules.map(({ title, lessons }) => [title, ...lessons.map((each) => each.title)]),
  };
};

describe('lines pasted into an outline', () => {
  it('of one level are lessons behind the row, in its module', () => {
    const { drawn, first, course } = pasted(aCourse(), anId('First one'), 'Greeting\nBadges');
    expect(drawn).toEqual([
      ['First', 'First one', 'Greeting', 'Badges', 'First two'],
      ['Second', 'Second one', 'Second two'],
    ]);
    expect(first).toBe(course.modules[0].lessons[1].id);
    expect(pasted(aCourse(), anId('First'), 'Greeting').drawn[0]).toEqual([
      'First',
      'Greeting',
      'First one',
      'First two',
    ]);
  });

  it('with levels are modules behind that of the row; objectives, minutes and points come with them', () => {
    const { drawn, course } = pasted(
      aCourse(),
      anId('First one'),
      'The oven\n  Lighting it (4 min)\n    Objective: Light the oven\n    Which wood?\nThe shop\n  Prices | Name a price',
    );
    expect(drawn.map(([title]) => title)).toEqual(['First', 'The oven', 'The shop', 'Second']);
    const [lighting] = course.modules[1].lessons;
    expect(lighting.minutesFixed).toBe(4);
    const texts = new Map(course.objectives.map(({ id, text }) => [id, text]));
    expect([lighting, ...course.modules[2].lessons].map(({ objectiveIds }) => texts.get(objectiveIds[0]))).toEqual([
      'Light the oven',
      'Name a price',
    ]);
    expect(course.answers?.map(({ question, lesson }) => [question, lesson])).toEqual([['Which wood?', lighting.id]]);
  });

  it('into an empty course make its first modules, and nothing makes nothing', () => {
    const empty: Course = { ...aCourse(), modules: [], checks: [] };
    expect(pasted(empty, null, 'The oven\n  Lighting it').drawn).toEqual([['The oven', 'Lighting it']]);
    expect(pasteRows(empty, null, { modules: [] }, false, 'seed')).toEqual({ operations: [] });
  });
});
