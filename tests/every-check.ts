import type { CheckFrame } from '../core/checks/check';
import type { AreaCheck } from '../core/checks/area/form';
import { checkFormOf, type Check, type CheckKind, type CheckKinds } from '../core/checks/forms';
import { solutionOf, type LearnerCheck, type Secret } from '../core/checks/markings';
import type { MatchCheck } from '../core/checks/match/form';
import type { NumberCheck } from '../core/checks/number/form';
import type { OpenCheck } from '../core/checks/open/form';
import type { OrderCheck } from '../core/checks/order/form';
import type { ScenarioCheck } from '../core/checks/scenario/form';
import type { SeveralCheck } from '../core/checks/several/form';
import type { ShortCheck } from '../core/checks/short/form';
import type { SortCheck } from '../core/checks/sort/form';
import type { TruthCheck } from '../core/checks/truth/form';
import { inspectPicture } from '../core/media/inspect';
import { aCheck, anId } from './builders';
import { aPng } from './pictures';

const frameOf = (name: string): CheckFrame => ({
  id: anId(name),
  lessonId: anId('First one'),
  stem: `What of ${name}?`,
  evidence: [],
  level: 'recall',
  difficulty: 0.3,
});
const quotes = [{ text: 'Ladders go back first, then saws, then gloves.' }];
const said = (code: 'right' | 'own') => ({ code, quotes: [] });
export const A_STATEMENT: TruthCheck = { ...frameOf('statement'), kind: 'truth', answer: true, quotes: [] };
export const SEVERAL: SeveralCheck = {
  ...frameOf('several'),
  kind: 'several',
  credit: 'each',
  options: [
    { id: anId('gloves'), text: 'Gloves', feedback: said('right') },
    { id: anId('goggles'), text: 'Goggles', feedback: said('right') },
    { id: anId('sandals'), text: 'Sandals', feedback: { code: 'own', quotes: [], text: 'Your toes need cover.' } },
    { id: anId('scarf'), text: 'A loose scarf', feedback: said('own') },
  ],
  keys: [anId('gloves'), anId('goggles')],
};
export const ORDER: OrderCheck = {
  ...frameOf('order'),
  kind: 'order',
  credit: 'each',
  quotes,
  items: ['ladders', 'saws', 'gloves', 'keys'].map((text) => ({ id: anId(`in order ${text}`), text })),
};
export const MATCH: MatchCheck = {
  ...frameOf('match'),
  kind: 'match',
  credit: 'each',
  quotes,
  pairs: [
    { id: anId('p saw'), left: 'A saw', right: 'two days' },
    { id: anId('p ladder'), left: 'A ladder', right: 'one day' },
  ],
  others: [{ id: anId('o'), text: 'a year' }],
};
export const SORT: SortCheck = {
  ...frameOf('sort'),
  kind: 'sort',
  credit: 'each',
  quotes,
  groups: [
    { id: anId('g may'), text: 'May be lent' },
    { id: anId('g not'), text: 'Stays here' },
  ],
  items: [
    { id: anId('i saw'), text: 'A saw', group: anId('g may') },
    { id: anId('i lathe'), text: 'The lathe', group: anId('g not') },
    { id: anId('i kiln'), text: 'The kiln', group: anId('g not') },
  ],
};
export const NUMBER: NumberCheck = {
  ...frameOf('number'),
  kind: 'number',
  value: 1.5,
  tolerance: 0.25,
  unit: 'm',
  quotes,
  known: [{ id: anId('n'), value: 15, feedback: { code: 'own', quotes: [], text: 'Mind the point.' } }],
};
export const SHORT: ShortCheck = {
  ...frameOf('short'),
  kind: 'short',
  accepted: ['deposit box', 'the box'],
  spelling: 'close',
  quotes,
};
export const OPEN: OpenCheck = {
  ...frameOf('open'),
  kind: 'open',
  by: 'learner',
  model: 'Ask them to sit down, then ring.',
  looksFor: ['sitting down'],
  quotes,
};

/** A picture of 400 by 200, and its bytes. */
export const PIXELS = aPng(400, 200);
export const A_PICTURE = inspectPicture(PIXELS, 'bench.png');
export const AREA: AreaCheck = {
  ...frameOf('areas'),
  kind: 'area',
  credit: 'each',
  picture: {
    media: A_PICTURE,
    alt: 'The bench with two tools on it',
  },
  options: [
    { id: anId('z blade'), text: 'The blade', feedback: said('right'), box: { x: 50, y: 10, width: 25, height: 40 } },
    { id: anId('z grip'), text: 'The grip', feedback: said('own'), box: { x: 10, y: 10, width: 20, height: 40 } },
    { id: anId('z vice'), text: 'The vice', feedback: said('own'), box: { x: 10, y: 60, width: 30, height: 30 } },
  ],
  keys: [anId('z blade')],
};

