import { describe, expect, it } from 'vitest';
import type { Block } from '../../../core/blocks/forms';
import type { SurveyBody } from '../../../core/blocks/survey/form';
import { USUAL_RULES } from '../../../core/learning/rules';
import { learnerDesk } from '../../../server/desk/learners';
import { newsDesk } from '../../../server/desk/news';
import { releaseDesk } from '../../../server/desk/releases';
import { surveyDesk } from '../../../server/desk/surveys';
import { A_BLOCK_OF_EVERY_KIND } from '../../blocks';
import { aCourse, aLesson, aModule, anId } from '../../builders';
import { aChange, aDesk, INES, NOTHING_HANDED } from '../../data';

const FORM = A_BLOCK_OF_EVERY_KIND.find(({ kind }) => kind === 'survey') as Block & { kind: 'survey' };
const [RATING, , , , NUMBER, TEXT] = FORM.body.items.map(({ id }) => id);
const whole = (words: string, points = 3) => ({ [RATING]: points, [TEXT]: words });

/** A released course with a form, and two who learn by it. */
function asking(changes: Partial<SurveyBody> = {}) {
  const course = {
    ...aCourse(),
    modules: [aModule('M', [{ ...aLesson('asks'), blocks: [{ ...FORM, body: { ...FORM.body, ...changes } }] }])],
    checks: [],
  };
  const desk = aDesk(undefined, course);
  const now = () => desk.clock.at;
  const releases = releaseDesk(desk.db, desk.desk, now);
  const learners = learnerDesk(desk.db, releases, newsDesk(), now, NOTHING_HANDED);
  const surveys = surveyDesk(desk.db, releases, newsDesk(), now);
  const release = releases.make(desk.id, { note: '', access: 'link', rules: USUAL_RULES, move: true }, INES);
  let count = 0;
  const give = (answers: unknown, who = {}, sheet = anId(`s${count++}`), named = changes.named ?? true) =>
    surveys.give(release, FORM.id, { id: sheet, answers, named }, who);
  const [ada, ben] = ['Ada', 'Ben'].map((name) => learners.begin(desk.id, release, { name }).learner);
  return { ...desk, releases, learners, surveys, release, give, ada, ben };
}
const refusal = (work: () => void): string => {
  try {
    work();
  } catch (error) {
    return (error as { problem: { code: string } }).problem.code;
  }
  return '';
};

describe('with names', () => {
  it('a newer sheet of a learner takes the place of the one before, and can be read one by one', () => {
    const { give, surveys, id, ada, clock } = asking();
    give(whole('first'), { learner: ada });
    clock.at += 1000;
    give(whole('second', 5), { learner: ada });
    give(whole('of a guest'), { name: ' Cleo ' });
    const { count, sheets, items, held } = surveys.results(id, FORM.id);
    expect([count, held]).toEqual([2, 0]);
    expect(sheets.map(({ name }) => name).sort()).toEqual(['Ada', 'Cleo']);
    expect(sheets.find(({ name }) => name === 'Ada')!.answers).toEqual([
      { item: RATING, text: '5' },
      { item: TEXT, text: 'second' },
    ]);
    expect(items[0].mean).toBe(4);
    expect(surveys.sent(FORM.id, { learner: ada })).toEqual({ given: true, answers: whole('second', 5) });
  });

  it('nobody without a name is taken, and who is taken out is gone from it', () => {
    const { give, surveys, learners, id, ada, ben } = asking();
    expect(refusal(() => give(whole('x'), { name: ' ' }))).toBe('name-wanted');
    give(whole('of Ada'), { learner: ada });
    give(whole('of Ben'), { learner: ben });
    learners.remove(id, ada.id, true);
    learners.remove(id, ben.id, false);
    expect(surveys.results(id, FORM.id).sheets.map(({ name, answers }) => [name, answers[1].text])).toEqual([
      ['', 'of Ben'],
    ]);
  });

  it('a sheet is taken out, once', () => {
    const { give, surveys, id } = asking();
    give(whole('x'), { name: 'Cleo' }, anId('sheet'));
    surveys.drop(id, FORM.id, anId('sheet'));
    expect(surveys.results(id, FORM.id).count).toBe(0);
    expect(refusal(() => surveys.drop(id, FORM.id, anId('sheet')))).toBe('no-such-sheet');
  });
});

