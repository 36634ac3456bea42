import { planFor, type PlanKey, type PlanLessonKey } from '../brief/plans';
import type { Brief, LessonKind } from '../course/course';
import { idFrom } from '../document/id';
import type { Claim, Term } from '../knowledge';
import { speaksOfEmergency } from '../language/emergency';
import type { Unit } from '../unit/unit';
import { draftOutline, type OutlineProposal, type SourceMatter } from './index';
import { lessonKindOf } from './lesson-kind';
import { titledMoment, type Moment } from './moments';
import type { ProposedLesson } from './proposal';
import { passagesOf } from './scope';

/** What a topic is made of, as a plan looks at it. */
interface Topic {
  lesson: ProposedLesson;
  kind: LessonKind;
  moment: Moment | undefined;
  /** Share of its words in units of a kind. */
  share: (kind: Unit['kind']) => number;
  /** Claims of a kind for every hundred words. */
  dense: (kind: Claim['kind']) => number;
  emergency: boolean;
  /** Units that are a question with its answer. */
  asks: number;
  /** It gives more reasons than rules. */
  tellsWhy: boolean;
}

/**
 * How much a topic is what a plan's lesson is for, 0 to some 3: by its kind, by what its units and claims are, by the
 * moment that its title tells.
 */
const SUITS: Record<PlanLessonKey, (topic: Topic) => number> = {
  why: ({ moment, tellsWhy }) => (moment === 'before' ? 1.6 : 0) + (tellsWhy ? 1 : 0),
  words: ({ share, dense }) => share('terms') * 2 + dense('definition') * 2,
  before: ({ moment, kind }) => (moment === 'before' && kind === 'procedure' ? 1.5 : 0),
  steps: ({ kind, share }) => (kind === 'procedure' ? 1.2 : kind === 'idea' ? 0.2 : 0.6) + share('procedure'),
  done: ({ moment }) => (moment === 'after' ? 0.8 : 0),
  trouble: ({ moment, emergency, share }) => (moment === 'trouble' ? 2 : 0) + (emergency ? 0.8 : 0) + share('warning'),
  rules: ({ kind, share }) => (kind === 'decision' ? 0.9 : 0.1) + share('rule') * 0.5,
  reasons: ({ tellsWhy }) => (tellsWhy ? 1.1 : 0),
  cases: ({ share, dense }) => share('case') * 3 + dense('example'),
  signs: ({ share, dense }) => share('warning') + dense('warning'),
  options: ({ kind, share }) => (kind === 'comparison' ? 1.2 : 0) + share('table'),
  parts: ({ kind, moment }) => (kind === 'idea' ? 1 : 0) + (moment === 'before' ? 1 : 0),
  forwhom: ({ dense }) => dense('role') * 2,
  // A heading that asks ("How bad is it?") is no page of questions.
  questions: ({ share, asks }) => (asks > 1 ? share('question') * 3 : 0),
  opening: ({ kind }) => (kind === 'procedure' ? 0.8 : 0),
  answering: ({ kind, asks }) => (kind === 'decision' ? 0.8 : 0) + (asks > 1 ? 0.5 : 0),
  keeping: ({ moment }) => (moment === 'after' ? 0.6 : 0),
};

/**
 * The sources as a course plan orders them: each topic of a drafted outline goes to the plan's lesson that it suits
 * best, and keeps its own title; a lesson of the plan that no topic suits stays, and asks its questions. So nothing of
 * the sources is lost to a plan, and nothing of the plan to the sources.
 */
export function proposePlanned(
  { plan, topic: about }: { plan: PlanKey; topic: string },
  brief: Brief,
  matter: readonly SourceMatter[],
  terms: readonly Term[],
  title: string,
): OutlineProposal {
  const { minutes, questionsPerLesson, checkEvery, wordsPerLesson } = brief.size;
  const open = {
    ...brief,
    size: {
      questionsPerLesson,
      ...(minutes && { minutes }),
      ...(checkEvery && { checkEvery }),
      ...(wordsPerLesson && { wordsPerLesson }),
    },
  };
  const drafted = draftOutline(open, matter, terms, title);
  const topics = drafted.modules.flatMap(({ lessons }) => lessons).map((lesson) => topicOf(lesson, matter));
  const modules = planFor(plan, about, brief.language);
  const keys: PlanLessonKey[] = modules.flatMap(({ lessons }) => lessons.map(({ key }) => key));
  const homes = new Map<PlanLessonKey, ProposedLesson[]>();
  for (const topic of topics) {
    const best = keys.reduce((one, other) => (SUITS[other](topic) > SUITS[one](topic) ? other : one));
    homes.set(best, [...(homes.get(best) ?? []), topic.lesson]);
  }
  return {
    ...drafted,
    modules: modules.map((module, at) => ({
      id: idFrom('m', 'plan', plan, at),
      title: module.title,
      lessons: module.lessons.flatMap(
        ({ key, title: name, kind, slots }): ProposedLesson[] =>
          homes.get(key) ?? [
            {
              id: idFrom('l', 'plan', plan, key),
              title: name,
              otherTitles: [],
              scope: { title: name, sourceId: '', sections: [], words: 0, weight: 1 },
              own: { kind, open: slots },
            },
          ],
      ),
    })),
  };
}

function topicOf(lesson: ProposedLesson, matter: readonly SourceMatter[]): Topic {
  const passages = new Set(passagesOf(lesson.scope));
  const units = matter.flatMap((each) => each.units.filter((unit) => unit.passages.some((id) => passages.has(id))));
  const claims = matter.flatMap(({ knowledge }) => knowledge.claims.filter(({ ranges }) => passages.has(ranges[0].id)));
  const words = Math.max(
    1,
    units.reduce((sum, unit) => sum + unit.words, 0),
  );
  const count = (kind: Claim['kind']) => claims.filter((claim) => claim.kind === kind).length;
  return {
    lesson,
    kind: lessonKindOf(units, claims),
    moment: titledMoment(lesson.title),
    share: (kind) => units.filter((unit) => unit.kind === kind).reduce((sum, unit) => sum + unit.words, 0) / words,
    dense: (kind) => (100 * count(kind)) / Math.max(100, words),
    asks: units.filter(({ kind }) => kind === 'question').length,
    tellsWhy: count('reason') > count('rule') + count('figure'),
    emergency: claims.some(({ text }) => speaksOfEmergency(text)),
  };
}
