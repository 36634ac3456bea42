import { expect, it } from 'vitest';
import { blockTexts, plainText } from '../../core/blocks/forms';
import { openingLesson } from '../../core/brief/opening-lesson';
import { allLessons } from '../../core/course/course';
import { applyAll } from '../../core/course/operations';
import { validateCourse } from '../../core/course/validate';
import { wordsFor } from '../../core/words';
import { aBrief, aCourse, anId } from '../builders';

const course = {
  ...aCourse(),
  brief: aBrief({ promise: 'You lend tools that come back whole.', audience: { who: 'desk volunteers', knows: [] } }),
};
let serial = 0;
const ids = { lesson: anId('opening'), block: () => anId(`opening ${serial++}`) };

it.each(['en', 'de', 'fr', 'es'])(
  'a course is opened by what its brief and outline say, in its language (%s)',
  (code) => {
    const { words } = wordsFor(code);
    const made = applyAll(course, openingLesson(course, ids, words));
    if (!made.ok) throw new Error(made.problem.code);
    expect(validateCourse(made.course)).toEqual([]);
    const [lesson] = allLessons(made.course);
    expect(lesson.title).toBe(words.opens.title);
    const said = lesson.blocks.map(plainText).join('\n');
    expect(said).toContain(course.brief.promise);
    expect(said).toContain('desk volunteers');
    for (const { title } of course.modules) expect(said).toContain(title);
    expect(said).not.toContain('{');
    // The author's own words are the author's; what we say is marked.
    const [promise, ...rest] = lesson.blocks.flatMap(blockTexts);
    expect(promise[0].marks).toBeUndefined();
    for (const text of rest) expect(text[0].marks).toBeDefined();
    const undone = applyAll(made.course, made.inverses);
    expect(undone.ok && undone.course).toEqual(course);
  },
);

it('nothing opens a course that has nothing in it', () =>
  expect(openingLesson({ ...course, modules: [] }, ids, wordsFor('en').words)).toEqual([]));
