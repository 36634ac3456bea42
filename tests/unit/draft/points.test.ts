import { describe, expect, it } from 'vitest';
import { plainText } from '../../../core/blocks/forms';
import { allLessons, emptyCourse, type Course, type Lesson, type Point } from '../../../core/course/course';
import { blankLesson, blankModule } from '../../../core/course/gestures';
import { draftCourse } from '../../../core/draft';
import { draftLessonOf, prepareCourse } from '../../../core/draft/from-course';
import { pointOffers } from '../../../core/draft/points';
import type { Knowledge } from '../../../core/knowledge';
import { aBrief, anId, knowing } from '../../builders';

const SOURCE = `# The boat shed

## Taking a boat out

Before you take a boat out:

1. Sign the log.
2. Check the plug.
3. Put on a vest.

If the wind is above 20 knots, you must stay ashore. If a child is on board, you must take the wide boat. Nobody goes out alone.

A **wide boat** is a boat with two hulls.

## Coming back

You must rinse the boat within 30 minutes. Lock the oars away.

Last summer Ada left the oars out, and they were gone the next morning.

## Paying

Members pay nothing. Guests pay 12 euros before they go out.
`;

async function boats(changes: Partial<Lesson> = {}): Promise<{ course: Course; knowledge: Knowledge[] }> {
  const knowledge = [await knowing(SOURCE)];
  const course = emptyCourse(anId('boats'), 'The boat shed', aBrief());
  const paying = knowledge[0].source.passages.filter(({ locator }) => locator.path.includes('Paying'));
  const planned = knowledge[0].source.passages.filter((passage) => !paying.includes(passage)).map(({ id }) => id);
  const lesson = { ...blankLesson(anId('out'), 'Out and back'), plannedPassages: planned, ...changes };
  course.modules = [blankModule(anId('m'), 'All', [lesson])];
  return { course, knowledge };
}
const offersFor = ({ course, knowledge }: Awaited<ReturnType<typeof boats>>) =>
  pointOffers(course, anId('out'), prepareCourse(course, knowledge))!;
const draftOf = ({ course, knowledge }: Awaited<ReturnType<typeof boats>>) =>
  draftLessonOf(course, anId('out'), prepareCourse(course, knowledge));
const textOf = (lesson: Lesson) =>
  lesson.blocks.map((block) => (block.kind === 'check' ? '?' : plainText(block))).join(' | ');

describe('points offered for a lesson', () => {
  it('are what its units say, in words of the source, each with all its passages and what can be done', async () => {
    const { course, knowledge } = await boats();
    const { offered } = offersFor({ course, knowledge });
    expect(offered.flatMap(({ passages }) => passages)).toEqual(course.modules[0].lessons[0].plannedPassages);
    expect(offered.map(({ text, does }) => [text, does])).toEqual([
      ['Before you take a boat out', 'show'],
      ['If the wind is above 20 knots, you must stay ashore.', 'weigh'],
      [expect.stringMatching(/wide boat/i), 'explain'],
      [expect.any(String), expect.any(String)],
      ...offered.slice(4).map(() => expect.anything()),
    ]);
    expect(new Set(offered.map(({ id }) => id)).size).toBe(offered.length);
  });

  it('say what they lack, and what nothing uses would fit', async () => {
    const bare: Point = { id: anId('pay'), text: 'What guests pay', does: 'explain', passages: [] };
    const { course, knowledge } = await boats();
    const rinse = knowledge[0].source.passages.find(({ text }) => text.startsWith('You must rinse'))!;
    const show: Point = { id: anId('rinse'), text: 'Rinsing', does: 'show', passages: [rinse.id] };
    course.modules[0].lessons[0].points = [bare, show];
    const { fitting, lacking } = offersFor({ course, knowledge });
    const pays = knowledge[0].source.passages.find(({ text }) => text.startsWith('Members pay'))!;
    expect(fitting).toEqual({ [bare.id]: [pays.id] });
    expect(lacking).toEqual([show.id]);
  });
});

