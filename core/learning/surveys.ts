import { optionsOf, type SurveyBody, type SurveyItem, type SurveyOption } from '../blocks/survey/form';
import type { Chosen, SurveyAnswers } from '../blocks/survey/answers';
import type { Block } from '../blocks/forms';
import { own } from './state';
import { lessonsOf, type LearnerCourse, type LearnerLesson } from './view';

export type SurveyBlock = Block & { kind: 'survey' };

/**
 * Answers without names are shown from so many on: one alone could be told from who had the time, or the words, to
 * give it.
 */
export const UNNAMED_LEAST = 4;

/** The feedback forms of a frozen course, on its pages and apart, with the lesson each belongs to. */
export function surveysIn(course: LearnerCourse): { lesson: string; block: SurveyBlock }[] {
  const isSurvey = (block: Block): block is SurveyBlock => block.kind === 'survey';
  return [
    ...lessonsOf(course).flatMap(({ id, blocks }) => blocks.filter(isSurvey).map((block) => ({ lesson: id, block }))),
    ...(course.apart ?? []),
  ];
}

/**
 * A course as a package has it: without feedback forms, since nobody would get their answers, and without lessons that
 * hold nothing else.
 */
export function withoutSurveys(course: LearnerCourse): LearnerCourse {
  const view = { ...course };
  delete view.apart;
  const lessonsIn = (lessons: readonly LearnerLesson[]) =>
    lessons
      .map((lesson) => ({ ...lesson, blocks: lesson.blocks.filter(({ kind }) => kind !== 'survey') }))
      .filter((lesson, at) => lesson.blocks.length > 0 || lessons[at].blocks.length === 0);
  return {
    ...view,
    modules: view.modules
      .map((module) => ({ ...module, lessons: lessonsIn(module.lessons) }))
      .filter(({ lessons }) => lessons.length > 0),
  };
}

/** What was answered to a question, by all who did. */
export interface ItemResult {
  item: SurveyItem;
  answered: number;
  /** How often each point, step or option was given, in their order; of several, one answer can count at more. */
  counts?: { text: string; count: number }[];
  /** Of points and numbers. */
  mean?: number;
  median?: number;
  /** Typed words, and what was put in besides the options; in no order that says whose they are. */
  words?: string[];
  /** What was answered to the same question in a form that stands before it. */
  before?: Pick<ItemResult, 'answered' | 'counts' | 'mean'> & { form: string };
}

/**
 * A form as several releases had it: the newest, with questions and options of older ones behind it, so that nothing
 * that was answered is left out. `bodies`: the newest first.
 */
export function surveyOver(bodies: readonly SurveyBody[]): SurveyBody | undefined {
  const [newest, ...older] = bodies;
  if (!newest) return undefined;
  const items = new Map(newest.items.map((item) => [item.id, item]));
  for (const item of older.flatMap((body) => body.items)) {
    const known = items.get(item.id);
    if (!known) items.set(item.id, item);
    else if ('options' in known) items.set(item.id, { ...known, options: withOlder(known.options, optionsOf(item)) });
  }
  return { ...newest, items: [...items.values()] };
}

const withOlder = (options: readonly SurveyOption[], older: readonly SurveyOption[]): SurveyOption[] => [
  ...options,
  ...older.filter(({ id }) => options.every((option) => option.id !== id)),
];

/** What all answers to a form come to, question by question. */
export function surveyResults({ items }: SurveyBody, sheets: readonly SurveyAnswers[]): ItemResult[] {
  return items.map((item) => {
    const answers = sheets.flatMap((sheet) => own(sheet, item.id) ?? []);
    const result = { item, answered: answers.length };
    if (item.kind === 'text') return { ...result, words: mixed(answers.filter(isWords)) };
    if (item.kind === 'number') return { ...result, ...middle(answers.filter(isNumber)) };
    if (item.kind === 'rating') {
      const points = answers.filter(isNumber);
      const counts = Array.from({ length: item.of }, (_, at) => ({
        text: String(at + 1),
        count: points.filter((point) => point === at + 1).length,
      }));
      return { ...result, counts, ...middle(points) };
    }
    const chosen = answers.filter(isChosen);
    const others = chosen.flatMap(({ other }) => other ?? []);
    return {
      ...result,
      counts: item.options.map(({ id, text }) => ({
        text,
        count: chosen.filter(({ ids }) => ids.includes(id)).length,
      })),
      ...(others.length > 0 && { words: mixed(others) }),
    };
  });
}

/** Results with what was answered before to the same questions: in the first of the forms before it that asked them. */
export function withBefore(
  results: readonly ItemResult[],
  earlier: readonly { title: string; items: readonly ItemResult[] }[],
): ItemResult[] {
  return results.map((result) => {
    for (const { title, items } of earlier) {
      const same = items.find(({ item, answered }) => answered > 0 && isSameQuestion(item, result.item));
      if (!same) continue;
      const { answered, counts, mean } = same;
      const before = { form: title, answered, ...(counts && { counts }), ...(mean !== undefined && { mean }) };
      return { ...result, before };
    }
    return result;
  });
}

/** Whether two questions ask the same and can be answered alike. Words are compared by nobody but people. */
const isSameQuestion = (a: SurveyItem, b: SurveyItem): boolean =>
  a.kind === b.kind &&
  a.kind !== 'text' &&
  a.text === b.text &&
  (a.kind !== 'rating' || b.kind !== 'rating' || a.of === b.of) &&
  optionsOf(a)
    .map(({ text }) => text)
    .join('\n') ===
    optionsOf(b)
      .map(({ text }) => text)
      .join('\n');

/** A sheet's answer to a question in words, as a table has it; empty where there is none. */
export function answerInWords(item: SurveyItem, answers: SurveyAnswers): string {
  const answer = own(answers, item.id);
  if (answer === undefined) return '';
  if (!isChosen(answer)) return String(answer);
  const texts = optionsOf(item).flatMap(({ id, text }) => (answer.ids.includes(id) ? [text] : []));
  return [...texts, ...(answer.other ? [answer.other] : [])].join('; ');
}

const isChosen = (answer: unknown): answer is Chosen => typeof answer === 'object';
const isNumber = (answer: unknown): answer is number => typeof answer === 'number';
const isWords = (answer: unknown): answer is string => typeof answer === 'string';

/** Mean and median; neither where there are none. */
function middle(values: readonly number[]): Pick<ItemResult, 'mean' | 'median'> {
  if (values.length === 0) return {};
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length / 2;
  return {
    mean: values.reduce((sum, value) => sum + value, 0) / values.length,
    median: Number.isInteger(half) ? (sorted[half - 1] + sorted[half]) / 2 : sorted[Math.floor(half)],
  };
}

/** Words by their own order, so that their places do not say which belong to one sheet. */
const mixed = (words: readonly string[]): string[] => [...words].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0));
