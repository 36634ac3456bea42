import { beforeAll, describe, expect, it } from 'vitest';
import { focusOn } from '../../core/course/corrections';
import { lessonOfDifferences } from '../../core/course/compared';
import { allLessons, emptyCourse } from '../../core/course/course';
import { applyAll } from '../../core/course/operations';
import { evidencedSentences, replay } from '../../core/document/rich-text';
import { blockTexts } from '../../core/blocks/forms';
import { validateCourse } from '../../core/course/validate';
import { understand, type Knowledge } from '../../core/knowledge';
import { compareDocuments } from '../../core/knowledge/comparing';
import { corrected } from '../../core/knowledge/corrected';
import { topicsOf } from '../../core/knowledge/topics';
import { packFor } from '../../server/language/packs';
import { aBrief, aCourse, anId, fromFile, knowing } from '../builders';

let demo: Knowledge[];
beforeAll(async () => {
  demo = await Promise.all(
    ['lending-policy.docx', 'questions.html', 'battery-guide.pdf'].map(async (name) =>
      understand(await fromFile(`demo/files/${name}`), packFor('en')),
    ),
  );
});
const done = (course: ReturnType<typeof aCourse>, operations: Parameters<typeof applyAll>[1]) => {
  const applied = applyAll(course, operations);
  if (!applied.ok) throw new Error(applied.problem.code);
  return applied.course;
};

describe('topics', () => {
  it('of everything say what is held on each', () => {
    const view = topicsOf(demo, []);
    expect(view.topics.length).toBeGreaterThan(8);
    const labels = view.topics.map((topic) => topic.label);
    expect(labels).toEqual(expect.arrayContaining(['borrower', 'pack']));
    for (const topic of view.topics) expect(topic.passages).toBeLessThanOrEqual(view.passages.length);
    expect(view.topics.find((topic) => topic.label === 'pack')!.sourceIds).toContain(demo[2].source.id);
  });
  it('narrow step by step, each field within the one before', () => {
    const [wide, narrow] = [topicsOf(demo, ['returns']), topicsOf(demo, ['returns', 'late'])];
    expect(narrow.passages.length).toBeGreaterThan(0);
    const all = new Set(wide.passages.map((passage) => passage.id));
    expect(narrow.passages.every((passage) => all.has(passage.id))).toBe(true);
    expect(narrow.words).toBeLessThan(wide.words);
    expect(narrow.topics.map((topic) => topic.label)).not.toContain('late');
    expect(topicsOf(demo, ['returning']).passages.length).toBe(wide.passages.length);
  });
  it('of a field that nothing is said on are none, and of no sources neither', () => {
    for (const view of [topicsOf(demo, ['payroll']), topicsOf(demo, ['the']), topicsOf([], []), topicsOf([], ['tool'])])
      expect(view).toEqual({ passages: [], words: 0, claims: {}, topics: [] });
  });
  it('become the focus of a course', () => {
    const { passages } = topicsOf(demo, ['deposit']);
    const course = done(aCourse(), focusOn(aCourse(), passages));
    expect(validateCourse(course)).toEqual([]);
    expect(
      corrected(demo, course)
        .flatMap((each) => [...(each.focus ?? [])])
        .sort(),
    ).toEqual(passages.map((passage) => passage.id).sort());
    expect(done(course, focusOn(course, [])).corrections).toBeUndefined();
  });
});

describe('two documents side by side', () => {
  const OLD =
    '# Fees\n\nThe late fee is £2 per day for hand tools. A reminder goes out on the second day.\n\nThe desk is open on Saturday.\n\n## Old\n\nTools are weighed at the door before they leave the building.\n';
  const NEW =
    '# Fees\n\nThe late fee is £3 per day for hand tools. A reminder goes out on the second day.\n\nThe desk is open on Saturday.\n\n## New\n\nMembers may book ladders by telephone from Monday to Friday.\n';
  it('tell what is the same, said differently, and said by one alone', async () => {
    const [old, now] = [await knowing(OLD, 'old.md'), await knowing(NEW, 'new.md')];
    const made = compareDocuments(old, now);
    expect(made.same).toBe(2);
    expect(made.differs.map(({ sides }) => sides.map((side) => side.text))).toEqual([
      ['The late fee is £2 per day for hand tools.', 'The late fee is £3 per day for hand tools.'],
    ]);
    expect(made.differs[0].claim).toMatchObject({
      kind: 'comparison',
      ranges: made.differs[0].sides.map((side) => side.range),
    });
    expect(made.onlyFirst.map((said) => said.text)).toEqual([
      'Tools are weighed at the door before they leave the building.',
    ]);
    expect(made.onlySecond[0].path).toEqual(['New']);
    expect(compareDocuments(old, old)).toMatchObject({ same: 4, differs: [], onlyFirst: [], onlySecond: [] });
  });
  it("finds the demo's two deadlines", () => {
    expect(compareDocuments(demo[0], demo[1]).differs.map(({ sides }) => sides[0].text)).toContain(
      'A reserved tool must be collected within two opening days of the reserved date.',
    );
  });
  it('make a lesson, every cell on its words', async () => {
    const [old, now] = [await knowing(OLD, 'old.md'), await knowing(NEW, 'new.md')];
    const { differs } = compareDocuments(old, now);
    for (const course of [aCourse(), emptyCourse(anId('bare'), 'Bare', aBrief())]) {
      const after = done(course, lessonOfDifferences(course, differs, ['Old', 'New'], 'seed'));
      expect(validateCourse(after)).toEqual([]);
      const lesson = allLessons(after).at(-1)!;
      expect(lesson).toMatchObject({ title: 'What differs', state: 'drafted' });
      const passages = new Map(
        [old, now].flatMap((each) => each.source.passages.map((passage) => [passage.id, passage.text] as const)),
      );
      const cells = blockTexts(lesson.blocks[0]).flatMap(evidencedSentences);
      expect(cells).toHaveLength(2);
      for (const { mark, text } of cells) expect(replay(mark.attrs.passages, (id) => passages.get(id))).toBe(text);
    }
    expect(lessonOfDifferences(aCourse(), [], ['Old', 'New'], 'seed')).toEqual([]);
  });
});
