import { describe, expect, it } from 'vitest';
import { emptyCourse } from '../../../core/course/course';
import { drafterFor } from '../../../server/drafting/drafter';
import { openDatabase } from '../../../server/database/open';
import { aBrief, anId, aSource } from '../../builders';
import { aFolder } from '../../data';

function aDrafter() {
  const folder = aFolder();
  openDatabase(folder).close();
  return drafterFor(folder);
}
const source = aSource([
  { kind: 'heading', level: 1, text: 'Saws' },
  { kind: 'paragraph', text: 'A member must wipe the saw with oil before it is hung up.' },
]);

describe('the drafting worker', () => {
  it('answers each question to the one who asked it', async () => {
    const drafter = aDrafter();
    const german = { ...source, language: 'de' };
    const [one, two, three] = await Promise.all([
      drafter.ask('understand', { source }),
      drafter.ask('understand', { source: german }),
      drafter.ask('understand', { source }),
    ]);
    expect(one.claims.map((claim) => claim.kind)).toContain('rule');
    // English words are no rules in German.
    expect(two.claims).toEqual([]);
    expect(three).toEqual(one);
    await drafter.stop();
  });

  it('gives problems as problems, and goes on', async () => {
    const drafter = aDrafter();
    const course = emptyCourse(anId('empty'), 'Empty', aBrief());
    await expect(
      drafter.ask('lesson', { courseId: course.id, revision: 7, lessonId: anId('none'), sources: [] }),
    ).rejects.toMatchObject({ problem: { code: 'no-such-version' } });
    await expect(drafter.ask('unused', { course, lessonId: anId('none'), sources: [] })).resolves.toEqual([]);
    await drafter.stop();
  });

  it('that broke is started again with the next question; what it was asked is told to have failed', async () => {
    const drafter = aDrafter();
    // Nothing of a source: what the worker throws here is a fault of ours, not a problem.
    await expect(drafter.ask('understand', { source: null as never })).rejects.toThrow();
    const answered = await drafter.ask('understand', { source });
    expect(answered.claims.length).toBeGreaterThan(0);
    await drafter.stop();
    const again = await drafter.ask('understand', { source });
    expect(again).toEqual(answered);
    await drafter.stop();
  });
});