describe('a lesson with points', () => {
  it('is drafted in their order, an own wording over its part, one in words of the source not', async () => {
    const { course, knowledge } = await boats();
    const { offered } = offersFor({ course, knowledge });
    const [first, wind, ...rest] = offered;
    course.modules[0].lessons[0].points = [{ ...wind, text: 'When to stay ashore' }, first, ...rest];
    const { lesson } = draftOf({ course, knowledge });
    const text = textOf(lesson);
    expect(text).toMatch(/When to stay ashore \| If the wind is above 20 knots/);
    expect(text.indexOf('If the wind')).toBeLessThan(text.indexOf('Sign the log'));
    expect(text.match(/Before you take a boat out/g)).toHaveLength(1);
    for (const words of ['Check the plug', 'wide boat', 'rinse the boat', 'Ada left the oars'])
      expect(text).toContain(words);
    expect([...lesson.plannedPassages].sort()).toEqual([...course.modules[0].lessons[0].plannedPassages].sort());
  });

  it('is headed by no point that is proposed, be it the columns of a table or the names of terms', async () => {
    const source = `# Bins

You must sort what you throw away.

| Waste | Bin |
| --- | --- |
| Gloves | black |
| Paper | blue |
| Sharps | yellow |

- **Sharp:** anything that cuts or pricks.
- **Bib:** the cloth that lies on a patient.
`;
    const knowledge = [await knowing(source)];
    const course = emptyCourse(anId('bins'), 'Bins', aBrief());
    const planned = knowledge[0].source.passages.map(({ id }) => id);
    course.modules = [
      blankModule(anId('m'), 'All', [{ ...blankLesson(anId('out'), 'Sorting'), plannedPassages: planned }]),
    ];
    const { offered } = offersFor({ course, knowledge });
    expect(offered.map(({ text }) => text)).toEqual(expect.arrayContaining(['Waste, Bin', 'Sharp, bib']));
    course.modules[0].lessons[0].points = offered;
    expect(draftOf({ course, knowledge }).lesson.blocks.filter(({ kind }) => kind === 'heading')).toEqual([]);
  });

  it('has a check where the learner shall try, beyond the number asked, right behind it', async () => {
    const { course, knowledge } = await boats();
    course.brief.size.questionsPerLesson = 0;
    const back = knowledge[0].source.passages.filter(({ locator }) => locator.path.includes('Coming back'));
    course.modules[0].lessons[0].points = back.map(({ id, text }): Point => ({
      id: anId(text),
      text,
      does: /rinse/.test(text) ? 'try' : 'explain',
      passages: [id],
    }));
    const drafted = draftOf({ course, knowledge });
    expect(drafted.lesson.blocks.filter(({ kind }) => kind === 'check')).toHaveLength(1);
    expect(textOf(drafted.lesson)).toMatch(/Lock the oars away\. \| \? \| Last summer/);
    expect(offersFor({ course, knowledge }).lacking).toEqual([]);
  });

  it('keeps what is agreed at its points, whatever the size', async () => {
    const { course, knowledge } = await boats();
    const { offered } = offersFor({ course, knowledge });
    course.brief.size.minutes = 1;
    expect(textOf(draftOf({ course, knowledge }).lesson)).not.toContain('Ada left the oars');
    course.modules[0].lessons[0].points = offered;
    expect(textOf(draftOf({ course, knowledge }).lesson)).toContain('Ada left the oars');
  });

  it("is one of the author's own outline, its points with the passages about them", async () => {
    const own = {
      modules: [
        {
          title: 'On the water',
          lessons: [
            { title: 'Taking a boat out', points: ['The wide boat', 'Wind and a child on board', 'Lightning'] },
          ],
        },
      ],
    };
    const { course } = draftCourse(aBrief(), [await knowing(SOURCE)], 'Boats', undefined, { own });
    const [lesson] = allLessons(course);
    expect(lesson.points?.map(({ text }) => text)).toEqual(['The wide boat', 'Wind and a child on board', 'Lightning']);
    const [wide, wind, lightning] = lesson.points!;
    expect([wide.passages.length > 0, wind.passages.length > 0, lightning.passages]).toEqual([true, true, []]);
    expect(course.answers?.map(({ question }) => question)).toEqual(['What is there to say of “Lightning”?']);
  });
});
