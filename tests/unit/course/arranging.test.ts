import { describe, expect, it } from 'vitest';
import { arrange, layTakes, standingArrangement, takeRow, takesOfRow } from '../../../core/course/arranging';
import type { Course, Take } from '../../../core/course/course';
import { applyAll, type Operation } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { aCourse, anId, MAKER } from '../../builders';

const made = { ...MAKER, why: 'draft' as const };
function after(course: Course, operations: readonly Operation[]): Course {
  const done = applyAll(course, operations);
  if (!done.ok) throw new Error(`${done.problem.code} at ${done.problem.place}`);
  expect(validateCourse(done.course)).toEqual([]);
  return done.course;
}
const rows = (course: Course) =>
  course.modules.map(({ title, lessons }) => `${title}: ${lessons.map((lesson) => lesson.title).join(', ')}`);
const [ONE, TWO, THREE, FOUR] = ['First one', 'First two', 'Second one', 'Second two'].map(anId);
const [FIRST, SECOND] = ['First', 'Second'].map(anId);
const NEW = anId('new module');
const take = (value: Take['value'], field = 'arrangement', of = FIRST): Take => ({
  id: anId('take'),
  of,
  field,
  value,
  made,
});

describe('an arrangement of lessons', () => {
  it('is another order, another grouping, a module in two, two in one', () => {
    const course = aCourse();
    const before = rows(course);
    const so = (...modules: { id: string; title: string; lessons: string[] }[]) =>
      rows(after(course, arrange(course, { modules })));
    expect(so({ id: FIRST, title: 'First', lessons: [TWO, ONE] })).toEqual(['First: First two, First one', before[1]]);
    expect(so({ id: FIRST, title: 'First', lessons: [ONE] }, { id: NEW, title: 'New', lessons: [TWO] })).toEqual([
      'First: First one',
      'New: First two',
      before[1],
    ]);
    expect(so({ id: FIRST, title: 'First', lessons: [ONE, TWO, THREE, FOUR] })).toEqual([
      'First: First one, First two, Second one, Second two',
    ]);
    expect(
      arrange(course, standingArrangement(course, { modules: [{ id: FIRST, title: '', lessons: [THREE] }] })),
    ).toEqual([]);
  });

  it('loses no lesson that it does not name, and leaves out those that are gone', () => {
    const course = aCourse();
    const value = { modules: [{ id: SECOND, title: 'Second', lessons: [THREE, anId('gone'), ONE] }] };
    expect(rows(after(course, arrange(course, value)))).toEqual([
      'Second: Second one, First one, First two, Second two',
    ]);
    expect(arrange(course, { modules: [{ id: NEW, title: 'New', lessons: [anId('gone')] }] })).toEqual([]);
  });

  it('that is taken changes places with what stood, and back, with what its module was for', () => {
    const course = aCourse();
    course.modules[1].purpose = 'Kept in the bin meanwhile';
    const one = take({ modules: [{ id: FIRST, title: 'First', lessons: [ONE, TWO, THREE, FOUR] }] });
    const laid = after(course, layTakes(course, [{ ...one, name: 'Together' }]));
    const joined = after(
      laid,
      takeRow(
        laid,
        laid.takes.find(({ id }) => id === one.id)!,
      ),
    );
    expect(rows(joined)).toEqual(['First: First one, First two, Second one, Second two']);
    const [kept] = takesOfRow(joined, FIRST);
    expect([kept.name, kept.made.why]).toEqual([undefined, 'kept']);
    const back = after(joined, takeRow(joined, kept));
    expect(rows(back)).toEqual(rows(course));
    expect(back.modules[1].purpose).toBe('Kept in the bin meanwhile');
  });
});

describe('takes of a row', () => {
  it('are of its title, its aim and its matter; taken, what stood there lies in their stead', () => {
    const course = aCourse();
    const [lesson] = course.modules[0].lessons;
    lesson.plannedPassages = [anId('p1')];
    const other = take([anId('p1'), anId('p2')], 'plannedPassages', ONE);
    const laid = after(course, layTakes(course, [other]));
    expect(takesOfRow(laid, ONE)).toEqual([other]);
    expect(takesOfRow(laid, TWO)).toEqual([]);
    const taken = after(laid, takeRow(laid, other));
    expect(taken.modules[0].lessons[0].plannedPassages).toEqual([anId('p1'), anId('p2')]);
    expect(takesOfRow(taken, ONE)[0].value).toEqual([anId('p1')]);
  });

  it('that lie there, or were thrown away, are not laid there again', () => {
    const course = aCourse();
    const other = take('Another title', 'title', ONE);
    const laid = after(course, layTakes(course, [other, { ...other, id: anId('again') }]));
    expect(layTakes(laid, [other, { ...other, id: anId('same words') }])).toEqual([]);
    const thrown = after(laid, [{ type: 'remove', id: other.id }]);
    expect(layTakes(thrown, [other])).toEqual([]);
  });
});
