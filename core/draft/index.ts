import { courseMinutes } from '../brief/sizing';
import { validateCourse } from '../course/validate';
import { directionOf, type Brief, type Course, type GlossaryEntry, type Objective, type Take } from '../course/course';
import { idFrom } from '../document/id';
import { fail } from '../document/problem';
import type { Claim, Knowledge } from '../knowledge';
import { draftOutline, type OutlineProposal } from '../outline';
import type { OwnOutline } from '../own/own';
import type { PlanKey } from '../brief/plans';
import { proposeOwn } from '../outline/own';
import { proposePlanned } from '../outline/planned';
import { openAnswers } from '../own/open';
import { lessonsOf } from '../outline/proposal';
import { contextFor, draftContext, type DraftContext } from './context';
import { draftLesson, type DraftedLesson } from './lesson';
import { leftOutOf } from './left-out';
import { planCourse, type CoursePlan } from './plan';

export { draftContext, type DraftContext } from './context';
export { draftLesson, type DraftedLesson } from './lesson';
export { planCourse, type CoursePlan, type LessonPlan } from './plan';

/** Everything a run makes, with what it leaves out. */
export interface Draft {
  course: Course;
  outline: OutlineProposal;
  plan: CoursePlan;
  context: DraftContext;
}

const ROUNDS = 7;
/** A draft this close to the minutes asked is good enough. */
const CLOSE = 0.05;

/** By what an outline is drafted beside brief and sources: the author's own outline, or a course plan and its topic. */
export interface OutlineBy {
  own?: OwnOutline;
  planned?: { plan: PlanKey; topic: string };
}

/** The outline drafted from the sources, the author's own held against them, or the sources as a plan orders them. */
export function outlineFor(
  brief: Brief,
  { sources, terms }: Pick<DraftContext, 'sources' | 'terms'>,
  title: string,
  { own, planned }: OutlineBy = {},
): OutlineProposal {
  if (own) return proposeOwn(own, brief, sources, terms, title);
  return planned ? proposePlanned(planned, brief, sources, terms, title) : draftOutline(brief, sources, terms, title);
}

/**
 * The whole run: outline, plan, then lesson by lesson. `onLesson` hears of each finished lesson. Throws the problem
 * `nothing-to-draft` when the sources hold nothing that can be taught.
 */
export function draftCourse(
  brief: Brief,
  knowledge: readonly Knowledge[],
  title: string,
  onLesson?: (done: number, of: number, title: string) => void,
  by: OutlineBy = {},
): Draft {
  const whole = draftContext(brief, knowledge);
  const outline = outlineFor(brief, whole, title, by);
  const context = contextFor(whole, lessonsOf(outline));
  const { plan, course } = fittedDraft(outline, context, title, onLesson);
  const problems = validateCourse(course);
  if (problems.length > 0)
    throw new Error(`The draft is not a good document: ${problems[0].code} at ${problems[0].place}`);
  const leftOut = leftOutOf(outline, plan, context);
  return { course: { ...course, ...(leftOut.length > 0 && { leftOut }) }, outline, plan, context };
}

/**
 * Drafts an outline so that it takes the minutes asked as near as can be. How many questions a lesson will hold is
 * known only when it is drafted, so a draft that misses the minutes is planned and drafted again, at most `ROUNDS`
 * times. Throws `nothing-to-draft` when no lesson finds room.
 */
export function fittedDraft(
  outline: OutlineProposal,
  context: DraftContext,
  title: string,
  onLesson?: (done: number, of: number, title: string) => void,
): { plan: CoursePlan; course: Course } {
  const asked = context.brief.size.minutes;
  let best: { plan: CoursePlan; course: Course } | undefined;
  let [low, high]: (number | undefined)[] = [];
  for (let round = 0, aim = asked; round < ROUNDS; round++) {
    const made = draftOnce(title, planCourse(outline, context, { aim }), context, onLesson);
    const [minutes, before] = [courseMinutes(made.course), best && courseMinutes(best.course)];
    if (asked === undefined || before === undefined || Math.abs(minutes - asked) < Math.abs(before - asked))
      best = made;
    if (asked === undefined || Math.abs(minutes - asked) <= asked * CLOSE) break;
    const tried = aim ?? asked;
    if (minutes < asked) low = Math.max(low ?? 0, tried);
    else high = Math.min(high ?? Infinity, tried);
    // Between an aim that gave too little and one that gave too much; as long as there is only one, by its ratio.
    aim =
      low !== undefined && high !== undefined && low < high
        ? (low + high) / 2
        : tried * Math.min(1.5, Math.max(0.6, asked / Math.max(0.1, minutes)));
  }
  return best!;
}

