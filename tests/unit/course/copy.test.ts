import { expect, it } from 'vitest';
import { validateCourse } from '../../../core/course/validate';
import { withIds } from '../../../core/exchange/archive/copy';
import { aCourse, anId, aPoint, MAKER } from '../../builders';

it('a course that stands on copied sources names none of the old ids, wherever an id can stand', () => {
  const [old, fresh] = [anId('old passage'), anId('fresh passage')];
  const course = aCourse();
  const [lesson] = course.modules[0].lessons;
  const range = { id: old, from: 0, to: 3 };
  Object.assign(lesson, { plannedPassages: [old], given: [old], points: [aPoint('old', [old])] });
  course.glossary = [{ id: anId('term'), term: 'old', text: `what ${old} is`, evidence: [range] }];
  course.leftOut = [{ passages: [range], reason: 'size' }];
  const made = { ...MAKER, why: 'kept' as const };
  course.takes = [
    { id: anId('t1'), of: lesson.id, field: 'plannedPassages', value: [old], made },
    { id: anId('t2'), of: lesson.id, field: 'page', value: { lesson, objectives: [], checks: [] }, made },
  ];
  expect(validateCourse(course)).toEqual([]);
  const copy = withIds(course, new Map([[old, fresh]]));
  expect(validateCourse(copy)).toEqual([]);
  // In words it stays a word.
  expect(JSON.stringify(copy).split(old)).toHaveLength(2);
  expect(copy.glossary[0].text).toContain(old);
  expect(JSON.stringify(withIds(copy, new Map([[fresh, old]])))).toBe(JSON.stringify(course));
});
