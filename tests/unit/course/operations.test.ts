import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalJson } from '../../../core/document/canonical';
import { conflictsOf, keepRefused, takeText } from '../../../core/course/conflicts';
import { allLessons, type Course, type CourseNode, type NodeKind, type Objective } from '../../../core/course/course';
import { beginModuleAt, removeRows } from '../../../core/course/gestures';
import { apply, applyAll, replayAll, type Operation } from '../../../core/course/operations';
import { restore } from '../../../core/course/restore';
import { isPage, keepBeside, swapPage, takePage, type LessonPage } from '../../../core/course/takes';
import { plainRun } from '../../../core/document/rich-text';
import { allIds, findNode } from '../../../core/course/tree';
import { validateCourse } from '../../../core/course/validate';
import { readArchive, writeArchive } from '../../../core/exchange/archive';
import { courseDocument } from '../../../core/exchange/document';
import { aCheck, aCourse, aLesson, aModule, aPoint, anId, aText, MAKER, asChoice } from '../../builders';

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
    const { course } = applied(before, {
      type: 'insert',
      kind: 'lesson',
      parent: anId('First'),
      after: anId('First one'),
      node: aLesson('New'),
    });
    expect(allLessons(course).map((lesson) => lesson.title)).toEqual([
      'First one',
      'New',
      'First two',
      'Second one',
      'Second two',
    ]);
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
    const inserted = applied(start, {
      type: 'insert',
      kind: 'check',
      parent: start.id,
      after: null,
      node: aCheck('new'),
    });
    expect(applied(inserted.course, inserted.inverse).course.bin).toEqual([]);
  });

  it('move lessons between modules over any distance', () => {
    const { course, inverse } = applied(aCourse(), {
      type: 'move',
      id: anId('First one'),
      parent: anId('Second'),
      after: anId('Second two'),
    });
    expect(course.modules.map((module) => module.lessons.length)).toEqual([1, 3]);
    expect(inverse).toEqual({ type: 'move', id: anId('First one'), parent: anId('First'), after: null });
  });

  it('set fields, and empty optional ones with null', () => {
    const fixed = applied(aCourse(), {
      type: 'set',
      id: anId('First one'),
      field: 'minutesFixed',
      value: 5,
      was: null,
    });
    expect(findNode(fixed.course, anId('First one'))?.node).toMatchObject({ minutesFixed: 5 });
    const undone = applied(fixed.course, fixed.inverse).course;
    expect(Object.keys(findNode(undone, anId('First one'))!.node)).not.toContain('minutesFixed');
  });

  it("set the course's own title", () => {
    const { course } = applied(aCourse(), {
      type: 'set',
      id: anId('course'),
      field: 'title',
      value: 'Another',
      was: 'A course',
    });
    expect(course.title).toBe('Another');
  });

  const start = aCourse();
  const good: Operation = { type: 'set', id: anId('First one'), field: 'title', value: 'x', was: 'First one' };
  it.each<[string, Operation, string]>([
    ['a value changed meanwhile', { ...good, was: 'Something else' }, 'changed-meanwhile'],
    ['a field that does not exist', { ...good, field: 'colour' }, 'unknown-field'],
    ["a field that is no field but an object's own", { ...good, field: 'constructor' }, 'unknown-field'],
    ['a value of the wrong form', { ...good, value: 7 }, 'not-text'],
    ['emptying what must be there', { ...good, value: null }, 'missing'],
    ['a node that is gone', { ...good, id: anId('nobody') }, 'gone'],
    ['removing what is gone', { type: 'remove', id: anId('nobody') }, 'gone'],
    ['moving what is gone', { type: 'move', id: anId('nobody'), parent: anId('First'), after: null }, 'gone'],
    [
      'a place that is gone',
      { type: 'move', id: anId('First one'), parent: anId('First'), after: anId('nobody') },
      'place-gone',
    ],
    [
      'a place behind itself',
      { type: 'move', id: anId('First one'), parent: anId('First'), after: anId('First one') },
      'place-gone',
    ],
    [
      'a parent of the wrong kind',
      { type: 'move', id: anId('First one'), parent: anId('Second one'), after: null },
      'place-gone',
    ],
    [
      'an id that is taken',
      { type: 'insert', kind: 'lesson', parent: anId('First'), after: null, node: aLesson('Second one') },
      'id-taken',
    ],
    [
      'a node that is malformed',
      { type: 'insert', kind: 'lesson', parent: anId('First'), after: null, node: { id: anId('n') } as CourseNode },
      'missing',
    ],
    [
      'a kind that does not exist',
      { type: 'insert', kind: 'poem' as NodeKind, parent: anId('First'), after: null, node: aLesson('n') },
      'unknown-kind',
    ],
    ['an operation that does not exist', { type: 'paint' } as unknown as Operation, 'unknown-operation'],
    [
      "a block's body of another kind",
      {
        type: 'set',
        id: anId('First one-b1'),
        field: 'body',
        value: { checkId: anId('check') },
        was: { text: plainRun('Words of First one.') },
      },
      'missing',
    ],
  ])('refuse %s', (_, operation, code) => expect(reasonOf(start, operation)).toBe(code));

  it('stop a list of operations at the first that is refused', () => {
    const result = applyAll(start, [good, good]);
    expect(result.ok ? 'made' : result.problem.code).toBe('changed-meanwhile');
  });
});