function draftOnce(
  title: string,
  plan: CoursePlan,
  context: DraftContext,
  onLesson?: (done: number, of: number, title: string) => void,
): { plan: CoursePlan; course: Course } {
  const lessons = plan.modules.flatMap((module) => module.lessons);
  if (lessons.length === 0) fail('nothing-to-draft');
  const drafted = new Map<string, DraftedLesson>();
  lessons.forEach((each, index) => {
    drafted.set(each.lesson.id, draftLesson(each, title, context));
    onLesson?.(index + 1, lessons.length, each.lesson.title);
  });
  return { plan, course: assembleCourse(context.brief, title, plan, drafted, context) };
}

/** The document out of drafted lessons: objectives of modules, glossary, titles to choose from. */
export function assembleCourse(
  brief: Brief,
  title: string,
  plan: CoursePlan,
  drafted: ReadonlyMap<string, DraftedLesson>,
  context: DraftContext,
): Course {
  const objectives: Objective[] = [];
  const modules = plan.modules.map((module) => {
    const own = module.lessons.map((each) => drafted.get(each.lesson.id)!);
    objectives.push(...own.flatMap((each) => each.objectives));
    const objectiveIds = moduleObjectives(own);
    return {
      id: module.id,
      title: module.title,
      purpose:
        module.purpose ??
        purposeOf(
          objectiveIds,
          own.flatMap((each) => each.objectives),
          context,
        ),
      objectiveIds,
      lessons: own.map((each) => each.lesson),
    };
  });
  const answers = plan.modules.flatMap((module) => module.lessons.flatMap(({ lesson }) => openAnswers(lesson)));
  const takes: Take[] = plan.modules.flatMap((module) =>
    module.lessons.flatMap(({ lesson }) =>
      lesson.otherTitles.map((value) => ({
        id: idFrom('t', lesson.id, 'title', value),
        of: lesson.id,
        field: 'title',
        value,
        made: { at: 0, by: '', why: 'draft' as const },
      })),
    ),
  );
  return {
    id: idFrom('u', title, ...context.knowledge.map((each) => each.source.id)),
    title,
    language: brief.language,
    direction: directionOf(brief.language),
    brief,
    objectives,
    glossary: glossaryOf(
      modules.flatMap((module) => module.lessons.flatMap((lesson) => lesson.plannedPassages)),
      context,
    ),
    modules,
    checks: [...drafted.values()].flatMap((each) => each.checks),
    takes,
    ...(answers.length > 0 && { answers }),
    bin: [],
  };
}

/** Two to four of a module's objectives: the highest level first, one a lesson before a second of any. */
function moduleObjectives(lessons: readonly DraftedLesson[]): string[] {
  const level = { decide: 2, apply: 1, recall: 0 };
  const ranked = lessons.flatMap((each, at) => each.objectives.map((objective, place) => ({ objective, place, at })));
  return ranked
    .sort((a, b) => a.place - b.place || level[b.objective.level] - level[a.objective.level] || a.at - b.at)
    .slice(0, 4)
    .map((each) => each.objective.id);
}

/** How many objectives one line on a module's purpose names. */
const IN_PURPOSE = 3;

/** What a module is for, in a line made of its objectives. */
export function purposeOf(
  ids: readonly string[],
  objectives: readonly Objective[],
  { knowledge }: DraftContext,
): string {
  const byId = new Map(objectives.map((objective) => [objective.id, objective.text]));
  return knowledge[0]?.pack.objectives?.purpose(ids.slice(0, IN_PURPOSE).flatMap((id) => byId.get(id) ?? [])) ?? '';
}

/** A word as common as this (Zipf scale) is understood before it is defined. */
const EVERYDAY = 5;

/** Terms with their definitions, of passages the course uses; the first definition of a term wins. */
function glossaryOf(used: readonly string[], { claims, matter }: DraftContext): GlossaryEntry[] {
  const shown = new Set(used);
  const entries = new Map<string, GlossaryEntry>();
  const good = (claim: Claim) =>
    claim.kind === 'definition' &&
    claim.proper &&
    claim.term &&
    claim.meaning &&
    !claim.leaning &&
    claim.ranges.every((range) => shown.has(range.id));
  for (const claim of claims.filter(good)) {
    const { pack } = matter.of(claim.ranges[0].id);
    const key = pack.stems(claim.term!).join(' ') || claim.term!.toLowerCase();
    const everyday = (pack.commonness(claim.term!.toLowerCase()) ?? 0) >= EVERYDAY;
    if (!entries.has(key))
      entries.set(key, {
        id: idFrom('g', key),
        term: claim.term!,
        text: claim.meaning!,
        evidence: claim.ranges,
        ...(everyday && { everyday }),
      });
  }
  return [...entries.values()].sort((a, b) => (a.term.toLowerCase() < b.term.toLowerCase() ? -1 : 1));
}
