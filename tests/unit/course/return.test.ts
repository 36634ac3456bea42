import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalJson } from '../../../core/document/canonical';
import { allLessons, type Course } from '../../../core/course/course';
import {
  beginModuleAt,
  joinModuleBefore,
  moveRows,
  newLessonBelow,
  removeRows,
  wordObjective,
} from '../../../core/course/gestures';
import { applyAll, type Operation } from '../../../core/course/operations';
import { operationsTo } from '../../../core/course/return';
import { validateCourse } from '../../../core/course/validate';
import { aCheck, aCourse, anId, aText } from '../../builders';

const bare = (course: Course) => canonicalJson({ ...course, bin: [] });
function after(course: Course, operations: readonly Operation[]): Course {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(`${applied.problem.code} at ${applied.problem.place}`);
  return applied.course;
}

describe('going back to how a course was', () => {
  it('asks nothing where nothing changed but places', () => {
    const moves = operationsTo(aCourse(), aCourse()).filter((operation) => operation.type !== 'move');
    expect(moves).toEqual([]);
  });

  it('brings back what was deleted, takes out what came, sets what was changed', () => {
    const then = aCourse();
    const lesson = then.modules[0].lessons[0];
    const now = after(then, [
      { type: 'set', id: then.id, field: 'title', value: 'Another', was: then.title },
      {
        type: 'set',
        id: lesson.blocks[0].id,
        field: 'body',
        value: { text: [{ type: 'text', text: 'Other words.' }] },
        was: lesson.blocks[0].body,
      },
      { type: 'remove', id: lesson.blocks[1].id },
      { type: 'insert', kind: 'block', parent: lesson.id, after: null, node: aText('new', 'New.') },
      { type: 'remove', id: anId('offer') },
      { type: 'insert', kind: 'check', parent: then.id, after: null, node: aCheck('later') },
      { type: 'remove', id: anId('Second') },
      ...wordObjective(then, then.modules[0].lessons[1], 'Do something', anId('o')),
    ]);
    const back = after(now, operationsTo(now, then));
    expect(bare(back)).toBe(bare(then));
    expect(validateCourse(back)).toEqual([]);
    expect(back.bin.map((entry) => entry.node.id)).toEqual(
      expect.arrayContaining([anId('new'), anId('later'), anId('o')]),
    );
  });

  it('from anywhere', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(5), fc.nat(40), fc.nat(9)), { maxLength: 25 }), (gestures) => {
        const then = aCourse();
        let now = then;
        gestures.forEach(([kind, a, b], at) => {
          const rows = [...now.modules.map((module) => module.id), ...allLessons(now).map((lesson) => lesson.id)];
          const row = rows[a % rows.length];
          const lesson = allLessons(now)[b % Math.max(1, allLessons(now).length)];
          const operations = [
            () =>
              newLessonBelow(
                now,
                row,
                { lesson: anId(`l${at}`), module: anId(`m${at}`) },
                { lesson: `L${at}`, module: 'M' },
              ),
            () => beginModuleAt(now, row, anId(`m${at}`)),
            () => joinModuleBefore(now, row, anId(`l${at}`)),
            () => moveRows(now, [row], b % 2 ? 1 : -1),
            () => (rows.length > 2 ? removeRows(now, [row]) : []),
            () => (lesson ? wordObjective(now, lesson, `Do ${at}`, anId(`o${at}`)) : []),
          ][kind]();
          now = after(now, operations);
        });
        const back = after(now, operationsTo(now, then));
        expect(bare(back)).toBe(bare(then));
        const again = applyAll(now, operationsTo(now, then));
        const undone = again.ok && applyAll(again.course, again.inverses, { log: true });
        expect(undone && undone.ok && canonicalJson(undone.course)).toBe(canonicalJson(now));
      }),
      { numRuns: 150 },
    );
  });
});