const evil = (operation: unknown) => operation as Operation;

describe('what no document may hold', () => {
  const start = aCourse();
  const check = asChoice(start.checks[0]);
  const place = anId('place');
  it.each<[string, Operation[], string]>([
    ['a question taken out that a page places', [{ type: 'remove', id: check.id }], 'no-such-check'],
    [
      'a place put in for a question that is not there',
      [
        {
          type: 'insert',
          kind: 'block',
          parent: anId('First two'),
          after: null,
          node: { id: anId('p2'), kind: 'check', body: { checkId: anId('nothing') } },
        },
      ],
      'no-such-check',
    ],
    [
      'a place turned to a question that is not there',
      [{ type: 'set', id: place, field: 'body', value: { checkId: anId('nothing') }, was: { checkId: check.id } }],
      'no-such-check',
    ],
    [
      'a key that is no answer',
      [{ type: 'set', id: check.id, field: 'key', value: anId('nothing'), was: check.key }],
      'no-key',
    ],
    [
      'the right answer taken away',
      [{ type: 'set', id: check.id, field: 'options', value: check.options.slice(1), was: check.options }],
      'no-key',
    ],
    [
      'an answer twice',
      [
        {
          type: 'set',
          id: check.id,
          field: 'options',
          value: [...check.options, check.options[0]],
          was: check.options,
        },
      ],
      'id-twice',
    ],
    [
      'an objective that is not there',
      [{ type: 'set', id: anId('First one'), field: 'objectiveIds', value: [anId('nothing')], was: [] }],
      'no-such-objective',
    ],
    [
      'a question for an objective that is not there',
      [{ type: 'set', id: check.id, field: 'objectiveId', value: anId('nothing'), was: null }],
      'no-such-objective',
    ],
    [
      'text not in its one form',
      [
        {
          type: 'set',
          id: anId('First one-b1'),
          field: 'body',
          value: {
            text: [
              { type: 'text', text: 'a' },
              { type: 'text', text: 'b' },
            ],
          },
          was: { text: plainRun('Words of First one.') },
        },
      ],
      'not-canonical',
    ],
    [
      'a take of a page that is none',
      [
        {
          type: 'insert',
          kind: 'take',
          parent: start.id,
          after: null,
          node: {
            id: anId('t'),
            of: anId('First one'),
            field: 'page',
            value: { lesson: 7 },
            made: { ...MAKER, why: 'kept' },
          },
        },
      ],
      'missing',
    ],
    [
      'a take for a field that nothing has',
      [
        {
          type: 'insert',
          kind: 'take',
          parent: start.id,
          after: null,
          node: { id: anId('t'), of: anId('First one'), field: 'colour', value: 'x', made: { ...MAKER, why: 'kept' } },
        },
      ],
      'unknown-field',
    ],
    [
      'a take for a value that its field cannot have',
      [
        {
          type: 'insert',
          kind: 'take',
          parent: start.id,
          after: null,
          node: { id: anId('t'), of: anId('First one'), field: 'title', value: 9, made: { ...MAKER, why: 'kept' } },
        },
      ],
      'not-text',
    ],
    [
      "an entry of the bin of one's own making",
      [evil({ type: 'remove', id: anId('First two'), bin: {} })],
      'bin-not-yours',
    ],
    [
      'an entry of the bin that looks like one',
      [
        evil({
          type: 'remove',
          id: anId('First two'),
          bin: { kind: 'lesson', parent: anId('First'), after: null, node: aLesson('Other') },
        }),
      ],
      'bin-not-yours',
    ],
    [
      'more than an operation has',
      [evil({ type: 'remove', id: anId('First two'), extra: 'x'.repeat(9) })],
      'unknown-property',
    ],
    ['ids that are none', [evil({ type: 'move', id: { evil: true }, parent: anId('First'), after: null })], 'not-text'],
    [
      'a second lesson of one id within a module',
      [
        {
          type: 'insert',
          kind: 'module',
          parent: start.id,
          after: null,
          node: aModule('M', [aLesson('Same'), aLesson('Same')]),
        },
      ],
      'id-taken',
    ],
  ])('%s is refused', (_, operations, code) => {
    const made = applyAll(start, operations);
    expect(made.ok ? 'made' : made.problem.code).toBe(code);
  });

  it('may come and go within a gesture that ends well', () => {
    const made = applyAll(start, [
      { type: 'remove', id: check.id },
      { type: 'remove', id: place },
    ]);
    expect(made.ok && validateCourse(made.course)).toEqual([]);
    const swapped = applyAll(start, [
      {
        type: 'set',
        id: check.id,
        field: 'options',
        value: [...check.options.slice(1), { ...check.options[0], id: anId('fresh') }],
        was: check.options,
      },
      { type: 'set', id: check.id, field: 'key', value: anId('fresh'), was: check.key },
    ]);
    expect(swapped.ok && validateCourse(swapped.course)).toEqual([]);
  });

  it('that stood there before does not keep anything else from being done', () => {
    const broken: Course = { ...start, checks: [] };
    expect(reasonOf(broken, { type: 'set', id: anId('First one'), field: 'title', value: 'x', was: 'First one' })).toBe(
      'made',
    );
  });

  it('a gesture is taken whole or not at all, and says which part did not fit', () => {
    const made = applyAll(start, [
      { type: 'set', id: anId('First one'), field: 'title', value: 'x', was: 'First one' },
      { type: 'remove', id: anId('nobody') },
    ]);
    expect(made).toMatchObject({ ok: false, problem: { code: 'gone' }, at: 1 });
  });
});

