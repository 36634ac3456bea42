import { describe, expect, it } from 'vitest';
import { turnBlocks } from '../../../core/blocks/turn';
import { blockTexts, type Block } from '../../../core/blocks/forms';
import { allLessons, type Course } from '../../../core/course/course';
import {
  beginModuleAt,
  joinModuleBefore,
  moveRows,
  newLessonBelow,
  newLessonWith,
  newModuleBelow,
  placeLessons,
  removeRows,
  wordObjective,
} from '../../../core/course/gestures';
import { takeOutline } from '../../../core/course/taking';
import { restore } from '../../../core/course/restore';
import { pageOperations } from '../../../core/course/lesson-changes';
import { applyAll, type Operation } from '../../../core/course/operations';
import { sentenceHash, textOf } from '../../../core/document/rich-text';
import { standingOf } from '../../../core/course/standing';
import { aCourse, aLesson, aModule, anId, aText } from '../../builders';

function after(course: Course, operations: readonly Operation[]): Course {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.course;
}
const drawn = (course: Course) =>
  course.modules.map((module) => `${module.title}: ${module.lessons.map((lesson) => lesson.title).join(', ')}`);
const ids = { lesson: anId('new lesson'), module: anId('new module') };
const titles = { lesson: 'New', module: 'Fresh' };

