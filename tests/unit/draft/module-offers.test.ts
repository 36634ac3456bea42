import { describe, expect, it } from 'vitest';
import { allLessons } from '../../../core/course/course';
import { draftCourse } from '../../../core/draft';
import { moduleOffers } from '../../../core/draft/module-offers';
import { madeBy } from '../../../core/draft/offers';
import { startedFrom } from '../../../core/brief/starts';
import { lessonKindOf } from '../../../core/outline/lesson-kind';
import { unitsOf } from '../../../core/unit/units';
import { prepareCourse } from '../../../core/draft/from-course';
import { aBrief, knowing } from '../../builders';

const SOURCE = `# The hall book

## Parcels

To take in a parcel, follow these steps:

1. Weigh the parcel.
2. Write down its number.
3. Put it on the shelf.

The hall has fourteen porters. The porter must sign for every parcel within two hours. Never leave a wet parcel on the shelf.

On a Tuesday in May a porter once left a wet parcel on the shelf for a day. It had been a cold and quiet week, and nobody came to ask for it until the Friday.

## Questions

**Who pays the duty on a foreign parcel?**

The receiver pays the duty at the desk.

## Words

A badge means a card that opens the doors. A day badge means a badge that ends in the evening.

## Which bag

| Bag | Holds |
|---|---|
| Red | Letters |
| Blue | Parcels up to 5 kg |
| Grey | Parcels above 5 kg |
`;
const drafted = async (size: Partial<ReturnType<typeof aBrief>['size']> = {}) => {
  const knowledge = [await knowing(SOURCE)];
  const brief = aBrief({ size: { questionsPerLesson: 3, ...size } });
  return { knowledge, brief, ...draftCourse(brief, knowledge, 'The hall') };
};

describe('what sources offer a module’s own brief', () => {
  it('are limits to count by, what must not be done, questions people ask, and what its lessons lead to', async () => {
    const { course, knowledge } = await drafted();
    const all = course.modules.map(({ id }) => moduleOffers(course, id, knowledge)!);
    const texts = (key: 'result' | 'wrong' | 'asked' | 'actions') =>
      all.flatMap((each) => each[key].map(({ text }) => text));
    expect(texts('result')).toContain('The porter must sign for every parcel within two hours.');
    expect(texts('result').join(' ')).not.toContain('fourteen');
    expect(texts('wrong')).toContain('Never leave a wet parcel on the shelf.');
    expect(texts('asked')).toContain('Who pays the duty on a foreign parcel?');
    expect(texts('actions')).toContain('Take in a parcel, step by step');
    const passages = new Set(knowledge[0].source.passages.map(({ id }) => id));
    for (const offer of all.flatMap((each) => [...each.result, ...each.wrong, ...each.asked]))
      expect(passages.has(offer.passage!)).toBe(true);
  });

  it('are nothing for a module that is gone', async () => {
    const { course, knowledge } = await drafted();
    expect(moduleOffers(course, 'mnosuchmodule', knowledge)).toBeUndefined();
  });
});

describe('what lessons are for', () => {
  it.each([
    ['To take in a parcel, follow these steps:\n\n1. Weigh the parcel.\n2. Sign for it.\n3. Shelve it.', 'procedure'],
    ['A badge means a card that opens the doors. A day badge means a badge that ends at night.', 'idea'],
    ['| Bag | Holds |\n|---|---|\n| Red | Letters |\n| Blue | Parcels |\n| Grey | Keys |', 'comparison'],
    ['If a parcel is wet, the porter must call the sender. Never shelve a wet parcel.', 'decision'],
    ['The hall was built by the river. It has three doors and a garden behind the kitchen.', 'idea'],
  ])('is said by their matter: %s', async (text, kind) => {
    const knowledge = await knowing(`# Hall\n\n## Here\n\n${text}\n`);
    expect(lessonKindOf(unitsOf(knowledge).units, knowledge.claims)).toBe(kind);
  });

  it('stands in a drafted course', async () => {
    const { course } = await drafted();
    expect(allLessons(course).every(({ lessonKind }) => lessonKind !== undefined)).toBe(true);
  });
});

