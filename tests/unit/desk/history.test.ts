import { describe, expect, it } from 'vitest';
import { allLessons } from '../../../core/course/course';
import { pageBack } from '../../../core/course/page-history';
import { plainText } from '../../../core/blocks/forms';
import { historyDesk } from '../../../server/desk/history';
import { aChange, aDesk, TOM } from '../../data';
import { aLesson, anId, aText } from '../../builders';

const LESSON = anId('First one');
const words = (text: string, was: string) => ({
  type: 'set' as const,
  id: anId('First one-b1'),
  field: 'body',
  value: aText('x', text).body,
  was: aText('x', was).body,
});

describe('the history of a lesson', () => {
  it('tells who changed it when, parts that are gone as well, and nothing of other lessons', () => {
    const { desk, db, id } = aDesk();
    const history = historyDesk(db, desk);
    expect(history.moments(id, LESSON)).toEqual([]);
    desk.post(id, [aChange(words('New words.', 'Words of First one.'))], 0);
    desk.post(id, [aChange({ type: 'remove', id: anId('First one-b1') }, TOM)], 1);
    desk.post(id, [aChange({ type: 'set', id: anId('Second one'), field: 'title', value: 'X', was: 'Second one' })], 2);
    const moments = history.moments(id, LESSON);
    expect(moments.map(({ revision, came }) => [revision, came])).toEqual([
      [2, undefined],
      [1, undefined],
      [0, true],
    ]);
    expect(new Set(moments.map(({ by }) => by)).size).toBe(3);
  });

  it('begins with the change that made the lesson, where one did', () => {
    const { desk, db, id } = aDesk();
    const node = aLesson('Fresh');
    desk.post(id, [aChange({ type: 'insert', kind: 'lesson', parent: anId('First'), after: null, node })], 0);
    expect(
      historyDesk(db, desk)
        .moments(id, node.id)
        .map(({ revision }) => revision),
    ).toEqual([1]);
  });

  it('shows how it stood at any time, and brings that back', () => {
    const { desk, db, id } = aDesk();
    const history = historyDesk(db, desk);
    const page = (revision: number) => history.page(id, LESSON, revision).lesson.blocks.map(plainText).slice(0, 2);
    const before = page(0);
    desk.post(id, [aChange(words('New words.', 'Words of First one.'))], 0);
    desk.post(id, [aChange({ type: 'remove', id: anId('First one-b2') })], 1);
    expect(page(0)).toEqual(before);
    expect(page(1)).toEqual(['New words.', before[1]]);
    const { course, revision } = desk.load(id);
    const operations = pageBack(course, history.page(id, LESSON, 0));
    desk.post(
      id,
      operations.map((operation) => aChange(operation)),
      revision,
    );
    expect(allLessons(desk.load(id).course)[0].blocks.map(plainText).slice(0, 2)).toEqual(before);
    expect(() => history.page(id, LESSON, 99)).toThrow('no-such-version');
    expect(() => history.page(id, anId('nobody'), 0)).toThrow('gone');
  });
});