describe('an outline worked by key', () => {
  it.each<[string, (course: Course) => Operation[], string[]]>([
    [
      'a new lesson behind a lesson',
      (course) => newLessonBelow(course, anId('First one'), ids, titles),
      ['First: First one, New, First two', 'Second: Second one, Second two'],
    ],
    [
      'a new lesson first in a module',
      (course) => newLessonBelow(course, anId('Second'), ids, titles),
      ['First: First one, First two', 'Second: New, Second one, Second two'],
    ],
    [
      'a new lesson at the end',
      (course) => newLessonBelow(course, null, ids, titles),
      ['First: First one, First two', 'Second: Second one, Second two, New'],
    ],
    [
      'a new module behind the one a lesson is in',
      (course) => newModuleBelow(course, anId('First one'), ids.module, 'Fresh'),
      ['First: First one, First two', 'Fresh: ', 'Second: Second one, Second two'],
    ],
    [
      'a module begun at a lesson',
      (course) => beginModuleAt(course, anId('First two'), ids.module),
      ['First: First one', 'First two: First two', 'Second: Second one, Second two'],
    ],
    [
      "no module begun at a module's first lesson",
      (course) => beginModuleAt(course, anId('First one'), ids.module),
      ['First: First one, First two', 'Second: Second one, Second two'],
    ],
    [
      'a module joined to the one before',
      (course) => joinModuleBefore(course, anId('Second'), ids.lesson),
      ['First: First one, First two, Second one, Second two'],
    ],
    [
      'a lesson up across a border',
      (course) => moveRows(course, [anId('Second one')], -1),
      ['First: First one, First two, Second one', 'Second: Second two'],
    ],
    [
      'two lessons down',
      (course) => moveRows(course, [anId('First one'), anId('First two')], 1),
      ['First: ', 'Second: First one, First two, Second one, Second two'],
    ],
    [
      'a lesson down in its module',
      (course) => moveRows(course, [anId('First one')], 1),
      ['First: First two, First one', 'Second: Second one, Second two'],
    ],
    [
      'a module up',
      (course) => moveRows(course, [anId('Second')], -1),
      ['Second: Second one, Second two', 'First: First one, First two'],
    ],
    [
      'the first lesson no further up',
      (course) => moveRows(course, [anId('First one')], -1),
      ['First: First one, First two', 'Second: Second one, Second two'],
    ],
    [
      'lessons put elsewhere',
      () => placeLessons([anId('Second two'), anId('First one')], anId('Second'), null),
      ['First: First two', 'Second: Second two, First one, Second one'],
    ],
    [
      'rows deleted, a lesson of a deleted module once',
      (course) => removeRows(course, [anId('First'), anId('First one'), anId('Second two')]),
      ['Second: Second one'],
    ],
  ])('%s', (_, make, expected) => {
    const course = aCourse();
    expect(drawn(after(course, make(course)))).toEqual(expected);
  });

  it('an empty module joined to the one before becomes a lesson there', () => {
    const course = after(aCourse(), newModuleBelow(aCourse(), anId('First'), ids.module, 'Fresh'));
    expect(drawn(after(course, joinModuleBefore(course, ids.module, ids.lesson)))[0]).toBe(
      'First: First one, First two, Fresh',
    );
  });

  it('begins with a module when there is none', () => {
    const course = after(aCourse(), removeRows(aCourse(), [anId('First'), anId('Second')]));
    expect(drawn(after(course, newLessonBelow(course, null, ids, titles)))).toEqual(['Fresh: New']);
    const passages = [anId('p1'), anId('p2')];
    const made = after(course, newLessonWith(course, null, ids, { title: 'Found', passages }));
    expect([drawn(made), allLessons(made)[0].given]).toEqual([['Found: Found'], passages]);
    expect(newLessonWith(course, null, ids, { title: 'Found', passages: [] })).toEqual([]);
  });

  it('brings back from the bin what was deleted, to its place or the nearest', () => {
    const gone = after(aCourse(), removeRows(aCourse(), [anId('First two')]));
    expect(drawn(after(gone, restore(gone, anId('First two'))))).toEqual(drawn(aCourse()));
    const homeless = after(gone, removeRows(gone, [anId('First')]));
    expect(drawn(after(homeless, restore(homeless, anId('First two'))))).toEqual([
      'Second: Second one, Second two, First two',
    ]);
    expect(restore(gone, anId('nothing'))).toEqual([]);
  });

  it('words an objective, changes it, and takes it away', () => {
    const lesson = (course: Course) => allLessons(course)[0];
    let course = after(aCourse(), wordObjective(aCourse(), lesson(aCourse()), 'Refuse a loan kindly', anId('o')));
    expect(course.objectives.map((objective) => objective.text)).toEqual(['Refuse a loan kindly']);
    course = after(course, wordObjective(course, lesson(course), 'Refuse a loan', anId('p')));
    expect(course.objectives.map((objective) => objective.text)).toEqual(['Refuse a loan']);
    expect(wordObjective(course, lesson(course), 'Refuse a loan', anId('q'))).toEqual([]);
    course = after(course, wordObjective(course, lesson(course), '', anId('q')));
    expect(lesson(course).objectiveIds).toEqual([]);
  });

  it('takes a drafted outline in place of the old one, which goes to the bin', () => {
    const course = aCourse();
    const taken = after(
      course,
      takeOutline(course, { modules: [aModule('Drafted', [aLesson('D one')])], objectives: [] }),
    );
    expect(drawn(taken)).toEqual(['Drafted: D one']);
    expect(taken.bin.filter((entry) => entry.kind === 'module')).toHaveLength(2);
  });

  it('keeps lessons it knows with their words, title and state, wherever the new outline puts them', () => {
    const course = aCourse();
    course.modules[1].lessons[1].title = 'My own title';
    course.modules[1].lessons[1].state = 'approved';
    const nodes = {
      modules: [
        aModule('Drafted', [{ ...aLesson('Second two', []), state: 'blank' as const }, aLesson('D one', [])]),
        aModule('First', [aLesson('First one', [])]),
      ],
      objectives: [],
    };
    const taken = after(course, takeOutline(course, nodes));
    expect(drawn(taken)).toEqual(['Drafted: My own title, D one', 'First: First one']);
    expect(taken.modules[0].lessons[0]).toEqual(course.modules[1].lessons[1]);
    expect(taken.modules[1].lessons[0].blocks.length).toBe(course.modules[0].lessons[0].blocks.length);
    expect(taken.bin.map((entry) => entry.node.id).toSorted()).toEqual([anId('First two'), anId('Second')].toSorted());
    expect(drawn(after(taken, takeOutline(taken, nodes)))).toEqual(drawn(taken));
  });
});

