import { allLessons, type Course, type Lesson, type Objective } from '../course/course';
import type { LeftOut } from '../course/left-out';
import { fail } from '../document/problem';
import type { Knowledge } from '../knowledge';
import type { OutlineProposal } from '../outline';
import { lessonsOf } from '../outline/proposal';
import { lessonObjectives } from '../outline/objectives';
import { usesOf } from '../course/uses';
import { contextFor, draftContext, type DraftContext } from './context';
import { draftLesson, type DraftedLesson } from './lesson';
import { scopeOf } from './lesson-scope';
import { leftOutOf } from './left-out';
import { planCourse, type CoursePlan } from './plan';
import { fittingPassages, rankedPassages } from './unused';

/** Passages that pages stand on and no lesson plans, by lesson: the author pulled them in. */
function pulledInto(course: Course): Map<string, string[]> {
  const planned = new Set(allLessons(course).flatMap((lesson) => lesson.plannedPassages));
  const pulled = new Map<string, string[]>();
  for (const [passage, uses] of usesOf(course)) {
    if (planned.has(passage)) continue;
    for (const lesson of new Set(uses.filter((use) => !use.check && !use.also).map((use) => use.lesson)))
      pulled.set(lesson, [...(pulled.get(lesson) ?? []), passage]);
  }
  return pulled;
}

/** What the author gave a lesson, by giving it or by pulling it into its page. */
const givenTo = ({ id, given = [] }: Lesson, pulled: ReadonlyMap<string, string[]>): string[] => [
  ...new Set([...given, ...(pulled.get(id) ?? [])]),
];

/**
 * The outline of a course as a proposal, so that it can be planned and drafted like a new one. A lesson without
 * passages gets those that fit its title.
 */
export function proposalOf(course: Course, context: Pick<DraftContext, 'knowledge' | 'matter'>): OutlineProposal {
  const planned = new Set(allLessons(course).flatMap((lesson) => lesson.plannedPassages));
  const pulled = pulledInto(course);
  return {
    title: course.title,
    language: course.language,
    dropped: [],
    notices: [],
    modules: course.modules.map((module) => ({
      id: module.id,
      title: module.title,
      lessons: module.lessons.map((lesson) => {
        const { id, title } = lesson;
        const given = givenTo(lesson, pulled).filter((each) => context.matter.of(each));
        const plannedPassages =
          lesson.plannedPassages.length > 0 || given.length > 0
            ? lesson.plannedPassages
            : fittingPassages(title, context, planned);
        const own = new Set(plannedPassages);
        return {
          id,
          title,
          otherTitles: [],
          ...(lesson.minutesFixed !== undefined && { pinned: lesson.minutesFixed }),
          ...(given.length > 0 && { given }),
          ...(lesson.points && { points: lesson.points }),
          scope: scopeOf(
            { title, plannedPassages, given },
            context,
            new Set([...planned].filter((each) => !own.has(each))),
          ),
        };
      }),
    })),
  };
}

/**
 * What a lesson's learner can do afterwards, from all that its planned passages claim: for an outline, before any text.
 */
export function plannedObjectives(
  lesson: Pick<Lesson, 'id' | 'title' | 'plannedPassages'>,
  context: DraftContext,
): Objective[] {
  const [first] = lesson.plannedPassages;
  if (!first) return [];
  const knowledge = context.matter.of(first);
  const claims = new Map(
    lesson.plannedPassages.flatMap((id) => context.matter.claims.get(id) ?? []).map((claim) => [claim.id, claim]),
  );
  return lessonObjectives(
    lesson.id,
    lesson.title,
    [...claims.values()],
    lesson.plannedPassages.map((id) => context.matter.of(id).passages.get(id)!),
    knowledge,
  );
}

/** A course made ready for drafting: its plan and all that drafting looks things up in. */
export interface Prepared {
  plan: CoursePlan;
  context: DraftContext;
  /** What of the sources no lesson teaches. */
  leftOut: LeftOut[];
}

/**
 * What a preparation depends on: with the same words it serves for every lesson, however much of them is drafted
 * already.
 */
export function preparedFor(course: Course): string {
  const pulled = pulledInto(course);
  return JSON.stringify([
    course.title,
    course.brief,
    course.settled,
    course.corrections,
    course.supporting,
    course.modules.map((module) => [
      module.id,
      module.title,
      module.lessons.map((lesson) => [
        lesson.id,
        lesson.title,
        lesson.minutesFixed,
        lesson.plannedPassages,
        givenTo(lesson, pulled),
        lesson.points,
      ]),
    ]),
  ]);
}

/** Plans a course as it stands. */
export function prepareCourse(course: Course, knowledge: readonly Knowledge[]): Prepared {
  const whole = draftContext(course.brief, knowledge);
  const proposal = proposalOf(course, whole);
  const context = contextFor(whole, lessonsOf(proposal));
  const plan = planCourse(proposal, context, { settled: true });
  return { plan, context, leftOut: leftOutOf(proposal, plan, context) };
}

/**
 * Drafts one lesson of a course from its planned passages. Throws the problems `gone` (no such lesson),
 * `taught-elsewhere` (what fits its title stands in another lesson, which is named) and `nothing-to-draft` (the sources
 * hold nothing that fits it).
 */
export function draftLessonOf(course: Course, lessonId: string, { plan, context }: Prepared): DraftedLesson {
  const lesson = allLessons(course).find((each) => each.id === lessonId) ?? fail('gone', undefined, lessonId);
  const own = plan.modules.flatMap((module) => module.lessons).find((each) => each.lesson.id === lessonId);
  if (!own) {
    const holder = holderOf(lesson, course, context);
    if (holder) fail('taught-elsewhere', { lesson: holder.title }, lessonId);
    fail('nothing-to-draft', undefined, lessonId);
  }
  return draftLesson(
    own,
    course.title,
    context,
    course.checks.filter(({ refused }) => refused),
  );
}

/** The lesson that plans what fits another's title best. */
function holderOf({ id, title }: Lesson, course: Course, { knowledge }: DraftContext): Lesson | undefined {
  const [best] = rankedPassages(knowledge[0]?.pack.stems(title) ?? [], knowledge, new Set());
  return (
    best &&
    allLessons(course).find(
      (lesson) => lesson.id !== id && [...lesson.plannedPassages, ...(lesson.given ?? [])].includes(best.id),
    )
  );
}