const objective = (name: string): Objective => ({
  id: anId(name),
  verb: 'apply',
  object: name,
  level: 'apply',
  text: `Apply ${name}`,
  evidence: [],
});
const page = (course: Course, name: string): LessonPage => {
  const lesson = allLessons(course)[0] ?? aLesson('none');
  const asked = {
    ...aCheck(`${name} check`, lesson.id),
    drafted: { form: 'term' as const, score: 1, reasons: [] },
    objectiveId: anId(`${name} aim`),
  };
  return {
    lesson: {
      ...lesson,
      state: 'drafted',
      blocks: [
        aText(`${name} text`, 'Text.'),
        { id: anId(`${name} place`), kind: 'check', body: { checkId: asked.id } },
      ],
    },
    objectives: [objective(`${name} aim`)],
    checks: [asked],
  };
};

/**
 * Something an author might do, of every kind of node and gesture, or what somebody might send; it may or may not fit.
 */
const aGesture = (course: Course): fc.Arbitrary<Operation[]> => {
  const some = fc.constantFrom(...allIds(course), ...course.bin.map((entry) => entry.node.id), anId('nobody'));
  const fresh = fc.integer({ min: 0, max: 5_000 }).map((number) => `new ${number}`);
  const places = fc.option(some, { nil: null });
  const lessons = allLessons(course);
  const one = (operation: fc.Arbitrary<Operation>) => operation.map((each) => [each]);
  const atCourse = (kind: NodeKind, node: (name: string) => CourseNode) =>
    one(
      fc.record({
        type: fc.constant('insert' as const),
        kind: fc.constant(kind),
        parent: fc.constant(course.id),
        after: fc.constant(null),
        node: fresh.map(node),
      }),
    );
  return fc.oneof(
    atCourse('module', (name) => aModule(name, [aLesson(`${name} l`, [aText(`${name} t`, 'x')])])),
    atCourse('check', (name) => aCheck(name)),
    atCourse('objective', objective),
    atCourse('term', (name) => ({ id: anId(name), term: name, text: 'It is so.', evidence: [] })),
    atCourse('answer', (name) => ({ id: anId(name), topic: 'Topic', question: 'Why?', text: name })),
    atCourse('take', (name) => ({
      id: anId(name),
      of: lessons[0]?.id ?? course.id,
      field: 'title',
      value: name,
      made: { ...MAKER, why: 'kept' },
    })),
    one(
      fc.record({
        type: fc.constant('insert' as const),
        kind: fc.constant('lesson' as const),
        parent: some,
        after: places,
        node: fresh.map((name) => aLesson(name)),
      }),
    ),
    one(
      fc.record({
        type: fc.constant('insert' as const),
        kind: fc.constant('block' as const),
        parent: some,
        after: places,
        node: fresh.map((name) => aText(name, 'A word.')),
      }),
    ),
    one(
      fc.record({
        type: fc.constant('insert' as const),
        kind: fc.constant('point' as const),
        parent: some,
        after: places,
        node: fresh.map((name) => aPoint(name)),
      }),
    ),
    one(
      fc.record({
        type: fc.constant('insert' as const),
        kind: fc.constant('block' as const),
        parent: some,
        after: places,
        node: fc
          .tuple(fresh, some)
          .map(([name, checkId]): CourseNode => ({ id: anId(name), kind: 'check', body: { checkId } })),
      }),
    ),
    one(fc.record({ type: fc.constant('remove' as const), id: some })),
    one(fc.record({ type: fc.constant('remove' as const), id: some, bin: fc.constant(null) })),
    one(fc.record({ type: fc.constant('move' as const), id: some, parent: some, after: places })),
    fc
      .tuple(
        some,
        fc.constantFrom('title', 'key', 'objectiveId', 'objectiveIds', 'text', 'term', 'name', 'stem'),
        fc.oneof(
          fc.string({ minLength: 1, maxLength: 9 }),
          some,
          some.map((id) => [id]),
        ),
      )
      .map(([id, field, value]): Operation[] => {
        const node = (id === course.id ? course : findNode(course, id)?.node) as Record<string, unknown> | undefined;
        return [{ type: 'set', id, field, value, was: node?.[field] ?? null }];
      }),
    some.map((id) => restore(course, id)),
    some.map((id) => beginModuleAt(course, id, anId(`m ${id}`))),
    some.map((id) => removeRows(course, [id])),
    fresh.map((name) => takePage(course, page(course, name), anId(`kept ${name}`), MAKER)),
    fresh.map((name) => keepBeside(course, page(course, name), anId(`beside ${name}`), MAKER)),
    fresh.map((name) =>
      course.takes
        .filter(isPage)
        .slice(0, 1)
        .flatMap((take) => swapPage(course, take, anId(`swap ${name}`), MAKER)),
    ),
    fresh.map((name) =>
      keepRefused(
        course,
        [
          {
            id: anId(name),
            operation: {
              type: 'insert',
              kind: 'block',
              parent: anId('deleted'),
              after: null,
              node: aText(`lost ${name}`, 'Lost.'),
            },
          },
        ],
        MAKER,
      ),
    ),
    fc.constant(
      conflictsOf(course)
        .slice(0, 1)
        .flatMap((take) => takeText(course, take)),
    ),
  );
};

