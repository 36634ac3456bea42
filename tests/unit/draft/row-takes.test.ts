import { describe, expect, it } from 'vitest';
import { arrange, layTakes, type Arrangement } from '../../../core/course/arranging';
import { allLessons, emptyCourse, type Course } from '../../../core/course/course';
import { applyAll } from '../../../core/course/operations';
import { takeOutline } from '../../../core/course/taking';
import { validateCourse } from '../../../core/course/validate';
import { draftContext, contextFor } from '../../../core/draft/context';
import { outlineFor } from '../../../core/draft';
import { prepareCourse } from '../../../core/draft/from-course';
import { outlineNodes } from '../../../core/draft/operations';
import { planCourse } from '../../../core/draft/plan';
import { rowTakes } from '../../../core/draft/takes';
import type { Knowledge } from '../../../core/knowledge';
import { lessonsOf } from '../../../core/outline/proposal';
import { aBrief, anId, knowing } from '../../builders';

const HANDBOOK = `# The kiln

${['Loading', 'Firing', 'Cooling', 'Unloading', 'Cleaning']
  .map(
    (what) => `## ${what} the kiln

You must write the time of ${what.toLowerCase()} into the kiln book. Only a keyholder does the ${what.toLowerCase()}.
${what} takes at least ${what.length} hours, and nobody opens the lid before.

For example, last winter a potter was in a hurry with the ${what.toLowerCase()}, and forty cups had cracked by the morning.
`,
  )
  .join('\n')}
`;

async function kiln(): Promise<{ course: Course; knowledge: Knowledge[] }> {
  const knowledge = [await knowing(HANDBOOK)];
  const brief = aBrief({ promise: 'You clean the kiln so that nothing cracks' });
  const whole = draftContext(brief, knowledge);
  const outline = outlineFor(brief, whole, 'The kiln');
  const context = contextFor(whole, lessonsOf(outline));
  const empty = emptyCourse(anId('kiln'), 'The kiln', brief);
  const made = applyAll(empty, takeOutline(empty, outlineNodes(outline, planCourse(outline, context), context, [])));
  if (!made.ok) throw new Error(made.problem.code);
  return { course: made.course, knowledge };
}
const takesFor = (course: Course, knowledge: Knowledge[], row: string) => {
  const found = rowTakes(course, row, prepareCourse(course, knowledge))!;
  const laid = applyAll(
    course,
    layTakes(
      course,
      found.map(({ id, of, field, value }) => ({ id, of, field, value, made: { at: 1, by: '', why: 'draft' } })),
    ),
  );
  expect(laid.ok && validateCourse(laid.course)).toEqual([]);
  return found;
};

describe('other takes of a row', () => {
  it('of a lesson are another aim and less of its matter, with what would be left', async () => {
    const { course, knowledge } = await kiln();
    const [lesson] = allLessons(course);
    const found = takesFor(course, knowledge, lesson.id);
    const narrow = found.find(({ says }) => says.kind === 'narrow')!;
    const told = knowledge[0].source.passages.find(({ text }) => /forty cups/.test(text))!;
    expect(narrow.value).toEqual(lesson.plannedPassages.filter((id) => id !== told.id));
    expect(narrow.says).toMatchObject({ passages: 1, minutes: expect.any(Number) });
    for (const { field, value, of } of found)
      if (field === 'text') expect(course.objectives.find(({ id }) => id === of)!.text).not.toBe(value);
  });

  it('of a lesson are more of what nothing uses and is about it', async () => {
    const { course, knowledge } = await kiln();
    const [lesson] = allLessons(course);
    const told = knowledge[0].source.passages.find(({ text }) => /forty cups/.test(text))!;
    const less = lesson.plannedPassages.filter((id) => id !== told.id);
    lesson.plannedPassages = less;
    const wide = takesFor(course, knowledge, lesson.id).find(({ says }) => says.kind === 'wide')!;
    expect(wide.value).toEqual([...less, told.id]);
  });

  it('of a module are its lessons in two parts, in other orders, or with the next, and none is lost', async () => {
    const { course, knowledge } = await kiln();
    const [module] = course.modules;
    const all = allLessons(course).map(({ id }) => id);
    // Out of the order of the sources.
    module.lessons = [2, 4, 0, 1, 3].map((at) => module.lessons[at]);
    const found = takesFor(course, knowledge, module.id).filter(({ field }) => field === 'arrangement');
    expect(found.map(({ says }) => says.kind)).toEqual(
      expect.arrayContaining(['in-two', 'in-sources-order', 'promise-first']),
    );
    for (const { value } of found) {
      const arranged = applyAll(course, arrange(course, value as Arrangement));
      expect(
        arranged.ok &&
          allLessons(arranged.course)
            .map(({ id }) => id)
            .sort(),
      ).toEqual([...all].sort());
    }
    const orders = found.map(({ value }) => JSON.stringify((value as Arrangement).modules));
    expect(new Set(orders).size).toBe(orders.length);
    const promised = found.find(({ says }) => says.kind === 'promise-first')!.value as Arrangement;
    expect(course.modules[0].lessons.find(({ id }) => id === promised.modules[0].lessons[0])!.title).toMatch(
      /Cleaning/,
    );
  });

  it('are none of a row without matter, and of none where there is no row', async () => {
    const { course, knowledge } = await kiln();
    const prepared = prepareCourse(course, knowledge);
    expect(rowTakes(course, anId('nobody'), prepared)).toBeUndefined();
  });
});
