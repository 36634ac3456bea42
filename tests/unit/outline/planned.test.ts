import { describe, expect, it } from 'vitest';
import { beginPlan, planOf, PLANS, type PlanKey } from '../../../core/brief/plans';
import { allLessons, emptyCourse, type Course } from '../../../core/course/course';
import { applyAll } from '../../../core/course/operations';
import { validateCourse } from '../../../core/course/validate';
import { draftCourse } from '../../../core/draft';
import { aBrief, anId, knowing } from '../../builders';

/** Enough of each that it is a lesson of its own. */
const more = (about: string) =>
  ['first', 'second', 'third', 'fourth', 'fifth', 'sixth']
    .map((nth) => `The ${nth} porter of the hall writes down what was seen of the ${about} and tells the next one.`)
    .join(' ');
const SOURCE = `# The hall book

## Purpose of this book

It tells porters how the hall is kept. ${more('hall')}

## Words

A badge means a card that opens the doors. A day badge means a badge that ends at night. A tag means a paper with a number. A slot means a shelf with a number. ${more('words')}

## Taking in a parcel

To take in a parcel, follow these steps:

1. Weigh the parcel.
2. Write down its number.
3. Put it on the shelf.
4. Tell the receiver.

${more('parcel')}

## Lost keys and other accidents

If somebody is hurt, call the emergency number 112 at once. If a key is lost, the porter must change the lock within one day. Never go into the lift shaft. ${more('key')}

## Badges

The porter must hand out a badge before a guest goes in. Guests must wear the badge at the chest. Guests must not lend their badge. If a guest has no badge, the porter must call the host. ${more('badge')}
`;
const titles = ({ modules }: Course) => modules.map(({ lessons }) => lessons.map(({ title }) => title));
const by = async (plan: PlanKey) =>
  draftCourse(aBrief(), [await knowing(SOURCE)], 'The hall', undefined, {
    planned: { plan, topic: 'keeping the hall' },
  });

describe('the sources ordered by a course plan', () => {
  it('go where they suit; what the plan asks and the sources do not hold stays open, with its questions', async () => {
    const { course } = await by('task');
    expect(validateCourse(course)).toEqual([]);
    const [about, doing, trouble] = titles(course);
    expect(about).toEqual(expect.arrayContaining([expect.stringMatching(/^Purpose/), 'Words']));
    expect(about[0]).toMatch(/^Purpose/);
    expect(doing).toEqual(expect.arrayContaining(['Before you begin', 'Taking in a parcel', 'Badges']));
    expect(trouble).toEqual(expect.arrayContaining([expect.stringMatching(/^Lost keys/), 'Questions people ask']));
    const blank = allLessons(course).find(({ title }) => title === 'Before you begin')!;
    expect([blank.state, blank.lessonKind]).toEqual(['blank', 'procedure']);
    expect(course.answers!.filter(({ lesson }) => lesson === blank.id).map(({ question }) => question)).toEqual([
      'What must be ready, checked or agreed before keeping the hall begins?',
      'Who must not begin, or not alone?',
    ]);
  });

  it('differ between plans, and lose nothing to any of them', async () => {
    const made = await Promise.all((Object.keys(PLANS) as PlanKey[]).map(by));
    expect(new Set(made.map(({ course }) => JSON.stringify(titles(course)))).size).toBe(made.length);
    const taught = made.map(({ course }) =>
      [...new Set(allLessons(course).flatMap(({ plannedPassages }) => plannedPassages))].sort(),
    );
    for (const passages of taught) expect(passages).toEqual(taught[0]);
  });
});

describe('the plan of another course', () => {
  it('brings its rows, what they are for and what was asked, and none of its text', async () => {
    const { course } = await by('rules');
    const pinned = {
      ...course,
      modules: course.modules.map((module, at) =>
        at === 0 ? { ...module, lessons: module.lessons.map((lesson) => ({ ...lesson, minutesFixed: 4 })) } : module,
      ),
    };
    const empty = emptyCourse(anId('new'), 'New', aBrief());
    const made = applyAll(empty, beginPlan(empty, planOf(pinned), 'seed'));
    if (!made.ok) throw new Error(made.problem.code);
    expect(validateCourse(made.course)).toEqual([]);
    expect(titles(made.course)).toEqual(titles(course));
    const lessons = allLessons(made.course);
    expect(
      lessons.every(
        ({ state, blocks, plannedPassages }) => state === 'blank' && blocks.length + plannedPassages.length === 0,
      ),
    ).toBe(true);
    expect(lessons.map(({ lessonKind }) => lessonKind)).toEqual(allLessons(course).map(({ lessonKind }) => lessonKind));
    expect(lessons[0].minutesFixed).toBe(4);
    const text = (at: Course, id: string | undefined) => at.objectives.find((each) => each.id === id)?.text;
    expect(lessons.map(({ objectiveIds }) => text(made.course, objectiveIds[0]))).toEqual(
      allLessons(course).map(({ objectiveIds }) => text(course, objectiveIds[0])),
    );
    expect(lessons.every(({ id }) => made.course.answers!.some(({ lesson }) => lesson === id))).toBe(true);
    const undone = applyAll(made.course, made.inverses);
    expect(undone.ok && undone.course).toEqual(empty);
  });
});