describe('a page changed by hand', () => {
  const before = [aText('a', 'A.'), aText('b', 'B.'), aText('c', 'C.')];
  const page = (blocks: Block[]) => {
    const course = aCourse();
    course.modules[0].lessons[0].blocks = before;
    return after(course, pageOperations(anId('First one'), before, blocks)).modules[0].lessons[0].blocks;
  };
  it.each<[string, Block[]]>([
    ['nothing', before],
    ['a part moved', [before[2], before[0], before[1]]],
    ['a part deleted', [before[0], before[2]]],
    ['a part new', [before[0], aText('n', 'N.'), before[1], before[2]]],
    ['words changed', [before[0], { ...aText('b', 'Bee.') }, before[2]]],
    [
      'turned into another kind',
      [
        before[0],
        { id: before[1].id, kind: 'heading', body: { level: 2, text: [{ type: 'text', text: 'B.' }] } },
        before[2],
      ],
    ],
    ['everything at once', [aText('n', 'N.'), before[2], { ...aText('a', 'Ah.') }]],
    ['all gone', []],
  ])('%s', (_, blocks) => expect(page(blocks)).toEqual(blocks));
  it('gives no operation for an equal page', () =>
    expect(
      pageOperations(
        'x',
        before,
        before.map((block) => JSON.parse(JSON.stringify(block)) as Block),
      ),
    ).toEqual([]));
});

const sourced = (text: string, was = sentenceHash(text)) => ({
  type: 'text' as const,
  text,
  marks: [
    {
      type: 'evidence' as const,
      attrs: { id: anId(text), passages: [{ id: anId('p'), from: 0, to: text.length }], was },
    },
  ],
});

describe('what a part stands on', () => {
  it.each<[string, Block]>([
    [
      'source',
      {
        id: anId('b'),
        kind: 'text',
        body: { text: [sourced('Wear gloves.'), { type: 'text', text: ' ' }, sourced('Wait.')] },
      },
    ],
    [
      'changed',
      { id: anId('b'), kind: 'text', body: { text: [sourced('Wear gloves!', sentenceHash('Wear gloves.'))] } },
    ],
    [
      'changed',
      { id: anId('b'), kind: 'text', body: { text: [sourced('Wear gloves.'), { type: 'text', text: ' Always.' }] } },
    ],
    ['own', aText('b', 'Say it kindly.')],
    [
      'connecting',
      {
        id: anId('b'),
        kind: 'text',
        body: { text: [{ type: 'text', text: 'You know this.', marks: [{ type: 'connecting' }] }] },
      },
    ],
    ['none', { id: anId('b'), kind: 'heading', body: { level: 2, text: [{ type: 'text', text: 'Returns' }] } }],
    ['source', { id: anId('b'), kind: 'code', body: { code: 'x' }, evidence: [{ id: anId('p'), from: 0, to: 1 }] }],
  ])('%s', (standing, block) => expect(standingOf(block)).toBe(standing));
});

describe('a part turned into another kind', () => {
  const list: Block = {
    id: anId('b'),
    kind: 'list',
    body: {
      ordered: false,
      items: [
        { depth: 0, text: [sourced('Lift.')] },
        { depth: 1, text: [sourced('Turn.')] },
      ],
    },
  };
  const fresh = () => anId('fresh');
  it.each(['text', 'heading', 'steps', 'callout', 'summary'] as const)(
    'keeps its words and their evidence: %s',
    (kind) => {
      const turned = turnBlocks([list], kind, fresh);
      expect(turned.flatMap((block) => blockTexts(block).map(textOf))).toEqual(['Lift.', 'Turn.']);
      expect(turned[0].id).toBe(list.id);
      expect(
        turned
          .flatMap(blockTexts)
          .flat()
          .every((run) => run.marks?.[0].type === 'evidence'),
      ).toBe(true);
    },
  );
  it('leaves tables and checks as they are', () => {
    const check: Block = { id: anId('b'), kind: 'check', body: { checkId: anId('k') } };
    expect(turnBlocks([check], 'text', fresh)).toEqual([check]);
  });
});