const choice = (name: string, text: string, score: number, follows: string, to?: string) => ({
  id: anId(`w ${name}`),
  text,
  score,
  follows,
  quotes: score > 0 ? [{ text: 'Take the borrower aside.' }] : [],
  ...(to && { to: anId(to) }),
});
export const SCENARIO: ScenarioCheck = {
  ...frameOf('scenario'),
  kind: 'scenario',
  role: 'You are a volunteer at the desk.',
  scenes: [
    {
      id: anId('s desk'),
      title: 'At the desk',
      text: 'He is twelve days late, and two others wait behind him.',
      choices: [
        choice('argue', 'Tell him what he owes', -1, 'He shouts.', 's desk'),
        choice('aside', 'Take him aside', 2, 'He breathes out.', 's aside'),
        choice('later', 'Ask him to come back', 0, 'He leaves.'),
      ],
    },
    {
      id: anId('s aside'),
      title: 'Aside',
      text: 'He can pay most of it.',
      choices: [
        choice('let', 'Let the rest go', 0, 'You had no right to.', 's end'),
        choice('lead', 'Ask the desk lead', 2, 'She nods.', 's end'),
      ],
    },
    { id: anId('s end'), title: 'The end', text: 'He pays, and stays a member.', choices: [] },
  ],
  debrief: 'A fee is never worth a quarrel.',
};

/** A task that asks for words and a file, with two criteria. */
export const TASK: CheckKinds['task'] = {
  ...frameOf('task'),
  stem: 'Write the entry for the log.',
  kind: 'task',
  setting: 'A drill came back that made a noise and then stopped.',
  handIn: { words: { least: 3, most: 60 }, files: { most: 2, kinds: ['pictures', 'documents'] } },
  criteria: ['Take the battery out of the drill.', 'Tell the desk lead on the same day.'].map((text, at) => ({
    id: anId(`c${at}`),
    text,
    levels: ['It is there', 'It is there in part', 'It is missing'].map((level, place) => ({
      id: anId(`c${at} ${place}`),
      text: level,
      points: 2 - place,
    })),
    quotes: [{ text }],
  })),
  criteriaShown: true,
  model: 'I take the battery out of the drill. I tell the desk lead today, on the same day.',
  lastWord: 'learner',
  quotes: [],
};

/** A check of each kind. */
export const EVERY_CHECK: { [Kind in CheckKind]: CheckKinds[Kind] } = {
  choice: aCheck('choice'),
  several: SEVERAL,
  truth: A_STATEMENT,
  order: ORDER,
  match: MATCH,
  sort: SORT,
  number: NUMBER,
  short: SHORT,
  open: OPEN,
  area: AREA,
  scenario: SCENARIO,
  task: TASK,
};

/** The same check in another lesson, under a name of its own. */
export const another = (check: Check, name: string, lessonId: string): Check => ({
  ...check,
  id: anId(name),
  lessonId,
});

/** A response that is all wrong; undefined where there is none (an open answer). */
export function wrongTo(view: LearnerCheck, secret: Secret): unknown {
  const right = solutionOf(secret).response;
  switch (view.kind) {
    case 'choice':
      return view.options.find(({ id }) => id !== right)!.id;
    case 'several':
    case 'area':
      return view.options.filter(({ id }) => !(right as string[]).includes(id)).map(({ id }) => id);
    case 'truth':
      return !right;
    case 'order':
      return [...(right as string[])].reverse();
    case 'match':
      return paired(view.from, view.to, right as Record<string, string>);
    case 'sort':
      return paired(view.items, view.groups, right as Record<string, string>);
    case 'number':
      return 77_777;
    case 'short':
      return 'something else';
    case 'scenario': {
      // The way that is worth nothing: who asks him to come back.
      const { text } = SCENARIO.scenes[0].choices[2];
      return view.first.choices.filter((each) => each.text === text).map(({ id }) => id);
    }
    case 'open':
    case 'task':
      return undefined;
  }
}

const paired = (from: { id: string }[], to: { id: string }[], right: Record<string, string>) =>
  Object.fromEntries(from.map(({ id }) => [id, to.find((place) => place.id !== right[id])!.id]));

/** A check of each kind that a quiz can ask. */
export const ASKED_IN_QUIZZES: Check[] = Object.values(EVERY_CHECK).filter((check) => !checkFormOf(check).standsAlone);