describe('gestures in any order', () => {
  it('are taken back letter by letter, replayed alike, and never leave a document that the archive refuses', () => {
    let made = 0;
    fc.assert(
      fc.property(fc.infiniteStream(fc.nat()), (seeds) => {
        const first = aCourse();
        let course = first;
        const done: Operation[] = [];
        const inverses: Operation[] = [];
        const next = seeds[Symbol.iterator]();
        for (let step = 0; step < 30; step++) {
          const [gesture] = fc.sample(aGesture(course), { numRuns: 1, seed: next.next().value });
          const result = applyAll(course, gesture);
          if (!result.ok) continue;
          made++;
          course = result.course;
          done.push(...gesture);
          inverses.unshift(...result.inverses);
          expect(validateCourse(course)).toEqual([]);
        }
        const replayed = replayAll(first, JSON.parse(JSON.stringify(done)) as Operation[]);
        expect(replayed.ok && canonicalJson(replayed.course)).toBe(canonicalJson(course));
        const back = applyAll(course, JSON.parse(JSON.stringify(inverses)) as Operation[], { log: true });
        expect(back.ok && canonicalJson(back.course)).toBe(canonicalJson(first));
        const out = writeArchive(courseDocument(course, [], [], {}), new Map());
        expect(canonicalJson(readArchive(out).document.course)).toBe(canonicalJson(course));
      }),
      { numRuns: 60 },
    );
    expect(made).toBeGreaterThan(600);
  });
});
