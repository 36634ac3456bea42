import { OPTIONS_MOST, type SurveyBody, type SurveyItem, type SurveyOption } from '../blocks/survey/form';
import { say } from '../words';
import { allLessons, type Course, type Lesson } from './course';
import type { Operation } from './operations';
import { surveyWordsFor } from './survey-words';

/** Where a feedback form stands: before all lessons, after some, after all. */
export const SURVEY_MOMENTS = ['before', 'between', 'end'] as const;
export type SurveyMoment = (typeof SURVEY_MOMENTS)[number];

/** Aims that are asked about at most; what is asked before is asked again at the end, and so can be compared. */
const AIMS_MOST = 4;
/** A title as an option. */
const TITLE_MOST = 120;

/**
 * A feedback form drafted for a moment of a course: how sure learners are of its aims (the same before and after), what
 * they will use and change, what is unclear or missing; never whether they liked it. Its words are of the course's
 * language, English where there are none. `id` gives ids.
 */
export function draftedSurvey(course: Course, moment: SurveyMoment, id: () => string): SurveyBody {
  const words = surveyWordsFor(course.language);
  const options = (texts: readonly string[]): SurveyOption[] => texts.map((text) => ({ id: id(), text }));
  const scale = (text: string, steps: readonly string[]): SurveyItem => ({
    id: id(),
    kind: 'scale',
    text,
    options: options(steps),
  });
  const rating = (text: string, [low, high]: [string, string]): SurveyItem => ({
    id: id(),
    kind: 'rating',
    text,
    of: 5,
    low,
    high,
  });
  const text = (asked: string): SurveyItem => ({ id: id(), kind: 'text', text: asked });
  const sure = aimsOf(course).map((aim) => scale(say(words.sure, { aim }), words.sureSteps));
  const parts = partsOf(course);
  const which = (asked: string): SurveyItem[] =>
    parts.length > 1 ? [{ id: id(), kind: 'choice', text: asked, options: options(parts), other: true }] : [];
  const items: Record<SurveyMoment, () => SurveyItem[]> = {
    before: () => [...sure, scale(words.often, words.oftenSteps), text(words.wants), text(words.worries)],
    between: () => [
      rating(words.clear, words.clearEnds),
      scale(words.pace, words.paceSteps),
      ...which(words.unclear),
      text(words.open),
    ],
    end: () => [
      ...sure,
      rating(words.useful, words.usefulEnds),
      ...which(words.helps),
      scale(words.when, words.whenSteps),
      text(words.does),
      text(words.missing),
    ],
  };
  return { title: words.titles[moment], intro: words.intros[moment], named: false, items: items[moment]() };
}

/**
 * A lesson with a drafted form: the first of the course, the last, or behind the lesson or module that is named. No
 * operations in a course without modules.
 */
export function surveyLesson(
  course: Course,
  moment: SurveyMoment,
  ids: { lesson: string; block: string; id: () => string },
  below?: string,
): Operation[] {
  const body = draftedSurvey(course, moment, ids.id);
  const here = course.modules.find(({ id, lessons }) => id === below || lessons.some((each) => each.id === below));
  const module = moment === 'before' ? course.modules[0] : moment === 'end' ? course.modules.at(-1) : here;
  if (!module) return [];
  const isLesson = module.lessons.some(({ id }) => id === below);
  const last = module.lessons.at(-1)?.id ?? null;
  const after = moment === 'before' ? null : moment === 'between' && isLesson ? below! : last;
  const node: Lesson = {
    id: ids.lesson,
    title: body.title,
    kind: 'lesson',
    objectiveIds: [],
    state: 'in-work',
    plannedPassages: [],
    blocks: [{ id: ids.block, kind: 'survey', body }],
  };
  return [{ type: 'insert', kind: 'lesson', parent: module.id, after, node }];
}

/** Whether a lesson holds feedback forms and nothing else: it teaches nothing, and needs no aim. */
export const isForm = ({ blocks }: Pick<Lesson, 'blocks'>): boolean =>
  blocks.length > 0 && blocks.every(({ kind }) => kind === 'survey');

/** The aims that a form asks about: of each module the first, then, as long as there is room, the next of each. */
function aimsOf(course: Course): string[] {
  const texts = new Map(course.objectives.map(({ id, text }) => [id, text]));
  const ofModules = course.modules.map(({ objectiveIds, lessons }) => [
    ...new Set([...objectiveIds, ...lessons.flatMap((lesson) => lesson.objectiveIds)]),
  ]);
  const longest = Math.max(0, ...ofModules.map(({ length }) => length));
  const inTurn = Array.from({ length: longest }, (_, at) => ofModules.flatMap((ids) => ids[at] ?? [])).flat();
  const aims = inTurn.flatMap((id) => texts.get(id) ?? []).map((aim) => aim.trim().replace(/[.!?]+$/, ''));
  const named = aims.length > 0 ? aims : course.modules.map(({ title }) => title);
  return [...new Set(named.filter(Boolean))].slice(0, AIMS_MOST);
}

/** What can be chosen from: the lessons that teach something, the modules where there are more than fit. */
function partsOf(course: Course): string[] {
  const lessons = allLessons(course).filter(
    (lesson) => lesson.kind === 'lesson' && lesson.blocks.length > 0 && !isForm(lesson),
  );
  const parts = lessons.length <= OPTIONS_MOST ? lessons : course.modules;
  return parts.map(({ title }) => title.slice(0, TITLE_MOST)).slice(0, OPTIONS_MOST);
}