describe('without names', () => {
  it('nothing of a learner, and no time, is kept with what they answered', () => {
    const { give, db, ada, ben, surveys } = asking({ named: false });
    give(whole('of Ada'), { learner: ada, name: 'Ada' });
    give(whole('of a guest'), { name: 'Cleo' });
    const rows = db.prepare('select * from survey_sheet').all() as Record<string, unknown>[];
    expect(rows).toHaveLength(2);
    for (const row of rows) {
      expect([row.learner_id, row.name, row.received_at]).toEqual([null, null, null]);
      expect(JSON.stringify(row)).not.toContain(ada.id);
    }
    expect(surveys.sent(FORM.id, { learner: ada })).toEqual({ given: true });
    expect(surveys.sent(FORM.id, { learner: ben })).toEqual({ given: false });
  });

  it('they are shown from four on, in lists and tables alike', () => {
    const { give, surveys, id } = asking({ named: false });
    for (const words of ['c', 'a', 'b']) give(whole(words));
    expect(surveys.results(id, FORM.id)).toMatchObject({ count: 3, held: 3, sheets: [] });
    expect(surveys.results(id, FORM.id).items.every(({ answered }) => answered === 0)).toBe(true);
    expect(surveys.table(id, FORM.id).trim().split('\r\n')).toHaveLength(1);
    give(whole('=HYPERLINK("x")'));
    const { held, items, sheets } = surveys.results(id, FORM.id);
    expect([held, sheets]).toEqual([0, []]);
    expect(items[5].words).toEqual(['=HYPERLINK("x")', 'a', 'b', 'c']);
    // What a sheet of a spreadsheet would run is words.
    expect(surveys.table(id, FORM.id)).toContain('"\'=HYPERLINK(""x"")"');
  });

  it('what was said of names holds: a page that said otherwise is refused, and nothing of it kept', () => {
    const named = asking();
    expect(refusal(() => named.give(whole('x'), { learner: named.ada }, anId('s'), false))).toBe('form-changed');
    expect(named.surveys.results(named.id, FORM.id).count).toBe(0);
    const unnamed = asking({ named: false });
    expect(refusal(() => unnamed.give(whole('x'), { learner: unnamed.ada }, anId('s'), true))).toBe('form-changed');
    expect(unnamed.surveys.sent(FORM.id, { learner: unnamed.ada })).toEqual({ given: false });
  });

  it('a learner sends it once; the same sheet that came twice counts once', () => {
    const { give, surveys, id, ada } = asking({ named: false });
    give(whole('x'), { learner: ada }, anId('sheet'));
    give(whole('x'), { learner: ada }, anId('sheet'));
    expect(refusal(() => give(whole('y'), { learner: ada }))).toBe('given-already');
    expect(surveys.results(id, FORM.id).count).toBe(1);
  });
});

it('what is not the form’s own is refused, and what is answered outlasts newer releases', () => {
  const { give, surveys, releases, desk, id, release } = asking();
  const as = { name: 'Cleo' };
  expect(refusal(() => give({ [TEXT]: 'no points' }, as))).toBe('form-not-so');
  expect(refusal(() => give('words', as))).toBe('form-not-so');
  expect(
    refusal(() => surveys.give(release, anId('none'), { id: anId('s'), answers: whole('x'), named: true }, as)),
  ).toBe('no-such-form');
  give({ ...whole('x'), [NUMBER]: 7 }, as);
  const without = { ...FORM.body, items: FORM.body.items.filter((item) => item.id !== NUMBER) };
  desk.post(
    id,
    [aChange({ type: 'set', id: FORM.id, field: 'body', value: without, was: FORM.body })],
    desk.load(id).revision,
  );
  releases.make(id, { note: '', access: 'link', rules: USUAL_RULES, move: true }, INES);
  const { items } = surveys.results(id, FORM.id);
  expect(items.at(-1)).toMatchObject({ item: { id: NUMBER }, answered: 1, mean: 7 });
  expect(surveys.list(id)).toMatchObject([{ block: FORM.id, count: 1, named: true, apart: false }]);
});
