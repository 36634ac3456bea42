import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalJson } from '../../../core/course/canonical';
import { allLessons, type Course, type CourseNode, type NodeKind } from '../../../core/course/course';
import { apply, applyAll, type Operation } from '../../../core/course/operations';
import { plainRun } from '../../../core/course/rich-text';
import { allIds, findNode } from '../../../core/course/tree';
import { validateCourse } from '../../../core/course/validate';
import { aCheck, aCourse, aLesson, aModule, anId, aText } from '../../builders';

function applied(course: Course, operation: Operation): { course: Course; inverse: Operation } {
  const result = apply(course, operation);
  if (!result.ok) throw new Error(`${result.problem.code} ${result.problem.place ?? ''}`);
  return result;
}

const reasonOf = (course: Course, operation: Operation) => {
  const result = apply(course, operation);
  return result.ok ? 'made' : result.problem.code;
};

describe('operations', () => {
  it('insert a node behind another and leave the old course as it was', () => {
    const before = aCourse();
    const copy = canonicalJson(before);
    const { course } = applied(before, { type: 'insert', kind: 'lesson', parent: anId('First'), after: anId('First one'), node: aLesson('New') });
    expect(allLessons(course).map((lesson) => lesson.title)).toEqual(['First one', 'New', 'First two', 'Second one', 'Second two']);
    expect(canonicalJson(before)).toBe(copy);
  });

  it('put removed nodes into the bin with all that lies in them, and take them out again', () => {
    const start = aCourse();
    const removed = applied(start, { type: 'remove', id: anId('First') });
    expect(removed.course.modules).toHaveLength(1);
    expect(removed.course.bin[0]).toMatchObject({ kind: 'module', parent: start.id, after: null });
    expect(canonicalJson(applied(removed.course, removed.inverse).course)).toBe(canonicalJson(start));
  });

  it('leave nothing in the bin when an insert is undone', () => {
    const start = aCourse();
    const inserted = applied(start, { type: 'insert', kind: 'check', parent: start.id, after: null, node: aCheck('new') });
    expect(applied(inserted.course, inserted.inverse).course.bin).toEqual([]);
  });

  it('move lessons between modules over any distance', () => {
    const { course, inverse } = applied(aCourse(), { type: 'move', id: anId('First one'), parent: anId('Second'), after: anId('Second two') });
    expect(course.modules.map((module) => module.lessons.length)).toEqual([1, 3]);
    expect(inverse).toEqual({ type: 'move', id: anId('First one'), parent: anId('First'), after: null });
  });

  it('set fields, and empty optional ones with null', () => {
    const fixed = applied(aCourse(), { type: 'set', id: anId('First one'), field: 'minutesFixed', value: 5, was: null });
    expect(findNode(fixed.course, anId('First one'))?.node).toMatchObject({ minutesFixed: 5 });
    const undone = applied(fixed.course, fixed.inverse).course;
    expect(Object.keys(findNode(undone, anId('First one'))!.node)).not.toContain('minutesFixed');
  });

  it('set the course\'s own title', () => {
    const { course } = applied(aCourse(), { type: 'set', id: anId('course'), field: 'title', value: 'Another', was: 'A course' });
    expect(course.title).toBe('Another');
  });

  const start = aCourse();
  const good: Operation = { type: 'set', id: anId('First one'), field: 'title', value: 'x', was: 'First one' };
  it.each<[string, Operation, string]>([
    ['a value changed meanwhile', { ...good, was: 'Something else' }, 'changed-meanwhile'],
    ['a field that does not exist', { ...good, field: 'colour' }, 'unknown-field'],
    ['a field that is no field but an object\'s own', { ...good, field: 'constructor' }, 'unknown-field'],
    ['a value of the wrong form', { ...good, value: 7 }, 'not-text'],
    ['emptying what must be there', { ...good, value: null }, 'missing'],
    ['a node that is gone', { ...good, id: anId('nobody') }, 'gone'],
    ['removing what is gone', { type: 'remove', id: anId('nobody') }, 'gone'],
    ['moving what is gone', { type: 'move', id: anId('nobody'), parent: anId('First'), after: null }, 'gone'],
    ['a place that is gone', { type: 'move', id: anId('First one'), parent: anId('First'), after: anId('nobody') }, 'place-gone'],
    ['a place behind itself', { type: 'move', id: anId('First one'), parent: anId('First'), after: anId('First one') }, 'place-gone'],
    ['a parent of the wrong kind', { type: 'move', id: anId('First one'), parent: anId('Second one'), after: null }, 'place-gone'],
    ['an id that is taken', { type: 'insert', kind: 'lesson', parent: anId('First'), after: null, node: aLesson('Second one') }, 'id-taken'],
    ['a node that is malformed', { type: 'insert', kind: 'lesson', parent: anId('First'), after: null, node: { id: anId('n') } as CourseNode }, 'missing'],
    ['a kind that does not exist', { type: 'insert', kind: 'poem' as NodeKind, parent: anId('First'), after: null, node: aLesson('n') }, 'unknown-kind'],
    ['an operation that does not exist', { type: 'paint' } as unknown as Operation, 'unknown-operation'],
    ['a block\'s body of another kind', { type: 'set', id: anId('First one-b1'), field: 'body', value: { checkId: anId('check') }, was: { text: plainRun('Words of First one.') } }, 'missing'],
  ])('refuse %s', (_, operation, code) => expect(reasonOf(start, operation)).toBe(code));

  it('stop a list of operations at the first that is refused', () => {
    const result = applyAll(start, [good, good]);
    expect(result.ok ? 'made' : result.problem.code).toBe('changed-meanwhile');
  });
});

