import { describe, expect, it } from 'vitest';
import type { Block } from '../../../core/blocks/forms';
import { allLessons, type Course } from '../../../core/course/course';
import { applyAll } from '../../../core/course/operations';
import { pageAt, pageBack } from '../../../core/course/page-history';
import { copyParts, moveParts, underHeading } from '../../../core/course/parts';
import { validateCourse } from '../../../core/course/validate';
import { plainRun, sentenceHash } from '../../../core/document/rich-text';
import { aCheck, aCourse, aLesson, aModule, anId, aText } from '../../builders';

const heading = (name: string, level: 2 | 3): Block => ({
  id: anId(name),
  kind: 'heading',
  body: { level, text: plainRun(name) },
});
const NAMES = ['Intro', 'Doors', 'of doors', 'Locks', 'of locks', 'Windows', 'of windows'];
const blocks = NAMES.map((name) =>
  name === 'Locks' ? heading(name, 3) : /^[A-Z]/.test(name) && name !== 'Intro' ? heading(name, 2) : aText(name, name),
);
const course: Course = {
  ...aCourse(),
  checks: [],
  modules: [aModule('House', [aLesson('Rounds', blocks), aLesson('Yard', [aText('yard', 'yard')])])],
};
const [rounds, yard] = allLessons(course);
const ids = (...names: string[]) => names.map(anId);
const pageOf = (made: ReturnType<typeof applyAll>, at = 0) => {
  if (!made.ok) throw new Error(made.problem.code);
  expect(validateCourse(made.course)).toEqual([]);
  return allLessons(made.course)[at].blocks.map(({ id }) => NAMES.find((name) => anId(name) === id) ?? 'other');
};

describe('parts of a page', () => {
  it('lie under their headings, smaller headings with larger', () => {
    expect(underHeading(blocks, anId('Doors'))).toEqual(ids('Doors', 'of doors', 'Locks', 'of locks'));
    expect(underHeading(blocks, anId('Locks'))).toEqual(ids('Locks', 'of locks'));
    expect(underHeading(blocks, anId('Intro'))).toEqual(ids('Intro'));
    expect(underHeading(blocks, anId('nowhere'))).toEqual([]);
  });

  it('move any distance together, and nowhere where they are', () => {
    const moved = moveParts(course, underHeading(blocks, anId('Windows')), rounds, null);
    expect(pageOf(applyAll(course, moved))).toEqual(['Windows', 'of windows', ...NAMES.slice(0, 5)]);
    expect(moveParts(course, ids('Doors', 'of doors'), rounds, anId('Intro'))).toEqual([]);
    expect(moveParts(course, ids('Doors'), rounds, anId('Doors'))).toEqual([]);
  });

  it('move to another lesson in their order, and back by undo', () => {
    const made = applyAll(course, moveParts(course, ids('of locks', 'Intro'), yard, anId('yard')));
    expect(pageOf(made, 1)).toEqual(['other', 'Intro', 'of locks']);
    const back = made.ok && applyAll(made.course, made.inverses);
    expect(back && back.ok && back.course).toEqual(course);
  });

  it('are copied with what they stand on, under ids of their own; checks are not', () => {
    const mark = {
      type: 'evidence' as const,
      attrs: { id: anId('e'), passages: [{ id: anId('p'), from: 0, to: 4 }], was: sentenceHash('Lock') },
    };
    const check = aCheck('asked', rounds.id);
    const standing: Block = { id: anId('standing'), kind: 'text', body: { text: plainRun('Lock', [mark]) } };
    const asked: Block = { id: anId('place'), kind: 'check', body: { checkId: check.id } };
    const full = {
      ...course,
      checks: [check],
      modules: [aModule('House', [aLesson('Rounds', [standing, asked]), yard])],
    };
    let serial = 0;
    const made = applyAll(
      full,
      copyParts(
        full,
        [standing.id, asked.id],
        yard,
        () => anId(`copy ${serial++}`),
        () => anId(`mark ${serial++}`),
      ),
    );
    if (!made.ok) throw new Error(made.problem.code);
    const [, copy, ...more] = allLessons(made.course)[1].blocks;
    expect(more).toEqual([]);
    expect(copy).toMatchObject({
      id: anId('copy 1'),
      body: { text: [{ text: 'Lock', marks: [{ attrs: { id: anId('mark 0'), passages: mark.attrs.passages } }] }] },
    });
    expect(allLessons(made.course)[0].blocks).toEqual([standing, asked]);
  });
});

describe('a page as it was', () => {
  it('comes back with its title and checks, out of the bin too, and everything else stays', () => {
    const before = aCourse();
    const then = pageAt(before, anId('First one'))!;
    const [first, , place] = then.lesson.blocks;
    const changed = applyAll(before, [
      { type: 'set', id: then.lesson.id, field: 'title', value: 'Other', was: then.lesson.title },
      { type: 'remove', id: first.id },
      { type: 'remove', id: place.id },
      { type: 'remove', id: anId('check') },
      { type: 'set', id: anId('Second one'), field: 'title', value: 'Kept', was: 'Second one' },
    ]);
    if (!changed.ok) throw new Error(changed.problem.code);
    const back = applyAll(changed.course, pageBack(changed.course, then));
    if (!back.ok) throw new Error(back.problem.code);
    expect(pageAt(back.course, anId('First one'))).toEqual(then);
    expect(allLessons(back.course)[2].title).toBe('Kept');
    expect(pageBack(back.course, then)).toEqual([]);
  });

  it('leaves what stands on another page by now where it is', () => {
    const before = aCourse();
    const then = pageAt(before, anId('First one'))!;
    const [first] = then.lesson.blocks;
    const moved = applyAll(before, [{ type: 'move', id: first.id, parent: anId('First two'), after: null }]);
    if (!moved.ok) throw new Error(moved.problem.code);
    expect(pageBack(moved.course, then)).toEqual([]);
  });
});
