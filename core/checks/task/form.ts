import { boolean, list, number, object, oneOf, string } from '../../document/shape';
import type { Problem } from '../../document/problem';
import { FILE_KINDS, type FileKind } from '../../document/handed';
import { idShape, quoteShape, type CheckFrame, type Quote } from '../check';
import type { CheckForm } from '../form';
import { line } from '../options';

/**
 * Who has the last word on a hand-in: the marks that are suggested hold, a person may correct them; a person marks
 * alone; marks are suggested and a person confirms them; or learners compare it with the model answer themselves.
 */
export const LAST_WORDS = ['suggested', 'person', 'confirmed', 'learner'] as const;
export type LastWord = (typeof LAST_WORDS)[number];

/** How well a criterion can be met, and what it is worth then. */
export interface CriterionLevel {
  id: string;
  text: string;
  points: number;
}

/** What a hand-in is held against. Its best level comes first. */
export interface Criterion {
  id: string;
  text: string;
  levels: CriterionLevel[];
  /** What the sources say to it. */
  quotes: Quote[];
}

/** What is handed in: typed words, with a range of their number, files of some kinds, or both. */
export interface HandIn {
  words?: { least?: number; most: number };
  files?: { most: number; kinds: FileKind[] };
}

/** Something to be done and handed in, marked by criteria. Without any it is right or wrong, by its model answer. */
export interface TaskCheck extends CheckFrame {
  kind: 'task';
  /** The situation it is done in; may be empty. */
  setting: string;
  handIn: HandIn;
  criteria: Criterion[];
  /** Learners see the criteria before they hand in. */
  criteriaShown: boolean;
  /** A good answer, shown once nothing more can be won; may be empty. */
  model: string;
  lastWord: LastWord;
  /** Hand-ins go so many days after they were marked; absent: they stay as long as their learner. */
  keepDays?: number;
  quotes: Quote[];
}

/** Words of a hand-in at most, and letters. */
export const WORDS_MOST = 2000;
export const LETTERS_MOST = 16_000;
export const FILES_MOST = 5;
export const CRITERIA_MOST = 12;
export const LEVELS_MOST = 6;
export const LEVEL_POINTS = { min: 0, max: 100 };
export const KEPT_DAYS = { min: 1, max: 3650, whole: true };

const levelShape = object({ id: idShape, text: string({ min: 1, max: 500 }), points: number(LEVEL_POINTS) });
const criterionShape = object({
  id: idShape,
  text: string({ min: 1, max: 500 }),
  levels: list(levelShape, { min: 2, max: LEVELS_MOST }),
  quotes: list(quoteShape),
});
const count = (max: number) => number({ min: 1, max, whole: true });
const handInShape = object(
  {},
  {
    words: object({ most: count(WORDS_MOST) }, { least: count(WORDS_MOST) }),
    files: object({ most: count(FILES_MOST), kinds: list(oneOf(...FILE_KINDS), { min: 1 }) }),
  },
);

export const task: CheckForm<TaskCheck> = {
  fields: {
    required: {
      setting: string({ max: 4000 }),
      handIn: handInShape,
      criteria: list(criterionShape, { max: CRITERIA_MOST }),
      criteriaShown: boolean,
      model: string({ max: 8000 }),
      lastWord: oneOf(...LAST_WORDS),
      quotes: list(quoteShape),
    },
    optional: { keepDays: number(KEPT_DAYS) },
  },
  standsAlone: true,
  problems({ handIn, criteria }) {
    const ids = criteria.flatMap(({ id, levels }) => [id, ...levels.map((level) => level.id)]);
    const { words, files } = handIn;
    const problems: Problem['code'][] = [];
    if (new Set(ids).size < ids.length) problems.push('id-twice');
    if (!words && !files) problems.push('nothing-to-hand-in');
    if ((words?.least ?? 0) > (words?.most ?? WORDS_MOST)) problems.push('range-turned');
    return problems;
  },
  reworded: ({ setting, criteria, model }, change) => ({
    setting: setting && change(setting),
    criteria: criteria.map((criterion) => ({
      ...criterion,
      text: change(criterion.text),
      levels: criterion.levels.map((level) => ({ ...level, text: change(level.text) })),
    })),
    model: model && change(model),
  }),
  text: ({ stem, setting, criteria, model }) =>
    [
      stem,
      setting,
      ...criteria.flatMap((criterion) => [
        criterion.text,
        ...criterion.levels.map(({ points, text }) => line(points === mostOf(criterion), text)),
      ]),
      ...(model ? [line(true, model)] : []),
    ]
      .filter(Boolean)
      .join('\n'),
};

/** What a criterion is worth at most. */
export const mostOf = ({ levels }: Pick<Criterion, 'levels'>): number =>
  Math.max(0, ...levels.map(({ points }) => points));

/** What one of its levels is worth; nothing where there is no such level. */
export const pointsAt = ({ levels }: Pick<Criterion, 'levels'>, level: string | undefined): number =>
  levels.find(({ id }) => id === level)?.points ?? 0;

/** What levels that were given to criteria are worth together, 0 to 1; a criterion without one earns nothing. */
export function worthOf(
  criteria: readonly Pick<Criterion, 'id' | 'levels'>[],
  given: Readonly<Record<string, string>>,
): number {
  const most = criteria.reduce((sum, each) => sum + mostOf(each), 0);
  const earned = criteria.reduce((sum, criterion) => sum + pointsAt(criterion, given[criterion.id]), 0);
  return most > 0 ? earned / most : 0;
}

/** How many words a text has, as its learner and its marker count them. */
export const wordsIn = (text: string): number => (text.match(/[\p{L}\p{N}]+(?:['’.,-][\p{L}\p{N}]+)*/gu) ?? []).length;
