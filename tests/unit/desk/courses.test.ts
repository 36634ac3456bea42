import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonicalJson } from '../../../core/document/canonical';
import { allLessons } from '../../../core/course/course';
import {
  beginModuleAt,
  joinModuleBefore,
  moveRows,
  newLessonBelow,
  newModuleBelow,
  removeRows,
} from '../../../core/course/gestures';
import { restore } from '../../../core/course/restore';
import type { Operation } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { courseDesk } from '../../../server/desk/courses';
import { freshId } from '../../../server/ids';
import { aChange, aDesk, INES, TOM } from '../../data';
import { anId } from '../../builders';

const title = (value: string, was: string, id = anId('First one')): Operation => ({
  type: 'set',
  id,
  field: 'title',
  value,
  was,
});

describe('changes of a course', () => {
  it('are made once, however often they are sent', () => {
    const { desk, id } = aDesk();
    const change = aChange(title('Greeting', 'First one'));
    expect(desk.post(id, [change], 0)).toMatchObject({ revision: 1, accepted: [change.id], refused: [] });
    expect(desk.post(id, [change], 1)).toMatchObject({ revision: 1, accepted: [change.id], refused: [] });
    expect(allLessons(desk.load(id).course)[0].title).toBe('Greeting');
  });

  it('are there after a restart, letter by letter', () => {
    const { desk, id, db } = aDesk();
    desk.post(id, [aChange(title('Greeting', 'First one')), aChange({ type: 'remove', id: anId('Second two') })], 0);
    const again = courseDesk(db, () => 0);
    expect(canonicalJson(again.load(id).course)).toBe(canonicalJson(desk.load(id).course));
    expect(again.load(id).revision).toBe(2);
  });

  it('that do not fit are refused with what stands there now; the others are made', () => {
    const { desk, id } = aDesk();
    desk.post(id, [aChange(title('Toms title', 'First one'), TOM)], 0);
    const mine = aChange(title('My title', 'First one'));
    const posted = desk.post(id, [mine, aChange(title('Other', 'First two', anId('First two')))], 0);
    expect(posted.refused).toEqual([
      { id: mine.id, problem: { code: 'changed-meanwhile', place: `${anId('First one')}/title` }, now: 'Toms title' },
    ]);
    expect(posted.accepted).toHaveLength(1);
    expect(posted.missed).toEqual([title('Toms title', 'First one')]);
  });

  it('that a window missed come along, unless they are so many that it opens the course anew', () => {
    const { desk, id } = aDesk();
    const posts = Array.from({ length: 502 }, (_, at) =>
      aChange(title(`Title ${at + 1}`, at ? `Title ${at}` : 'First one')),
    );
    desk.post(id, posts, 0);
    expect(desk.changesSince(id, 2).missed).toHaveLength(500);
    expect(desk.changesSince(id, 1)).toEqual({ revision: 502, missed: undefined });
    expect(desk.takeBack(id, INES, 0, 'undo')).toMatchObject({ missed: undefined });
    expect(desk.post(id, [aChange(title('Late', 'Title 501'))], 0)).toMatchObject({
      accepted: [expect.any(String)],
      missed: undefined,
    });
  });

  it('of one burst of typing are one in the log, and go back as one', () => {
    const { desk, id, clock, db } = aDesk();
    const group = freshId('g');
    let was = 'First one';
    for (const now of ['F', 'Fi', 'Fir']) {
      clock.at += 800;
      desk.post(id, [aChange(title(now, was), INES, group)], 0);
      was = now;
    }
    expect(db.prepare('select count(*) as rows from change').get()).toEqual({ rows: 1 });
    expect(courseDesk(db, () => 0).load(id).course.modules[0].lessons[0].title).toBe('Fir');
    desk.takeBack(id, INES, 3, 'undo');
    expect(desk.load(id).course.modules[0].lessons[0].title).toBe('First one');
  });

  it('after a rest are a change of their own', () => {
    const { desk, id, clock, db } = aDesk();
    const group = freshId('g');
    desk.post(id, [aChange(title('A', 'First one'), INES, group)], 0);
    clock.at += 3001;
    desk.post(id, [aChange(title('B', 'A'), INES, group)], 1);
    expect(db.prepare('select count(*) as rows from change').get()).toEqual({ rows: 2 });
  });

  it('are found again when a merged one is sent once more', () => {
    const { desk, id } = aDesk();
    const group = freshId('g');
    const first = aChange(title('A', 'First one'), INES, group);
    desk.post(id, [first], 0);
    desk.post(id, [aChange(title('B', 'A'), INES, group)], 1);
    expect(desk.post(id, [first], 2)).toMatchObject({ accepted: [first.id], refused: [] });
    expect(desk.load(id).course.modules[0].lessons[0].title).toBe('B');
  });
});

