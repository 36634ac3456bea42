import type { CheckFrame } from './check';
import type { CriterionLevel } from './task/form';
import { rewordedFields, type Check, type CheckKind, type CheckKinds } from './forms';

type Fresh<Kind extends CheckKind> = (
  id: (letter: string) => string,
) => Pick<CheckFrame, 'stem'> & Omit<CheckKinds[Kind], keyof CheckFrame>;

/** The levels of a new criterion, the best one first. */
export function freshLevels(id: (letter: string) => string): CriterionLevel[] {
  return LEVELS.map((text, at) => ({ id: id('l'), text, points: LEVELS.length - 1 - at }));
}
const LEVELS = ['It is there', 'It is there in part', 'It is missing'];

const right = { code: 'right' as const, quotes: [] };
const own = { code: 'own' as const, quotes: [] };

/** What a new check of each kind has beside its frame, to be written over; `id` gives ids by their letter. */
export const FRESH: { [Kind in CheckKind]: Fresh<Kind> } = {
  choice(id) {
    const [key, wrong] = [id('a'), id('a')];
    return {
      kind: 'choice',
      stem: 'What do you ask?',
      key,
      options: [
        { id: key, text: 'The right answer', feedback: right },
        { id: wrong, text: 'A wrong answer', feedback: own },
      ],
    };
  },
  several(id) {
    const [one, two, wrong] = [id('a'), id('a'), id('a')];
    return {
      kind: 'several',
      stem: 'Which of these are right?',
      keys: [one, two],
      credit: 'each',
      options: [
        { id: one, text: 'A right answer', feedback: right },
        { id: two, text: 'Another right answer', feedback: right },
        { id: wrong, text: 'A wrong answer', feedback: own },
      ],
    };
  },
  truth: () => ({ kind: 'truth', stem: 'What is said to be so?', answer: true, quotes: [] }),
  order: (id) => ({
    kind: 'order',
    stem: 'Put these in the right order.',
    items: ['The first', 'The second', 'The third'].map((text) => ({ id: id('a'), text })),
    credit: 'each',
    quotes: [],
  }),
  match: (id) => ({
    kind: 'match',
    stem: 'What belongs together?',
    pairs: [
      { id: id('a'), left: 'One thing', right: 'What belongs to it' },
      { id: id('a'), left: 'Another thing', right: 'What belongs to that' },
    ],
    others: [],
    credit: 'each',
    quotes: [],
  }),
  sort(id) {
    const [one, other] = [id('a'), id('a')];
    return {
      kind: 'sort',
      stem: 'Which group does each belong to?',
      groups: [
        { id: one, text: 'One group' },
        { id: other, text: 'The other group' },
      ],
      items: [
        { id: id('a'), text: 'Belongs to the one', group: one },
        { id: id('a'), text: 'Belongs to the other', group: other },
      ],
      credit: 'each',
      quotes: [],
    };
  },
  number: () => ({ kind: 'number', stem: 'How many?', value: 1, tolerance: 0, known: [], quotes: [] }),
  short: () => ({ kind: 'short', stem: 'What is it called?', accepted: ['the answer'], spelling: 'close', quotes: [] }),
  scenario(id) {
    const [first, good, bad] = [id('s'), id('s'), id('s')];
    return {
      kind: 'scenario',
      stem: 'What do you do?',
      role: '',
      scenes: [
        {
          id: first,
          title: '',
          text: '',
          choices: [
            { id: id('a'), text: 'What you should do', to: good, score: 2, follows: '', quotes: [] },
            { id: id('a'), text: 'What is done too easily', to: bad, score: 0, follows: '', quotes: [] },
          ],
        },
        { id: good, title: '', text: '', choices: [] },
        { id: bad, title: '', text: '', choices: [] },
      ],
    };
  },
  area(id) {
    const [key, wrong] = [id('a'), id('a')];
    return {
      kind: 'area',
      stem: 'Where in the picture is it?',
      keys: [key],
      credit: 'each',
      options: [
        {
          id: key,
          text: 'What is to be seen at the right place',
          feedback: right,
          box: { x: 10, y: 20, width: 30, height: 40 },
        },
        {
          id: wrong,
          text: 'What is to be seen elsewhere',
          feedback: own,
          box: { x: 60, y: 20, width: 30, height: 40 },
        },
      ],
    };
  },
  task: (id) => ({
    kind: 'task',
    stem: 'What is to be done and handed in?',
    setting: '',
    handIn: { words: { most: 300 } },
    criteria: [{ id: id('c'), text: MORE_WORDS.criterion, levels: freshLevels(id), quotes: [] }],
    criteriaShown: true,
    model: '',
    lastWord: 'confirmed',
    quotes: [],
  }),
  open: () => ({ kind: 'open', stem: 'What would you do?', by: 'learner', model: '', looksFor: [], quotes: [] }),
};

/** What is added to a check by its author, before it is written over. */
export const MORE_WORDS = {
  option: 'Another answer',
  item: 'Another step',
  left: 'Another thing',
  right: 'What belongs to it',
  other: 'Something else',
  group: 'Another group',
  area: 'What is to be seen there',
  choice: 'What else can be done',
  criterion: 'What a good hand-in shows',
} as const;

/** Questions that can be asked as they stand. */
const USABLE: ReadonlySet<string> = new Set([
  'Which of these are right?',
  'Put these in the right order.',
  'What belongs together?',
  'Which group does each belong to?',
  'What would you do?',
  ...LEVELS,
]);

const known = new Map<CheckKind, ReadonlySet<string>>();

/** Words of a new check of a kind that nobody meant to ask with. */
export function freshWords(kind: CheckKind): ReadonlySet<string> {
  const found = known.get(kind);
  if (found) return found;
  const words = new Set<string>(Object.values(MORE_WORDS));
  rewordedFields(FRESH[kind](() => 'a') as unknown as Check, (text) => {
    if (text && !USABLE.has(text)) words.add(text);
    return text;
  });
  known.set(kind, words);
  return words;
}
