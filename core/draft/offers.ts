import type { BriefOffers } from '../brief/verdict';
import type { Brief } from '../course/course';
import { contextFor, draftContext } from './context';
import { planCourse } from './plan';
import { plannedObjectives } from './from-course';
import { draftOutline } from '../outline';
import { lessonsOf } from '../outline/proposal';
import { passagesOf } from '../outline/scope';
import { commonTerms, type Knowledge } from '../knowledge';
import { contained } from '../language/similarity';
import { standsOn } from '../review/stands';

const MOST = { actors: 6, outcomes: 10, terms: 8 };
/** Somebody with fewer rules is only mentioned. */
const LEAST_RULES = 2;
/** What is promised with less than this share of its words anywhere in the sources is apart from them. */
const APART = 0.34;
/** What the author put in focus comes before all else. */
const FOCUS = 1000;
/** Worth of an objective's level, in claims: to decide at work says more than to know. */
const LEVEL = { decide: 3, apply: 2, recall: 0 };

/**
 * Looks through the sources for what a brief could say: how long, for whom, for what. Outcomes are the objectives of an
 * outline of everything, by how much stands behind them.
 */
export function briefOffers(brief: Brief, knowledge: readonly Knowledge[], title: string): BriefOffers {
  if (knowledge.length === 0) return { full: 0, actors: [], outcomes: [], terms: [], apart: [] };
  const { questionsPerLesson, checkEvery } = brief.size;
  const open: Brief = { ...brief, size: { questionsPerLesson, ...(checkEvery !== undefined && { checkEvery }) } };
  const whole = draftContext(open, knowledge);
  const outline = draftOutline(open, whole.sources, whole.terms, title);
  const context = contextFor(whole, lessonsOf(outline));
  const lessons = outline.modules
    .flatMap((module) => module.lessons)
    .map(({ id, title: lesson, scope }) => ({ id, title: lesson, plannedPassages: passagesOf(scope) }));
  const stands = standsOn(lessons, knowledge);
  const inFocus = new Set(knowledge.flatMap(({ focus }) => [...(focus ?? [])]));
  const focusOf = ({ plannedPassages }: (typeof lessons)[number]) =>
    plannedPassages.some((id) => inFocus.has(id)) ? FOCUS : 0;
  const outcomes = lessons
    .flatMap((lesson, at) => {
      const [objective] = plannedObjectives(lesson, context);
      const { kinds, first } = stands[lesson.id];
      const claims = Object.values(kinds).reduce((sum, count) => sum + count, 0);
      return objective && !/[“"]/.test(objective.text)
        ? [
            {
              text: objective.text,
              lesson: lesson.title,
              kinds,
              first,
              worth: claims + LEVEL[objective.level] + focusOf(lesson),
              at,
            },
          ]
        : [];
    })
    .sort((a, b) => b.worth - a.worth || a.at - b.at)
    .slice(0, MOST.outcomes)
    .map(({ text, lesson, kinds, first }) => ({ text, lesson, kinds, first }));
  return {
    full: planCourse(outline, context).minutes.full,
    actors: actorsIn(knowledge),
    outcomes,
    terms: commonTerms(knowledge)
      .slice(0, MOST.terms)
      .map(({ label }) => label),
    apart: apartFrom(brief, knowledge),
  };
}

/**
 * What a draft by a brief would have, before any text, with checks as far as they are likely to be found; undefined
 * without sources.
 */
export function madeBy(brief: Brief, knowledge: readonly Knowledge[], title: string): BriefOffers['makes'] {
  if (knowledge.length === 0) return undefined;
  const whole = draftContext(brief, knowledge);
  const outline = draftOutline(brief, whole.sources, whole.terms, title);
  const { modules, minutes } = planCourse(outline, contextFor(whole, lessonsOf(outline)));
  const lessons = modules.flatMap((module) => module.lessons);
  return {
    modules: modules.length,
    lessons: lessons.length,
    minutes: Math.round(minutes.planned),
    words: lessons.reduce((sum, lesson) => sum + lesson.words, 0),
    checks: lessons.reduce((sum, lesson) => sum + lesson.checks, 0),
  };
}

/** Subjects of rules that can act, others than the reader. */
function actorsIn(knowledge: readonly Knowledge[]): BriefOffers['actors'] {
  const found = new Map<string, { label: string; rules: number }>();
  for (const { claims, pack } of knowledge) {
    for (const { rule } of claims) {
      if (!rule?.person || !rule.subject || pack.isReader?.(rule.subject)) continue;
      const label = rule.subject.replace(/^(?:the|an?|every|each|all|any|no)\s+/i, '').trim();
      const key = pack.stems(label).join(' ');
      if (key === '' || label.split(/\s+/).length > 4 || /^\p{Lu}\p{Ll}+ \p{Lu}/u.test(label)) continue;
      const entry = found.get(key);
      if (entry) entry.rules++;
      else found.set(key, { label, rules: 1 });
    }
  }
  return [...found.values()]
    .filter(({ rules }) => rules >= LEAST_RULES)
    .sort((a, b) => b.rules - a.rules || (a.label < b.label ? -1 : 1))
    .slice(0, MOST.actors);
}

function apartFrom({ promise, outcomes }: Brief, knowledge: readonly Knowledge[]): string[] {
  const { pack } = knowledge[0];
  const said = new Set(
    knowledge.flatMap(({ sentences }) => [...sentences.values()].flatMap((own) => own.flatMap(({ stems }) => stems))),
  );
  return [promise, ...outcomes].filter((words) => {
    const stems = pack.stems(words);
    return stems.length > 1 && contained(stems, said) < APART;
  });
}
