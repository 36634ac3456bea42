import type { Block } from '../core/blocks/forms';
import type { Check } from '../core/checks/forms';
import type { Course } from '../core/course/course';
import type { Operation } from '../core/course/operations';
import { blankQuiz } from '../core/course/quizzes';
import { idFrom } from '../core/document/id';
import { ASKING_LESSON, frame } from './frame';
import { WORKSHOP_PICTURE } from './picture';
import { SANDER } from './scenario';
import { DRILL } from './task';

const id = (...names: (string | number)[]) => idFrom('a', 'demo', 'alone', ...names);
const right = (text?: string) => ({ code: 'right' as const, quotes: [], ...(text && { text }) });
const own = (text: string) => ({ code: 'own' as const, quotes: [], text });

/** What the coordinator asks before somebody stands at the desk alone: questions of the kinds a draft has seldom. */
const CHECKS: Check[] = [
  {
    ...frame('bring', 'Which of these do you take over from the shift before you?'),
    kind: 'several',
    credit: 'each',
    options: [
      { id: id('bring', 'till'), text: 'The till, counted together', feedback: right() },
      { id: id('bring', 'keys'), text: 'The keys of the battery shelf', feedback: right() },
      { id: id('bring', 'tags'), text: 'The list of red tags', feedback: right() },
      {
        id: id('bring', 'coat'),
        text: 'The coat of whoever was here',
        feedback: own('Bring your own; the workshop is cold.'),
      },
      {
        id: id('bring', 'plans'),
        text: 'What they think of the members who came',
        feedback: own('Start fresh with everybody.'),
      },
    ],
    keys: [id('bring', 'till'), id('bring', 'keys'), id('bring', 'tags')],
  },
  {
    ...frame('open', 'Put the first ten minutes of a shift in order.'),
    kind: 'order',
    credit: 'each',
    quotes: [],
    items: [
      'Hang up your coat and put on the apron',
      'Look through the battery shelf',
      'Empty the returns box',
      'Unlock the front door',
    ].map((text, at) => ({ id: id('open', at), text })),
  },
  {
    ...frame('yours', 'What do you decide yourself, and what does the desk lead?'),
    kind: 'sort',
    credit: 'each',
    quotes: [],
    groups: [
      { id: id('yours', 'you'), text: 'You' },
      { id: id('yours', 'lead'), text: 'The desk lead' },
    ],
    items: [
      { id: id('yours', 1), text: 'Whether a hand tool is clean enough to go out', group: id('yours', 'you') },
      { id: id('yours', 2), text: 'Which slip goes into which box', group: id('yours', 'you') },
      { id: id('yours', 3), text: 'Whether a tower is lent on a windy day', group: id('yours', 'lead') },
      { id: id('yours', 4), text: 'Whether somebody is asked to leave', group: id('yours', 'lead') },
    ],
  },
  {
    ...frame('shelf', 'A saw comes back with a red tag. Where do you put it?', { picture: WORKSHOP_PICTURE }),
    kind: 'area',
    credit: 'all',
    options: [
      {
        id: id('shelf', 'box'),
        text: 'The returns box by the door',
        feedback: own('What lies there is looked at tomorrow, and perhaps lent again before.'),
        box: { x: 19, y: 58, width: 14.5, height: 21.5 },
      },
      {
        id: id('shelf', 'counter'),
        text: 'The counter, beside the till',
        feedback: own('The next volunteer would take it for a tool that waits for its slip.'),
        box: { x: 35, y: 42, width: 31.5, height: 37.5 },
      },
      {
        id: id('shelf', 'battery'),
        text: 'The battery shelf',
        feedback: own('Only batteries stand there, each in its place.'),
        box: { x: 69.5, y: 17, width: 14.5, height: 62.5 },
      },
      {
        id: id('shelf', 'repair'),
        text: 'The repair shelf, where other tools with red tags stand',
        feedback: right('Nobody lends from there before the tag is off.'),
        box: { x: 85, y: 17, width: 14, height: 62.5 },
      },
    ],
    keys: [id('shelf', 'repair')],
  },
  {
    ...frame('place', 'Where does a tool go that came back with a fault?', { level: 'recall' }),
    kind: 'short',
    accepted: ['the repair shelf', 'repair shelf', 'on the repair shelf'],
    spelling: 'close',
    quotes: [],
  },
  {
    ...frame(
      'queue',
      'Three people wait, the telephone rings, and a borrower starts to shout about a fee. What do you do first, and why?',
      { level: 'decide', points: 2, said: { right: 'There is more than one good way; ours is below.' } },
    ),
    kind: 'open',
    by: 'person',
    model: 'I let the telephone ring, tell the queue that it will take a moment, and ask the borrower to step aside.',
    looksFor: ['the queue is told', 'the borrower is taken aside', 'the desk lead is asked if it goes on'],
    quotes: [],
  },
  SANDER,
  DRILL,
];

/** A lesson of such questions, behind a lesson of a module. */
export function askingLesson(course: Pick<Course, 'id' | 'checks'>, module: string, after: string): Operation[] {
  const blocks: Block[] = [
    {
      id: idFrom('b', 'demo', 'alone'),
      kind: 'text',
      body: {
        text: [
          {
            type: 'text',
            text: 'Six questions, a story and a task before you stand at the desk alone. Take your time over them.',
          },
        ],
      },
    },
    ...CHECKS.map((check): Block => ({ id: idFrom('b', check.id), kind: 'check', body: { checkId: check.id } })),
  ];
  const lesson = {
    id: ASKING_LESSON,
    title: 'Before you stand alone',
    kind: 'lesson' as const,
    objectiveIds: [],
    state: 'in-work' as const,
    plannedPassages: [],
    blocks,
  };
  return [
    { type: 'insert', kind: 'lesson', parent: module, after, node: { ...lesson, blocks: [] } },
    ...CHECKS.map((node, at): Operation => ({
      type: 'insert',
      kind: 'check',
      parent: course.id,
      after: (CHECKS[at - 1] ?? course.checks.at(-1))?.id ?? null,
      node,
    })),
    ...blocks.map((node, at): Operation => ({
      type: 'insert',
      kind: 'block',
      parent: ASKING_LESSON,
      after: blocks[at - 1]?.id ?? null,
      node,
    })),
  ];
}

/** The quiz at the end: eight questions of all lessons, drawn anew for each try. */
export function finalQuizLesson(module: string, after: string): Operation {
  const id = idFrom('l', 'demo', 'final');
  const text =
    'This is what we ask before you get your badge. Nobody minds if you look something up in the lessons first.';
  return {
    type: 'insert',
    kind: 'lesson',
    parent: module,
    after,
    node: {
      ...blankQuiz(id, 'Ready for the desk?'),
      quiz: {
        pass: 0.7,
        tries: 2,
        minutes: 20,
        mix: true,
        shows: 'end',
        weight: 40,
        draw: { from: 'course', rules: [{ count: 3, level: 'apply' }, { count: 5 }] },
      },
      blocks: [{ id: idFrom('b', 'demo', 'final'), kind: 'text', body: { text: [{ type: 'text', text }] } }],
    },
  };
}
