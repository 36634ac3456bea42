import { expect, it } from 'vitest';
import { allLessons } from '../../../core/course/course';
import { draftCourse } from '../../../core/draft';
import { aBrief, knowing } from '../../builders';

const TOPICS = { Porters: 'parcels', Cooks: 'pans', Gardeners: 'hedges', Drivers: 'vans' };
const SOURCE = `# The hall book\n\n${Object.entries(TOPICS)
  .map(
    ([who, what]) =>
      `## The ${what}\n\n${['count', 'clean', 'store', 'label', 'check', 'lend']
        .map((does) => `${who} must ${does} the ${what} and write the number of ${what} into the list.`)
        .join(' ')}\n`,
  )
  .join('\n')}`;

it.each(Object.entries(TOPICS))(
  'what goes first when a course for %s is short is not what they do',
  async (who, what) => {
    const brief = aBrief({ promise: '', audience: { who, knows: [] }, size: { minutes: 1, questionsPerLesson: 0 } });
    const { course } = draftCourse(brief, [await knowing(SOURCE)], 'The hall');
    const titles = allLessons(course).map(({ title }) => title.toLowerCase());
    expect(titles.length).toBeLessThan(4);
    expect(titles.join()).toContain(what);
  },
);
