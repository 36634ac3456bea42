import { allLessons, type Course, type Lesson } from '../course/course';
import { fail } from '../course/problem';
import type { Claim, Knowledge } from '../knowledge';
import { Bm25 } from '../language/similarity';
import type { OutlineProposal, Unit } from '../outline';
import { lessonObjectives } from '../outline/objectives';
import type { Objective } from '../course/course';
import { usesOf } from '../course/uses';
import { allSections } from '../source/source';
import { contextFor, draftContext, type DraftContext } from './context';
import { draftLesson, type DraftedLesson } from './lesson';
import { planCourse, type CoursePlan } from './plan';

/** Passages looked for when a lesson's author named none. */
const MOST_FOUND = 14;
/** A passage that scores below this share of the best one is about something else. */
const CLOSE_ENOUGH = 0.35;

/** The matter of a lesson as it stands in the course: its planned passages, in the order of their sources' sections. */
export function unitOf(lesson: Pick<Lesson, 'title' | 'plannedPassages'>, knowledge: readonly Knowledge[]): Unit {
  const wanted = new Set(lesson.plannedPassages);
  const sections = knowledge.flatMap(({ source }) => {
    const paths = sectionPaths(source.root);
    return allSections(source.root).flatMap((section) => {
      const passages = section.passages.filter((id) => wanted.has(id));
      return passages.length > 0 ? [{ id: section.id, title: section.title, path: paths.get(section.id) ?? [], passages }] : [];
    });
  });
  const owner = knowledge.find((each) => each.passages.has(sections[0]?.passages[0] ?? ''));
  return { title: lesson.title, sourceId: owner?.source.id ?? knowledge[0]?.source.id ?? '', sections, words: 0, weight: 1 };
}

function sectionPaths(root: Knowledge['source']['root']): Map<string, string[]> {
  const paths = new Map<string, string[]>();
  const visit = (section: typeof root, path: string[]): void => {
    paths.set(section.id, path);
    for (const child of section.sections) visit(child, [...path, section.title]);
  };
  visit(root, []);
  return paths;
}

/** The outline of a course as a proposal, so that it can be planned and drafted like a new one. A lesson without passages gets those that fit its title. */
export function proposalOf(course: Course, knowledge: readonly Knowledge[]): OutlineProposal {
  const free = new Set(allLessons(course).flatMap((lesson) => lesson.plannedPassages));
  return {
    title: course.title, language: course.language, dropped: [], notices: [],
    modules: course.modules.map((module) => ({
      id: module.id, title: module.title,
      lessons: module.lessons.map((lesson) => {
        const plannedPassages = lesson.plannedPassages.length > 0 ? lesson.plannedPassages : fittingPassages(lesson.title, knowledge, free);
        return { id: lesson.id, title: lesson.title, otherTitles: [], unit: unitOf({ title: lesson.title, plannedPassages }, knowledge) };
      }),
    })),
  };
}

/** A passage that no lesson uses, with how well it fits a topic (a score to rank by, no probability). */
export interface UnusedPassage {
  id: string;
  sourceId: string;
  score: number;
  /** What it says, by kind of claim. */
  kinds: Claim['kind'][];
}

/** Passages of the sources that no page and no placed question stands on yet, those that fit a lesson best first. */
export function unusedFor(course: Course, lessonId: string, knowledge: readonly Knowledge[], most = 12): UnusedPassage[] {
  const lesson = allLessons(course).find((each) => each.id === lessonId);
  if (!lesson) return [];
  const used = new Set(usesOf(course).keys());
  const planned = lesson.plannedPassages.flatMap((id) => knowledge.flatMap((each) => each.sentences.get(id)?.flatMap((sentence) => sentence.stems) ?? []));
  const stems = knowledge[0]?.pack.stems(lesson.title) ?? [];
  return ranked([...stems, ...stems, ...planned], knowledge, used).slice(0, most);
}

function fittingPassages(topic: string, knowledge: readonly Knowledge[], used: ReadonlySet<string>): string[] {
  const found = ranked(knowledge[0]?.pack.stems(topic) ?? [], knowledge, used);
  return found.filter((each) => each.score >= found[0].score * CLOSE_ENOUGH).slice(0, MOST_FOUND).map((each) => each.id);
}

function ranked(stems: readonly string[], knowledge: readonly Knowledge[], used: ReadonlySet<string>): UnusedPassage[] {
  const passages = knowledge.flatMap((each) => each.source.passages.filter((passage) => !used.has(passage.id) && passage.kind !== 'code' && passage.kind !== 'footnote').map((passage) => ({ passage, each })));
  const index = new Bm25(passages.map(({ passage, each }) => (each.sentences.get(passage.id) ?? []).flatMap((sentence) => sentence.stems)));
  const kinds = new Map<string, Set<Claim['kind']>>();
  for (const claim of knowledge.flatMap((each) => each.claims)) for (const range of claim.ranges) kinds.set(range.id, (kinds.get(range.id) ?? new Set()).add(claim.kind));
  return index.rank(stems).map(({ document, score }) => {
    const { passage, each } = passages[document];
    return { id: passage.id, sourceId: each.source.id, score: Math.round(score * 100) / 100, kinds: [...(kinds.get(passage.id) ?? [])] };
  });
}

/** What a lesson's learner can do afterwards, from all that its planned passages claim: for an outline, before any text. */
export function plannedObjectives(lesson: Pick<Lesson, 'id' | 'title' | 'plannedPassages'>, context: DraftContext): Objective[] {
  const [first] = lesson.plannedPassages;
  if (!first) return [];
  const knowledge = context.matter.of(first);
  const claims = new Map(lesson.plannedPassages.flatMap((id) => context.matter.claims.get(id) ?? []).map((claim) => [claim.id, claim]));
  return lessonObjectives(lesson.id, lesson.title, [...claims.values()], knowledge);
}

/** A course made ready for drafting: its plan and all that drafting looks things up in. */
export interface Prepared {
  plan: CoursePlan;
  context: DraftContext;
}

/** What a preparation depends on: with the same words it serves for every lesson, however much of them is drafted already. */
export function preparedFor(course: Course): string {
  return JSON.stringify([course.title, course.brief, course.settled, course.corrections, course.supporting, course.modules.map((module) => [module.id, module.title, module.lessons.map((lesson) => [lesson.id, lesson.title, lesson.minutesFixed, lesson.plannedPassages])])]);
}

/** Plans a course as it stands. */
export function prepareCourse(course: Course, knowledge: readonly Knowledge[]): Prepared {
  const proposal = proposalOf(course, knowledge);
  const used = new Set(proposal.modules.flatMap((module) => module.lessons.flatMap((lesson) => lesson.unit.sections.flatMap((section) => section.passages))));
  const context = contextFor(draftContext(course.brief, knowledge), used);
  return { plan: planCourse(proposal, context, { settled: true }), context };
}

/**
 * Drafts one lesson of a course from its planned passages. Throws the problems `gone` (no such lesson) and `nothing-to-draft`
 * (its passages, or those that fit its title, hold nothing that can be taught).
 */
export function draftLessonOf(course: Course, lessonId: string, { plan, context }: Prepared): DraftedLesson {
  if (!allLessons(course).some((lesson) => lesson.id === lessonId)) fail('gone', undefined, lessonId);
  const own = plan.modules.flatMap((module) => module.lessons).find((each) => each.lesson.id === lessonId);
  if (!own) fail('nothing-to-draft', undefined, lessonId);
  return draftLesson(own, course.title, context);
}
