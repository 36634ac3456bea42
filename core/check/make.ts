import type { CheckFrame } from '../checks/check';
import type { Check, CheckKinds, Option } from '../checks/forms';
import { idFrom, shortHash } from '../document/id';
import type { SceneChoice } from '../checks/scenario/form';
import { quoteOf, shownOf, type Asks, type Candidate, type Deed } from './forms/form';

type Own<Kind extends Asks['kind']> = Omit<CheckKinds[Kind], keyof CheckFrame>;
type Made<Kind extends Asks['kind']> = (
  asks: Extract<Asks, { kind: Kind }>,
  given: { id: string; quotes: Option['feedback']['quotes'] },
) => Own<Kind>;

/** The id of a question: the same whenever the same is asked of the same in a lesson. */
export const idOf = (lessonId: string, { form, about }: Candidate): string => idFrom('k', lessonId, form, about.id);

/**
 * A question of a lesson as a check: with ids, which come of what it is about, and the order of its answers by them.
 */
export function checkOf(lessonId: string, candidate: Candidate): Check {
  const { form, about, stem, asks, level, difficulty, score, reasons, quotes = [quoteOf(about)] } = candidate;
  const id = idOf(lessonId, candidate);
  const frame: CheckFrame = {
    id,
    lessonId,
    stem,
    evidence: about.ranges,
    level,
    difficulty,
    drafted: { form, score: Math.round(score * 100) / 100, reasons },
  };
  const make = MAKES[asks.kind] as Made<Asks['kind']>;
  return { ...frame, ...make(asks as never, { id, quotes }) } as Check;
}

/** Points of a decision; who decides again has lost some. */
const DECISION = { right: 2, wrong: -1 };
/** So many words are handed in at most to a drafted task. */
const TASK_WORDS = 300;

/** How a check of each kind is made of what is asked. */
const MAKES: { [Kind in Asks['kind']]: Made<Kind> } = {
  choice({ right, value, wrong }, { id, quotes }) {
    const option = (text: string, feedback: Option['feedback'], size = 0) => ({
      option: { id: idFrom('a', id, text), text, feedback },
      size,
    });
    const key = option(right, { code: 'right', quotes }, value);
    const others = shownOf(wrong).map((each) =>
      option(each.text, { code: each.code, quotes: each.quotes }, each.value),
    );
    // By size, or by letters that tell nothing of the key.
    const options = [key, ...others]
      .sort((a, b) => a.size - b.size || (shortHash(id + a.option.text, 8) < shortHash(id + b.option.text, 8) ? -1 : 1))
      .map((each) => each.option);
    return { kind: 'choice', options, key: key.option.id, ...(value !== undefined && { fixed: true }) };
  },
  truth: ({ holds }, { quotes }) => ({ kind: 'truth', answer: holds, quotes }),
  order: ({ items }, { id, quotes }) => ({
    kind: 'order',
    items: items.map((text, at) => ({ id: idFrom('a', id, at, text), text })),
    credit: 'each',
    quotes,
  }),
  match: ({ pairs }, { id, quotes }) => ({
    kind: 'match',
    pairs: pairs.map(({ left, right }) => ({ id: idFrom('a', id, left), left, right })),
    others: [],
    credit: 'each',
    quotes,
  }),
  sort({ groups }, { id, quotes }) {
    const named = groups.map((group) => ({ ...group, id: idFrom('a', id, 'group', group.text) }));
    return {
      kind: 'sort',
      groups: named.map((group) => ({ id: group.id, text: group.text })),
      items: named.flatMap((group) =>
        group.items.map((text) => ({ id: idFrom('a', id, text), text, group: group.id })),
      ),
      credit: 'each',
      quotes,
    };
  },
  number: ({ value, unit, wrong }, { id, quotes }) => ({
    kind: 'number',
    value,
    tolerance: 0,
    ...(unit && { unit }),
    known: shownOf(wrong).flatMap((each) =>
      each.value === undefined
        ? []
        : [{ id: idFrom('a', id, each.value), value: each.value, feedback: { code: each.code, quotes: each.quotes } }],
    ),
    quotes,
  }),
  // The steps are what is to be known: shown before, they would only be copied.
  task: ({ setting, criteria, levels, model }, { id, quotes }) => ({
    kind: 'task',
    setting,
    handIn: { words: { most: TASK_WORDS } },
    criteria: criteria.map(({ text, quotes: own }, at) => ({
      id: idFrom('c', id, at),
      text,
      levels: levels.map((level, place) => ({
        id: idFrom('l', id, at, place),
        text: level,
        points: levels.length - 1 - place,
      })),
      quotes: own,
    })),
    criteriaShown: false,
    model,
    lastWord: 'confirmed',
    quotes,
  }),
  scenario: ({ role, turns }, { id }) => ({
    kind: 'scenario',
    role,
    scenes: turns.map(({ text, right, wrong }, at) => {
      const own = idFrom('s', id, at);
      const choice = (deed: Deed, points: number, to?: string): SceneChoice => ({
        id: idFrom('a', id, at, deed.text),
        score: points,
        ...deed,
        ...(to && { to }),
      });
      const next = at + 1 < turns.length ? idFrom('s', id, at + 1) : undefined;
      return {
        id: own,
        title: '',
        text,
        // By letters that tell nothing of what is right.
        choices: [choice(right, DECISION.right, next), ...wrong.map((deed) => choice(deed, DECISION.wrong, own))].sort(
          (a, b) => (shortHash(own + a.text, 8) < shortHash(own + b.text, 8) ? -1 : 1),
        ),
      };
    }),
  }),
  open: ({ model }, { quotes }) => ({ kind: 'open', by: 'learner', model, looksFor: [], quotes }),
  short: ({ accepted }, { quotes }) => ({ kind: 'short', accepted, spelling: 'close', quotes }),
};