/** A random operation that may or may not fit the course. */
const anOperation = (course: Course): fc.Arbitrary<Operation> => {
  const ids = allIds(course);
  const some = fc.constantFrom(...ids, ...course.bin.map((entry) => entry.node.id), anId('nobody'));
  const fresh = fc.integer({ min: 0, max: 5_000 }).map((number) => `new ${number}`);
  const places = fc.option(some, { nil: null });
  return fc.oneof(
    fc.record({ type: fc.constant('insert' as const), kind: fc.constant('module' as const), parent: fc.constant(course.id), after: places, node: fresh.map((name) => aModule(name, [aLesson(`${name} l`, [aText(`${name} t`, 'x')])])) }),
    fc.record({ type: fc.constant('insert' as const), kind: fc.constant('block' as const), parent: some, after: places, node: fresh.map((name) => aText(name, 'A word.')) }),
    fc.record({ type: fc.constant('remove' as const), id: some }),
    fc.record({ type: fc.constant('move' as const), id: some, parent: some, after: places }),
    fc.tuple(some, fc.string({ minLength: 1, maxLength: 9 })).map(([id, value]): Operation => {
      const node = (id === course.id ? course : findNode(course, id)?.node) as { title?: string } | undefined;
      return { type: 'set', id, field: 'title', value, was: node?.title ?? null };
    }),
    ...course.bin.map((entry) => fc.constant<Operation>({ type: 'insert', kind: entry.kind, parent: entry.parent, after: null, node: entry.node })),
  );
};

describe('operations in any order', () => {
  it('are taken back letter by letter, and never leave a bad document', () => {
    fc.assert(
      fc.property(fc.infiniteStream(fc.nat()), (seeds) => {
        const first = aCourse();
        let course = first;
        const inverses: Operation[] = [];
        const next = seeds[Symbol.iterator]();
        for (let step = 0; step < 25; step++) {
          const [operation] = fc.sample(anOperation(course), { numRuns: 1, seed: next.next().value });
          const result = apply(course, operation);
          if (!result.ok) continue;
          course = result.course;
          inverses.unshift(result.inverse);
        }
        // Removing a check that a block places leaves a block without its check; everything else stays good.
        expect(validateCourse(course).filter((problem) => problem.code !== 'no-such-check')).toEqual([]);
        const back = applyAll(course, inverses);
        expect(back.ok && canonicalJson(back.course)).toBe(canonicalJson(first));
      }),
      { numRuns: 60 },
    );
  });
});
