import { ID_PATTERN } from '../../document/id';
import type { Problem } from '../../document/problem';
import { always, boolean, list, number, object, string, tagged } from '../../document/shape';
import type { BlockForm } from '../form';

/** Something that can be chosen; of a scale, a step of it. */
export interface SurveyOption {
  id: string;
  text: string;
}

/** What each kind of question has beside its words. */
export interface SurveyAsking {
  /** Points from 1 to `of`; `low` and `high` say what the two ends are. */
  rating: { of: number; low?: string; high?: string };
  /** One of several named steps, in their order. */
  scale: { options: SurveyOption[] };
  /** `other`: learners can put in words of their own. */
  choice: { options: SurveyOption[]; other?: true };
  several: { options: SurveyOption[]; other?: true };
  number: { min?: number; max?: number; unit?: string };
  /** `short`: a line of it. */
  text: { short?: true };
}

export type SurveyItemKind = keyof SurveyAsking;

/** A question of a feedback form. */
export type SurveyItem = {
  [Kind in SurveyItemKind]: { id: string; kind: Kind; text: string; required?: true } & SurveyAsking[Kind];
}[SurveyItemKind];

/**
 * A feedback form: what its author asks of those who learn. It counts nowhere; what is answered is kept with the name
 * of who answers, or apart from all that is known of learners.
 */
export interface SurveyBody {
  title: string;
  /** What is said before it; may be empty. */
  intro: string;
  /** Answers carry the name of who gives them. */
  named: boolean;
  /** It is no part of the page: only its own link leads to it. */
  apart?: true;
  /** What is said once it is sent. */
  thanks?: string;
  items: SurveyItem[];
}

export const ITEMS_MOST = 30;
export const OPTIONS_MOST = 12;
export const RATING_POINTS = { min: 2, max: 10, whole: true };
/** What a text is at most, in letters; one of a single line; and what is put in besides the options. */
export const LETTERS_MOST = 2000;
export const LINE_MOST = 300;
/** Minutes that a question takes. */
const MINUTES_ASKED = 0.25;

const id = string({ pattern: ID_PATTERN });
const words = (max: number) => string({ min: 1, max });
const options = list(object({ id, text: words(LINE_MOST) }), { min: 2, max: OPTIONS_MOST });
const asked = { id, text: words(500) };
const required = always;

export const survey: BlockForm<SurveyBody> = {
  body: object(
    {
      title: words(300),
      intro: string({ max: 2000 }),
      named: boolean,
      items: list(
        tagged('kind', {
          rating: {
            required: { ...asked, of: number(RATING_POINTS) },
            optional: { required, low: words(80), high: words(80) },
          },
          scale: { required: { ...asked, options }, optional: { required } },
          choice: { required: { ...asked, options }, optional: { required, other: always } },
          several: { required: { ...asked, options }, optional: { required, other: always } },
          number: { required: asked, optional: { required, min: number(), max: number(), unit: words(40) } },
          text: { required: asked, optional: { required, short: always } },
        }),
        { max: ITEMS_MOST },
      ),
    },
    { apart: always, thanks: words(1000) },
  ),
  blank: ({ items }) => items.length === 0,
  texts: () => [],
  mapTexts: (body) => body,
  plain: wordsOf,
  mapPlain: (body, change) => ({
    ...body,
    title: change(body.title),
    intro: body.intro && change(body.intro),
    ...(body.thanks && { thanks: change(body.thanks) }),
    items: body.items.map((item) => itemReworded(item, change)),
  }),
  text: (body) => wordsOf(body).join('\n'),
  study: { entries: ({ items }) => items.length, most: ITEMS_MOST, minutes: MINUTES_ASKED },
  evidence: 'none',
  problems({ items }) {
    const ids = items.flatMap((item) => [item.id, ...optionsOf(item).map((option) => option.id)]);
    const turned = items.some((item) => item.kind === 'number' && (item.min ?? -Infinity) > (item.max ?? Infinity));
    const problems: Problem['code'][] = [];
    if (new Set(ids).size < ids.length) problems.push('id-twice');
    if (turned) problems.push('range-turned');
    return problems;
  },
};

/** What can be chosen of in a question; nothing where nothing can. */
export const optionsOf = (item: SurveyItem): SurveyOption[] => ('options' in item ? item.options : []);

/** All words of a form, a line each, in the order they are read. */
function wordsOf({ title, intro, items, thanks }: SurveyBody): string[] {
  const asked = items.flatMap((item) => [
    item.text,
    ...optionsOf(item).map(({ text }) => text),
    ...(item.kind === 'rating' ? [item.low ?? '', item.high ?? ''] : []),
    ...(item.kind === 'number' ? [item.unit ?? ''] : []),
  ]);
  return [title, intro, ...asked, thanks ?? ''].filter(Boolean);
}

function itemReworded(item: SurveyItem, change: (words: string) => string): SurveyItem {
  const text = change(item.text);
  if ('options' in item)
    return { ...item, text, options: item.options.map((option) => ({ ...option, text: change(option.text) })) };
  if (item.kind === 'rating')
    return {
      ...item,
      text,
      ...(item.low && { low: change(item.low) }),
      ...(item.high && { high: change(item.high) }),
    };
  return { ...item, text, ...(item.kind === 'number' && item.unit && { unit: change(item.unit) }) };
}