describe('undo', () => {
  it('takes back a gesture as a whole, and redo makes it again, as often as wished', () => {
    const { desk, id } = aDesk();
    const start = canonicalJson(desk.load(id).course);
    const group = freshId('g');
    desk.post(
      id,
      [aChange(title('A', 'First one'), INES, group), aChange({ type: 'remove', id: anId('First two') }, INES, group)],
      0,
      'two things',
    );
    const done = canonicalJson(desk.load(id).course);
    for (let round = 0; round < 3; round++) {
      expect(desk.undoable(id, INES)).toEqual({ undo: 'two things', redo: undefined });
      desk.takeBack(id, INES, 0, 'undo');
      expect(canonicalJson(desk.load(id).course)).toBe(start);
      expect(desk.undoable(id, INES)).toEqual({ undo: undefined, redo: 'two things' });
      desk.takeBack(id, INES, 0, 'redo');
      expect(canonicalJson(desk.load(id).course)).toBe(done);
    }
  });

  it("is each person's own", () => {
    const { desk, id } = aDesk();
    desk.post(id, [aChange(title('Mine', 'First one'))], 0);
    desk.post(id, [aChange(title('Toms', 'First two', anId('First two')), TOM)], 1);
    desk.takeBack(id, INES, 2, 'undo');
    expect(
      allLessons(desk.load(id).course)
        .map((lesson) => lesson.title)
        .slice(0, 2),
    ).toEqual(['First one', 'Toms']);
  });

  it('is refused as a whole where somebody changed the same place since', () => {
    const { desk, id } = aDesk();
    desk.post(id, [aChange(title('Mine', 'First one'))], 0, 'my title');
    desk.post(id, [aChange(title('Toms', 'Mine'), TOM)], 1);
    expect(() => desk.takeBack(id, INES, 2, 'undo')).toThrowError(
      expect.objectContaining({
        problem: expect.objectContaining({ code: 'undo-changed-meanwhile', parameters: { what: 'my title' } }),
      }),
    );
    expect(desk.load(id).course.modules[0].lessons[0].title).toBe('Toms');
  });

  it('says so when there is nothing', () => {
    const { desk, id } = aDesk();
    expect(() => desk.takeBack(id, INES, 0, 'undo')).toThrowError('nothing-to-undo');
    desk.post(id, [aChange(title('A', 'First one'))], 0);
    desk.takeBack(id, INES, 1, 'undo');
    desk.post(id, [aChange(title('B', 'First one'))], 2);
    expect(() => desk.takeBack(id, INES, 3, 'redo')).toThrowError('nothing-to-redo');
  });

  it('of a thousand random gestures gives the starting bytes, also after a restart', () => {
    const { desk, id, db, clock } = aDesk();
    const start = canonicalJson(desk.load(id).course);
    const random = fc.sample(fc.tuple(fc.nat(7), fc.nat(1000), fc.nat(1000)), { numRuns: 1000, seed: 11 });
    for (const [kind, a, b] of random) {
      clock.at += 5000;
      const { course, revision } = desk.load(id);
      const rows = [...course.modules.map((module) => module.id), ...allLessons(course).map((lesson) => lesson.id)];
      const row = rows[a % Math.max(1, rows.length)] ?? null;
      const node = course.bin[b % Math.max(1, course.bin.length)]?.node.id ?? '';
      const operations = [
        () =>
          newLessonBelow(course, row, { lesson: freshId('l'), module: freshId('m') }, { lesson: `L${b}`, module: 'M' }),
        () => newModuleBelow(course, row, freshId('m'), `M${b}`),
        () => (row ? beginModuleAt(course, row, freshId('m')) : []),
        () => (row ? joinModuleBefore(course, row, freshId('l')) : []),
        () => (row ? moveRows(course, [row], b % 2 ? 1 : -1) : []),
        () => (row && rows.length > 4 ? removeRows(course, [row]) : []),
        () => restore(course, node),
        () =>
          row && course.modules.some((module) => module.id === row)
            ? []
            : row
              ? [
                  {
                    type: 'set',
                    id: row,
                    field: 'title',
                    value: `T${a}`,
                    was: allLessons(course).find((lesson) => lesson.id === row)!.title,
                  } as Operation,
                ]
              : [],
      ][kind]();
      const group = freshId('g');
      const posted = desk.post(
        id,
        operations.map((operation) => aChange(operation, INES, group)),
        revision,
      );
      expect(posted.refused).toEqual([]);
    }
    expect(validateCourse(desk.load(id).course)).toEqual([]);
    const later = courseDesk(db, () => clock.at);
    expect(canonicalJson(later.load(id).course)).toBe(canonicalJson(desk.load(id).course));
    while (later.undoable(id, INES).undo !== undefined) later.takeBack(id, INES, later.load(id).revision, 'undo');
    expect(canonicalJson(later.load(id).course)).toBe(start);
    expect(canonicalJson(courseDesk(db, () => 0).load(id).course)).toBe(start);
  });
});

describe('courses of a data folder', () => {
  it('are listed for those who have a part in them, and gone when removed', () => {
    const { desk, id } = aDesk();
    expect(desk.list(INES).map((row) => row.id)).toEqual([id]);
    expect(desk.list('pnobodyaaaaa')).toEqual([]);
    desk.remove(id, INES);
    expect(desk.list(INES)).toEqual([]);
    expect(() => desk.load(id)).toThrowError('no-such-course');
  });

  it('keep versions by name', () => {
    const { desk, id } = aDesk();
    desk.post(id, [aChange(title('A', 'First one'))], 0);
    desk.nameVersion(id, 'Outline accepted', INES);
    expect(desk.versions(id)).toMatchObject([{ name: 'Outline accepted', revision: 1 }]);
  });
});