describe('minutes pinned on a lesson', () => {
  it('let what is light in it go, and nothing else', async () => {
    const { course, knowledge } = await drafted();
    const told = knowledge[0].source.passages.find(({ text }) => text.startsWith('On a Tuesday'))!.id;
    const of = ({ modules }: typeof free.plan) =>
      modules.flatMap(({ lessons }) => lessons).find(({ lesson }) => lesson.id === home.id)!;
    const home = allLessons(course).find(({ plannedPassages }) => plannedPassages.includes(told))!;
    const free = prepareCourse(course, knowledge);
    const modules = course.modules.map((module) => ({
      ...module,
      lessons: module.lessons.map((lesson) => (lesson === home ? { ...lesson, minutesFixed: 0.5 } : lesson)),
    }));
    const { plan } = prepareCourse({ ...course, modules }, knowledge);
    expect(free.plan.without.size).toBe(0);
    expect([...plan.without.values()]).toEqual(['light']);
    const words = of(plan).parts.flatMap(({ items }) => items.map(({ passage }) => passage.text));
    expect([of(plan).minutes, words.some((text) => text.startsWith('On a Tuesday'))]).toEqual([0.5, false]);
    expect(words.length).toBe(of(free.plan).parts.flatMap(({ items }) => items).length - 1);
  });
});

describe('a check for so many minutes', () => {
  it('limits those of short lessons, one at least', async () => {
    const most = async (checkEvery?: number) => {
      const { plan } = await drafted(checkEvery === undefined ? {} : { checkEvery });
      return plan.modules.flatMap(({ lessons }) => lessons.map(({ questions }) => questions));
    };
    expect(new Set(await most())).toEqual(new Set([3]));
    expect(new Set(await most(5))).toEqual(new Set([1]));
  });
});

describe('sizes of a brief', () => {
  it('are filled from a use; what its author fixed stays', () => {
    const size = { questionsPerLesson: 9, minutes: 7, modules: 2, wordsPerLesson: 200 };
    expect(startedFrom(size, 'reminder')).toEqual({
      questionsPerLesson: 1,
      minutes: 8,
      checkEvery: 3,
      modules: 2,
      wordsPerLesson: 200,
    });
    expect(startedFrom(size, 'whole')).toEqual({ questionsPerLesson: 3, modules: 2, wordsPerLesson: 200 });
  });

  it('cut lessons of about so many words', async () => {
    const THINGS = [
      'keys',
      'lamps',
      'boxes',
      'ropes',
      'doors',
      'coats',
      'bells',
      'maps',
      'tools',
      'cups',
      'books',
      'nets',
    ];
    const said = (thing: string) =>
      ['counts', 'cleans', 'stores', 'labels', 'lends', 'checks']
        .map((does) => `The porter ${does} the ${thing} of the hall and writes the number of ${thing} into the list.`)
        .join(' ');
    const sections = [`## About the hall\n\n${THINGS.map(said).join('\n\n')}\n`];
    const knowledge = [await knowing(`# Book\n\n${sections.join('\n')}`)];
    const lessons = (wordsPerLesson?: number) =>
      allLessons(
        draftCourse(
          aBrief({ size: { questionsPerLesson: 0, ...(wordsPerLesson && { wordsPerLesson }) } }),
          knowledge,
          'Book',
        ).course,
      ).length;
    expect(lessons(80)).toBeGreaterThan(lessons(320));
  });
});

describe('what a brief makes', () => {
  it('is counted before any text, and nothing without sources', async () => {
    const { brief, knowledge, course } = await drafted();
    const made = madeBy(brief, knowledge, 'The hall')!;
    expect([made.modules, made.lessons]).toEqual([course.modules.length, allLessons(course).length]);
    expect(made.words).toBeGreaterThan(100);
    expect(made.checks).toBeGreaterThan(0);
    expect(madeBy(brief, [], 'Nothing')).toBeUndefined();
  });
});
