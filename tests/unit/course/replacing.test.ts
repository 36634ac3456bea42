import { describe, expect, it } from 'vitest';
import { applyAll } from '../../../core/course/operations';
import { findWords, replaceWords } from '../../../core/course/replacing';
import { blockTexts, plainText, type Block } from '../../../core/blocks/forms';
import { evidencedSentences, plainRun, replay, sentenceHash } from '../../../core/document/rich-text';
import { aCheck, aCourse, aLesson, aModule, anId } from '../../builders';

const course = {
  ...aCourse(),
  checks: [],
  modules: [
    {
      ...aModule('Keys', [{ ...aLesson('Handing out keys', []), objectiveIds: [anId('aim')] }]),
      purpose: 'Keys, not keyrings',
    },
    aModule('Doors', [aLesson('Key', []), { ...aLesson('Locks', []), objectiveIds: [anId('aim')] }]),
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
const places = (sought: Parameters<typeof findWords>[1]) =>
  findWords(course, sought).map(({ text, count }) => [text, count]);
const after = (sought: Parameters<typeof findWords>[1], to: string) => {
  const result = applyAll(course, replaceWords(course, findWords(course, sought), sought, to));
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

describe('finding and replacing on pages', () => {
  const drafted = 'Lock every door.';
  const evidence = {
    type: 'evidence' as const,
    attrs: { id: anId('e'), passages: [{ id: anId('p'), from: 0, to: drafted.length }], was: sentenceHash(drafted) },
  };
  const blocks: Block[] = [
    { id: anId('drafted'), kind: 'text', body: { text: plainRun(drafted, [evidence]) } },
    { id: anId('terms'), kind: 'terms', body: { terms: [{ term: 'door', text: plainRun('What opens.') }] } },
    { id: anId('code'), kind: 'code', body: { code: 'door = 1' } },
    { id: anId('asked'), kind: 'check', body: { checkId: anId('check') } },
  ];
  const check = { ...aCheck('check', anId('Rounds')), stem: 'Which door?' };
  check.options[1] = {
    ...check.options[1],
    text: 'The back door',
    feedback: { code: 'own', quotes: [], text: 'No door.' },
  };
  const paged = { ...aCourse(), checks: [check], modules: [aModule('Night', [aLesson('Rounds', blocks)])] };
  const sought = { words: 'door', whole: true };

  it('looks into every kind of part and into what is asked, in order', () => {
    expect(findWords(paged, sought).map(({ id, part, count, row }) => [id, part, count, row])).toEqual([
      [anId('drafted'), 'page', 1, anId('Rounds')],
      [anId('terms'), 'page', 1, anId('Rounds')],
      [anId('code'), 'page', 1, anId('Rounds')],
      [anId('check'), 'check', 3, anId('Rounds')],
    ]);
  });

  it('changes them all, and what stands on a passage goes on to do so', () => {
    const made = applyAll(paged, replaceWords(paged, findWords(paged, sought), sought, 'gate'));
    if (!made.ok) throw new Error(made.problem.code);
    const [text, terms, code] = made.course.modules[0].lessons[0].blocks;
    const [sentence] = blockTexts(text).flatMap(evidencedSentences);
    expect(sentence.text).toBe('Lock every gate.');
    expect(sentence.mark.attrs.was).toBe(sentenceHash(sentence.text));
    expect(replay(sentence.mark.attrs.passages, () => drafted)).toBe(sentence.text);
    expect([plainText(terms), plainText(code)]).toEqual(['gate: What opens.', 'gate = 1']);
    expect(made.course.checks[0]).toMatchObject({
      stem: 'Which gate?',
      options: [{}, { text: 'The back gate', feedback: { text: 'No gate.' } }, {}],
    });
    const back = applyAll(made.course, made.inverses);
    expect(back.ok && back.course).toEqual(paged);
  });
});
