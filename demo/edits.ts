import { allLessons, type Course, type Lesson, type LessonState } from '../core/course/course';
import { idFrom } from '../core/document/id';
import { WORKSHOP_PICTURE } from './picture';
import { askingLesson, finalQuizLesson } from './checks';
import { mediaEdits, type DemoMedia } from './media';
import { feedbackLesson } from './survey';
import { ASKING_LESSON } from './frame';
import { applyAll, type Operation } from '../core/course/operations';

/** How far the work on each lesson has come in the demo, from the first on; all behind are drafted. */
const STATES: LessonState[] = ['approved', 'approved', 'approved', 'for-review', 'for-review', 'in-work', 'in-work'];
const PURPOSES: [about: RegExp, purpose: string][] = [
  [/rights|members/i, 'Know who may borrow what, and on which terms'],
  [/checking a tool out/i, 'Hand a tool out in a safe state'],
  [/checking a tool in/i, 'Take a tool back and say what is owed'],
  [/people/i, 'Stay calm and kind when somebody is not'],
  [/batter/i, 'Keep packs from failing in a borrower’s hands'],
  [/shift/i, 'Know a shift from opening to closing'],
  [/years/i, 'Learn from what went wrong before'],
];

/**
 * What the coordinator changed in the draft by hand: purposes, states, a lesson of her own with a paragraph, one of
 * questions, one sentence changed, and what she shows.
 */
export function handEdits(course: Course, media: DemoMedia): Operation[] {
  const operations: Operation[] = [];
  let edited = course;
  const add = (...more: Operation[]) => {
    const applied = applyAll(edited, more);
    if (!applied.ok) throw new Error(`${applied.problem.code} at ${applied.problem.place}`);
    edited = applied.course;
    operations.push(...more);
  };
  for (const module of course.modules) {
    const purpose = PURPOSES.find(([about]) => about.test(module.title))?.[1];
    if (purpose) add({ type: 'set', id: module.id, field: 'purpose', value: purpose, was: module.purpose });
  }
  allLessons(course).forEach(
    (lesson, at) =>
      STATES[at] && add({ type: 'set', id: lesson.id, field: 'state', value: STATES[at], was: lesson.state }),
  );
  const changed = allLessons(course)[STATES.length - 1].blocks.find((block) => block.kind === 'text');
  if (changed?.kind === 'text') {
    const text = [
      ...changed.body.text,
      { type: 'text' as const, text: ' Say it kindly: most people did not mean to.' },
    ];
    add({ type: 'set', id: changed.id, field: 'body', value: { text }, was: changed.body });
  }
  const last = course.modules.at(-1)!;
  const own: Lesson = {
    id: idFrom('l', 'demo', 'own'),
    title: 'Your first shift',
    kind: 'lesson',
    objectiveIds: [],
    state: 'blank',
    plannedPassages: [],
    blocks: [
      {
        id: idFrom('b', 'demo', 'own'),
        kind: 'text',
        body: {
          text: [
            { type: 'text', text: 'On your first shift you stand beside somebody who has done fifty. Ask everything.' },
          ],
        },
      },
      {
        id: idFrom('b', 'demo', 'workshop'),
        kind: 'picture',
        body: {
          picture: WORKSHOP_PICTURE.media,
          alt: WORKSHOP_PICTURE.alt,
          caption: [{ type: 'text', text: 'The desk as you see it from the street.' }],
        },
      },
    ],
  };
  add({ type: 'insert', kind: 'lesson', parent: last.id, after: last.lessons.at(-1)!.id, node: own });
  add(...askingLesson(course, last.id, own.id), finalQuizLesson(last.id, ASKING_LESSON));
  add(...feedbackLesson(edited));
  add(...mediaEdits(edited, media));
  return operations;
}
