import { describe, expect, it } from 'vitest';
import { allLessons, type Course } from '../../../core/course/course';
import { applyAll, type Operation } from '../../../core/course/operations';
import {
  dropTake,
  keepBeside,
  pagesBeside,
  swapPage,
  swapText,
  takePage,
  textsBeside,
  type LessonPage,
} from '../../../core/course/takes';
import { validateCourse } from '../../../core/course/validate';
import { aCheck, aCourse, anId, aText, MAKER } from '../../builders';

function made(course: Course, operations: readonly Operation[]): Course {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(`${applied.problem.code} at ${applied.problem.place}`);
  expect(validateCourse(applied.course)).toEqual([]);
  // Whatever is done with takes is taken back to the letter.
  expect(applyAll(applied.course, applied.inverses, { log: true })).toMatchObject({ ok: true, course });
  return applied.course;
}
const course = aCourse();
const [lesson] = allLessons(course);
const drafted = { form: 'condition' as const, score: 0.9, reasons: [] };
/** A drafted page of one paragraph and one question. */
function aPage(name: string): LessonPage {
  const check = { ...aCheck(name, lesson.id), drafted };
  return {
    lesson: {
      ...lesson,
      state: 'drafted',
      blocks: [
        aText(`${name} text`, `Text of ${name}.`),
        { id: anId(`${name} place`), kind: 'check', body: { checkId: check.id } },
      ],
    },
    objectives: [],
    checks: [check],
  };
}

describe('a page for a lesson', () => {
  it('taken puts what stood there beside it; changed back, everything stands as it stood', () => {
    const taken = made(course, takePage(course, aPage('new'), anId('kept'), MAKER));
    expect(allLessons(taken)[0].blocks.map((block) => block.id)).toEqual([anId('new text'), anId('new place')]);
    const [kept] = pagesBeside(taken, lesson.id);
    expect(kept.value.lesson.blocks).toEqual(lesson.blocks);
    expect(taken.bin).toEqual([]);
    const back = made(taken, swapPage(taken, kept, anId('kept again'), MAKER));
    expect(allLessons(back)[0].blocks).toEqual(lesson.blocks);
    const [other] = pagesBeside(back, lesson.id);
    expect(other.value.checks.map((check) => check.id)).toEqual([anId('new')]);
    const forth = made(back, swapPage(back, other, anId('kept third'), MAKER));
    expect(allLessons(forth)[0].blocks).toEqual(allLessons(taken)[0].blocks);
    expect(forth.checks.map((check) => check.id).sort()).toEqual(taken.checks.map((check) => check.id).sort());
  });

  it('laid beside a lesson leaves it as it is, once', () => {
    const beside = made(course, keepBeside(course, aPage('late'), anId('take'), MAKER));
    expect(allLessons(beside)[0]).toEqual(lesson);
    expect(keepBeside(beside, aPage('late'), anId('take two'), MAKER)).toEqual([]);
    expect(keepBeside(course, { lesson, objectives: [], checks: [] }, anId('take'), MAKER)).toEqual([]);
    expect(
      keepBeside(course, { ...aPage('lost'), lesson: { ...lesson, id: anId('gone') } }, anId('take'), MAKER),
    ).toEqual([]);
    const dropped = made(beside, dropTake(anId('take')));
    expect(pagesBeside(dropped, lesson.id)).toEqual([]);
    expect(dropped.bin.map((entry) => entry.kind)).toEqual(['take']);
  });

  it('keeps a question that was written by hand, and one that stands elsewhere too', () => {
    const elsewhere: Course = { ...course, checks: course.checks.map((check) => ({ ...check, drafted })) };
    allLessons(elsewhere)[2].blocks.push({ id: anId('second place'), kind: 'check', body: { checkId: anId('check') } });
    const taken = made(elsewhere, takePage(elsewhere, aPage('new'), anId('kept'), MAKER));
    expect(taken.checks.map((check) => check.id)).toContain(anId('check'));
    expect(made(course, takePage(course, aPage('new'), anId('kept'), MAKER)).checks.map((check) => check.id)).toContain(
      anId('check'),
    );
  });

  it('taken again as it stands keeps nothing beside it', () => {
    const taken = made(course, takePage(course, aPage('new'), anId('kept'), MAKER));
    expect(pagesBeside(made(taken, takePage(taken, aPage('new'), anId('kept two'), MAKER)), lesson.id)).toHaveLength(1);
    expect(takePage(course, { ...aPage('new'), lesson: { ...lesson, id: anId('gone') } }, anId('kept'), MAKER)).toEqual(
      [],
    );
  });
});

describe('a text kept after a conflict', () => {
  it('changes places with the one that stands', () => {
    const [block] = lesson.blocks;
    const with_ = made(course, [
      {
        type: 'insert',
        kind: 'take',
        parent: course.id,
        after: null,
        node: {
          id: anId('words'),
          of: block.id,
          field: 'body',
          value: { text: [{ type: 'text', text: 'Mine.' }] },
          made: { ...MAKER, why: 'kept' as const },
        },
      },
    ]);
    const [text] = textsBeside(with_, allLessons(with_)[0]);
    const swapped = made(with_, swapText(text));
    expect(allLessons(swapped)[0].blocks[0].body).toEqual({ text: [{ type: 'text', text: 'Mine.' }] });
    expect(swapped.takes[0].value).toEqual(block.body);
    expect(textsBeside(with_, allLessons(with_)[1])).toEqual([]);
  });
});
