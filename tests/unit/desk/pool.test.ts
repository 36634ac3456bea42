import { describe, expect, it } from 'vitest';
import { copiedCheck } from '../../../core/course/copied-check';
import { checkFormOf, type Check } from '../../../core/checks/forms';
import { POOL_PAGE, poolDesk } from '../../../server/desk/pool';
import { aCheck, aCourse, anId } from '../../builders';
import { aChange, aDesk, INES, TOM } from '../../data';
import { EVERY_CHECK } from '../../every-check';

const tagged = (name: string, more: Partial<Check> = {}) => ({ ...aCheck(name), ...more }) as Check;

/** A desk whose course holds some questions besides its own. */
function pooling(checks: readonly Check[]) {
  const made = aDesk();
  const { refused } = made.desk.post(
    made.id,
    checks.map((node) => aChange({ type: 'insert', kind: 'check', parent: made.id, after: null, node })),
    0,
  );
  expect(refused).toEqual([]);
  return { ...made, pool: poolDesk(made.desk) };
}
const stems = (found: { questions: { check: Check }[] }) => found.questions.map(({ check }) => check.stem);

describe('the questions of all courses', () => {
  it('leave out what was refused, and a copy of what is taken carries no refusal', () => {
    const refused = tagged('no', { stem: 'Too easy?', refused: { because: 'easy' } });
    const { pool } = pooling([refused, tagged('yes', { stem: 'Good?' })]);
    expect(stems(pool.search(INES, { from: 0, words: 'too easy' }))).toEqual([]);
    expect(stems(pool.search(INES, { from: 0, words: 'good' }))).toEqual(['Good?']);
    expect(copiedCheck(refused, anId('home'), anId('copy'), () => true)).not.toHaveProperty('refused');
  });

  it('are found by words without accents, kind, level and tag', () => {
    const { pool } = pooling([
      tagged('a', { stem: 'Wann schließt das Café?', tags: ['opening'] }),
      tagged('b', { stem: 'When does it open?', level: 'decide', tags: ['opening', 'basics'] }),
      { ...EVERY_CHECK.number, stem: 'How far?' },
    ]);
    const find = (search: object) => pool.search(INES, { from: 0, ...search });
    expect(stems(find({ words: 'CAFE schliesst' }))).toEqual([]);
    expect(stems(find({ words: 'cafe wann' }))).toEqual(['Wann schließt das Café?']);
    expect(stems(find({ kind: 'number' }))).toEqual(['How far?']);
    expect(stems(find({ level: 'decide' }))).toEqual(['When does it open?']);
    expect(stems(find({ tag: 'opening' })).toSorted()).toEqual(['Wann schließt das Café?', 'When does it open?']);
    expect(find({}).tags).toEqual(['basics', 'opening']);
  });

  it('say where they stand, those that stand first, and are seen by who has a part in their course', () => {
    const { pool, id } = pooling([tagged('offered', { stem: 'An offer?' })]);
    const { questions, of } = pool.search(INES, { from: 0 });
    expect(of).toBe(questions.length);
    expect(questions[0].stands).not.toEqual([]);
    expect(questions.at(-1)!.stands).toEqual([]);
    expect(pool.search(TOM, { from: 0 }).of).toBe(of);
    expect(pool.search('pnobodyatall', { from: 0 }).of).toBe(0);
    expect(pool.search(INES, { from: 0, besides: id }).of).toBe(0);
  });

  it('follow their course, page by page', () => {
    const many = Array.from({ length: POOL_PAGE + 5 }, (_, at) =>
      tagged(`many ${at}`, { stem: `Many, number ${at}?` }),
    );
    const { pool, desk, id } = pooling(many);
    const first = pool.search(INES, { words: 'many', from: 0 });
    expect([first.questions.length, first.of]).toEqual([POOL_PAGE, POOL_PAGE + 5]);
    expect(pool.search(INES, { words: 'many', from: POOL_PAGE }).questions).toHaveLength(5);
    const set = aChange({ type: 'set', id: many[0].id, field: 'stem', value: 'Other words?', was: many[0].stem });
    desk.post(id, [set], desk.load(id).revision);
    expect(pool.search(INES, { words: 'many', from: 0 }).of).toBe(POOL_PAGE + 4);
    expect(stems(pool.search(INES, { words: 'other words', from: 0 }))).toEqual(['Other words?']);
  });

  it.each(Object.values(EVERY_CHECK))('come as good copies: $kind', (check) => {
    const passage = { id: anId('passage'), from: 0, to: 4 };
    const whole = { ...check, evidence: [passage], objectiveId: anId('aim'), tags: ['kept'] } as Check;
    const copy = copiedCheck(whole, anId('there'), anId('copy'), () => false);
    expect(copy).toMatchObject({ id: anId('copy'), lessonId: anId('there'), evidence: [], tags: ['kept'] });
    expect(copy.objectiveId).toBeUndefined();
    expect(JSON.stringify(copy)).not.toContain('"passage"');
    expect(checkFormOf(copy).problems?.(copy) ?? []).toEqual([]);
    expect(checkFormOf(copy).text(copy)).toBe(checkFormOf(check).text(check));
    expect(copiedCheck(whole, anId('there'), anId('copy'), () => true).evidence).toEqual([passage]);
    expect(aCourse().checks).not.toContain(copy);
  });
});
