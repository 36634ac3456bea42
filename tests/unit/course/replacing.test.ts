import { describe, expect, it } from 'vitest';
import { applyAll } from '../../../core/course/operations';
import { findInOutline, replaceInOutline } from '../../../core/course/replacing';
import { aCourse, aLesson, aModule, anId } from '../../builders';

const course = {
  ...aCourse(),
  checks: [],
  modules: [
    {
      ...aModule('Keys', [{ ...aLesson('Handing out keys'), objectiveIds: [anId('aim')] }]),
      purpose: 'Keys, not keyrings',
    },
    aModule('Doors', [aLesson('Key'), { ...aLesson('Locks'), objectiveIds: [anId('aim')] }]),
  ],
  objectives: [
    {
      id: anId('aim'),
      verb: 'carry-out' as const,
      object: 'a key',
      level: 'apply' as const,
      text: 'Hand a key out ($1)',
      evidence: [],
    },
  ],
};
const places = (sought: Parameters<typeof findInOutline>[1]) =>
  findInOutline(course, sought).map(({ text, count }) => [text, count]);
const after = (sought: Parameters<typeof findInOutline>[1], to: string) => {
  const result = applyAll(course, replaceInOutline(findInOutline(course, sought), sought, to));
  if (!result.ok) throw new Error(result.problem.code);
  const undone = applyAll(result.course, result.inverses);
  expect(undone.ok && undone.course).toEqual(course);
  return [
    ...result.course.modules.flatMap(({ title, purpose, lessons }) => [
      title,
      purpose,
      ...lessons.map((each) => each.title),
    ]),
    result.course.objectives[0].text,
  ];
};

describe('finding and replacing in an outline', () => {
  it('looks into titles, purposes and objectives, in their order', () => {
    expect(places({ words: 'key' })).toEqual([
      ['Keys', 1],
      ['Keys, not keyrings', 2],
      ['Handing out keys', 1],
      ['Hand a key out ($1)', 1],
      ['Key', 1],
      ['Hand a key out ($1)', 1],
    ]);
    expect(places({ words: 'key', whole: true }).map(([text]) => text)).toEqual([
      'Hand a key out ($1)',
      'Key',
      'Hand a key out ($1)',
    ]);
    expect(places({ words: 'Key', cased: true }).map(([text]) => text)).toEqual(['Keys', 'Keys, not keyrings', 'Key']);
    expect(places({ words: '($1)' })).toHaveLength(2);
    expect(places({ words: '  ' })).toEqual([]);
  });

  it('replaces all as one gesture, signs as they are, one objective once', () => {
    expect(after({ words: 'key' }, '$& badge')).toEqual([
      '$& badges',
      '$& badges, not $& badgerings',
      'Handing out $& badges',
      'Doors',
      '',
      '$& badge',
      'Locks',
      'Hand a $& badge out ($1)',
    ]);
  });

  it('leaves no title and no objective without words', () => {
    expect(after({ words: 'Key', whole: true }, '')).toEqual([
      'Keys',
      'Keys, not keyrings',
      'Handing out keys',
      'Doors',
      '',
      'Key',
      'Locks',
      'Hand a out ($1)',
    ]);
    expect(after({ words: 'Keys, not keyrings' }, '')[1]).toBe('');
  });
});
