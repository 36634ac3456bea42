import { describe, expect, it, onTestFinished } from 'vitest';
import { openInstallation } from '../../../server/utils/installation';
import { aBriefInput, aFolder, INES } from '../../data';

const TOM = 'ptomashbyabcd';

/** A folder in which four things happened, and what its audit finds. */
function audited() {
  const desk = openInstallation(aFolder());
  onTestFinished(async () => {
    await desk.drafter.stop();
    desk.db.close();
  });
  desk.people.add({ id: INES, name: 'Ines', login: 'ines', role: 'owner' }, 'x.y', 1);
  desk.people.add({ id: TOM, name: 'Tom 100%', login: 'tom', role: 'member' }, 'x.y', 1);
  const course = desk.courses.create('Lending tools', aBriefInput(), INES);
  desk.audit.note(1, null, 'sign-in-refused', undefined, 'tom 10.0.0.1');
  desk.audit.note(2, INES, 'source-added', 'sgoneabcdefg2', course);
  desk.audit.note(3, INES, 'rights-offered', course, `${TOM} reviewer`);
  desk.audit.note(4, TOM, 'sign-out');
  return { course, find: (filter: object) => desk.audit.find({ most: 10, ...filter }) };
}

describe('the audit', () => {
  it('reads by names, also where a detail begins with an id', () => {
    const { find } = audited();
    expect(find({}).map(({ person, title, detail }) => [person, title, detail])).toEqual([
      ['Tom 100%', null, null],
      ['Ines', 'Lending tools', 'Tom 100% reviewer'],
      ['Ines', null, 'Lending tools'],
      [null, null, 'tom 10.0.0.1'],
    ]);
  });

  it('is filtered by kind, person, time and the words that are shown, and goes on below a line', () => {
    const { course, find } = audited();
    expect(find({ what: ['sign-out', 'sign-in-refused'] })).toHaveLength(2);
    expect(find({ person: TOM }).map((line) => line.what)).toEqual(['sign-out']);
    expect(find({ words: 'LENDING' })).toHaveLength(2);
    expect(find({ words: '100%' })).toHaveLength(2);
    expect(find({ words: course })).toHaveLength(0);
    expect(find({ since: 2, until: 4 }).map((line) => line.made_at)).toEqual([3, 2]);
    const [, second] = find({});
    expect(find({ before: second.id, most: 1 }).map((line) => line.made_at)).toEqual([2]);
  });
});
