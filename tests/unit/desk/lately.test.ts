import { describe, expect, it } from 'vitest';
import type { Operation } from '../../../core/course/operations';
import { USUAL_RULES } from '../../../core/learning/rules';
import { latelyOf } from '../../../server/desk/lately';
import { learnerDesk } from '../../../server/desk/learners';
import { NOTHING_HANDED } from '../../data';
import { newsDesk } from '../../../server/desk/news';
import { releaseDesk } from '../../../server/desk/releases';
import { aChange, aDesk, INES, TOM } from '../../data';
import { anId } from '../../builders';

const title = (value: string, was: string): Operation => ({
  type: 'set',
  id: anId('First one'),
  field: 'title',
  value,
  was,
});

describe('what happened lately', () => {
  it('is told newest first: changes of one hand together, releases, and who learned', () => {
    const { desk, db, id, clock, people } = aDesk();
    const releases = releaseDesk(db, desk, () => clock.at);
    const learners = learnerDesk(db, releases, newsDesk(), () => clock.at, NOTHING_HANDED);
    clock.at = 1_000;
    desk.post(id, [aChange(title('A', 'First one'))], 0, 'title');
    clock.at = 2_000;
    desk.post(id, [aChange(title('B', 'A'))], 1, 'lesson’s title');
    clock.at = 3_000;
    desk.post(id, [aChange(title('C', 'B'), TOM)], 2, 'title');
    clock.at = 4_000;
    const release = releases.make(id, { note: '', access: 'link', rules: USUAL_RULES, move: false }, INES);
    clock.at = 5_000;
    for (const name of ['Rosa Finch', 'Gus Ottley']) learners.begin(id, release, { name });
    const course = { id, title: desk.load(id).course.title };
    const told = latelyOf(db, INES);
    expect(told).toEqual([
      { kind: 'learner', course, at: 5_000, who: expect.arrayContaining(['Rosa Finch', 'Gus Ottley']) },
      { kind: 'release', course, at: 4_000, number: 1 },
      { kind: 'change', course, at: 3_000, who: 'Tom Ashby', what: ['title'] },
      { kind: 'change', course, at: 2_000, who: 'Ines Marlow', what: ['lesson’s title', 'title'] },
    ]);
    people.setRole(id, TOM, 'reviewer');
    expect(latelyOf(db, TOM).map(({ kind }) => kind)).toEqual(['release', 'change', 'change']);
    people.removeRole(id, TOM);
    expect(latelyOf(db, TOM)).toEqual([]);
  });
});
