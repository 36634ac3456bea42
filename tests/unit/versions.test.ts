import { describe, expect, it } from 'vitest';
import { overlaps } from '../../core/course/standing';
import { compareVersions } from '../../core/source/versions';
import { aCourse, anId, fromMarkdown } from '../builders';
import { meaningFor } from '../../server/words/newer';

const before =
  '# Policy\n\n## Loans\n\nA member must return every saw within three days.\n\nA deposit is paid in cash.\n\n## Keys\n\nKeys hang behind the desk.\n\nNobody lends a key.\n';
const after =
  '# Policy\n\n## Loans\n\nA member must return every saw within five days.\n\n## Keys\n\nKeys hang behind the desk.\n\nA deposit is paid in cash.\n\nThe workshop closes at eight in the evening.\n';

describe('a newer version of a source', () => {
  it('is told by what is the same, moved, changed, new and gone', async () => {
    const [one, two] = await Promise.all([fromMarkdown(before, 'p.md'), fromMarkdown(after, 'p.md')]);
    const { same, moved, changed, added, gone } = compareVersions(one, two);
    expect([same, moved]).toEqual([2, 1]);
    expect(changed.map(({ before: was, after: now }) => [was, now])).toEqual([
      ['A member must return every saw within three days.', 'A member must return every saw within five days.'],
    ]);
    expect(added.map(({ text }) => text)).toEqual(['The workshop closes at eight in the evening.']);
    expect(gone.map(({ text, path }) => [text, path])).toEqual([['Nobody lends a key.', ['Keys']]]);
    expect(compareVersions(one, one)).toEqual({ same: 4, moved: 0, changed: [], added: [], gone: [] });
  });

  it('says what of a course stood on it, down to sentence and question', async () => {
    const [one, two] = await Promise.all([fromMarkdown(before, 'p.md'), fromMarkdown(after, 'p.md')]);
    const course = aCourse();
    const range = { id: one.passages[0].id, from: 0, to: 10 };
    course.modules[1].lessons[0].blocks[0] = {
      id: anId('s'),
      kind: 'text',
      body: {
        text: [
          {
            type: 'text',
            text: 'Three days.',
            marks: [{ type: 'evidence', attrs: { id: anId('e'), passages: [range], was: 'abcdefghij' } }],
          },
        ],
      },
    };
    course.checks[0].evidence = [range];
    const meaning = meaningFor(course, { same: false, change: compareVersions(one, two) });
    expect(meaning).toMatchObject({
      sentences: 1,
      checks: 1,
      lessons: [anId('First one'), anId('Second one')],
      kept: 2,
      changed: [{ lessons: [anId('First one'), anId('Second one')] }],
      gone: [{ lessons: [] }],
    });
    expect(meaningFor(course, { same: true })).toEqual({ same: true });
  });
});

describe('ranges', () => {
  it.each([
    [0, 5, 4, 8, true],
    [0, 5, 5, 8, false],
    [2, 3, 0, 9, true],
  ])('%i to %i and %i to %i', (from, to, other, end, same) => {
    expect(overlaps({ id: 'p', from, to }, { id: 'p', from: other, to: end })).toBe(same);
    expect(overlaps({ id: 'p', from, to }, { id: 'q', from: other, to: end })).toBe(false);
  });
});
