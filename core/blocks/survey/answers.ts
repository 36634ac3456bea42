import { LETTERS_MOST, LINE_MOST, optionsOf, type SurveyBody, type SurveyItem } from './form';

/** What is chosen, by ids of options, and words besides them. */
export interface Chosen {
  ids: string[];
  other?: string;
}

/** An answer: a number (rating, number), what is chosen (scale, choice, several), or words (text). */
export type SurveyAnswer = number | Chosen | string;

/** The answers to a form by question; one that was left out has none. */
export type SurveyAnswers = Record<string, SurveyAnswer>;

/**
 * The answers as they came from outside, held against the form: what is none to its question is left out. Undefined
 * where nothing is left, or where a question that must be answered is not.
 */
export function answersRead({ items }: SurveyBody, given: unknown): SurveyAnswers | undefined {
  if (typeof given !== 'object' || given === null) return undefined;
  const of = given as Record<string, unknown>;
  const answers = Object.fromEntries(
    items.flatMap((item) => {
      const answer = Object.hasOwn(of, item.id) ? answerRead(item, of[item.id]) : undefined;
      return answer === undefined ? [] : [[item.id, answer] as const];
    }),
  );
  return Object.keys(answers).length > 0 && unanswered({ items }, answers).length === 0 ? answers : undefined;
}

/** Questions that must be answered and are not. */
export const unanswered = ({ items }: Pick<SurveyBody, 'items'>, answers: SurveyAnswers): SurveyItem[] =>
  items.filter((item) => item.required && answerRead(item, answers[item.id]) === undefined);

/** An answer held against its question; undefined where it is none to it. */
export function answerRead(item: SurveyItem, given: unknown): SurveyAnswer | undefined {
  switch (item.kind) {
    case 'rating':
      return isWhole(given) && given >= 1 && given <= item.of ? given : undefined;
    case 'number':
      return isNumber(given) && given >= (item.min ?? -Infinity) && given <= (item.max ?? Infinity) ? given : undefined;
    case 'text':
      return wordsRead(given, item.short ? LINE_MOST : LETTERS_MOST);
    default:
      return chosenRead(item, given);
  }
}

function chosenRead(item: SurveyItem & { kind: 'scale' | 'choice' | 'several' }, given: unknown): Chosen | undefined {
  if (typeof given !== 'object' || given === null) return undefined;
  const { ids, other } = given as Partial<Chosen>;
  if (!Array.isArray(ids)) return undefined;
  const chosen = optionsOf(item).flatMap(({ id }) => (ids.includes(id) ? [id] : []));
  const own = item.kind !== 'scale' && item.other ? wordsRead(other, LINE_MOST) : undefined;
  const count = chosen.length + (own ? 1 : 0);
  if (count === 0 || (item.kind !== 'several' && count > 1)) return undefined;
  return { ids: chosen, ...(own && { other: own }) };
}

const isNumber = (value: unknown): value is number => typeof value === 'number' && Number.isFinite(value);
const isWhole = (value: unknown): value is number => isNumber(value) && Number.isInteger(value);
const wordsRead = (value: unknown, most: number): string | undefined =>
  typeof value === 'string' && value.trim() !== '' && value.length <= most ? value.trim() : undefined;
