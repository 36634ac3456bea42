import type { Block } from '../blocks/forms';
import { allLessons, placedChecks, type Course, type Lesson } from '../course/course';
import type { Operation } from '../course/operations';
import { plainRun, type RichText } from '../document/rich-text';
import { say, type Words } from '../words';
import { courseMinutes } from './sizing';

const ours = (text: string): RichText => plainRun(text, [{ type: 'connecting' }]);

/**
 * A first lesson of a course, made of its brief and outline: what it promises, for whom it is, how long it takes, what
 * comes in it, that it is asked about. The promise and the titles are the author's own words, the rest is ours and
 * marked so. No operations in a course without modules. `words` are the learner's.
 */
export function openingLesson(
  course: Course,
  ids: { lesson: string; block: () => string },
  { opens }: Words,
): Operation[] {
  const [first] = course.modules;
  if (!first) return [];
  const { promise, audience } = course.brief;
  const checks = placedChecks(course).length;
  const paragraph = (text: RichText): Block => ({ id: ids.block(), kind: 'text', body: { text } });
  const lines = [
    ...(promise ? [plainRun(promise)] : []),
    ...(audience.who ? [ours(say(opens.who, { who: audience.who }))] : []),
    ours(say(opens.takes, { minutes: Math.round(courseMinutes(course)), lessons: allLessons(course).length })),
  ];
  const lesson: Lesson = {
    id: ids.lesson,
    title: opens.title,
    kind: 'lesson',
    objectiveIds: [],
    state: 'in-work',
    plannedPassages: [],
    blocks: [
      ...lines.map(paragraph),
      paragraph(ours(opens.comes)),
      {
        id: ids.block(),
        kind: 'list',
        body: {
          ordered: true,
          items: course.modules.map(({ title, purpose }) => ({
            depth: 0,
            text: [...plainRun(title, [{ type: 'strong' }]), ...(purpose ? ours(`: ${purpose}`) : [])],
          })),
        },
      },
      ...(checks > 0 ? [paragraph(ours(say(opens.checks, { checks })))] : []),
    ],
  };
  return [{ type: 'insert', kind: 'lesson', parent: first.id, after: null, node: lesson }];
}
