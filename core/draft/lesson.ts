import { draftQuestions } from '../check';
import type { Block } from '../blocks/forms';
import { checkFormOf, type Check } from '../checks/forms';
import type { Objective, PointDoes } from '../course/course';
import { mayBeOffered } from '../course/offers';
import { blankLesson } from '../course/gestures';
import { idFrom } from '../document/id';
import type { LessonPage } from '../course/takes';
import type { Claim } from '../knowledge';
import { composePage } from '../lesson/compose';
import { lessonObjectives } from '../outline/objectives';
import { ownObjective } from '../own/open';
import { passagesOf } from '../outline/scope';
import { kindOf, type DraftContext } from './context';
import type { LessonPlan } from './plan';

/** What drafting one lesson gives: its page, objectives, and checks, placed ones and offers, best first. */
export type DraftedLesson = LessonPage;

/** Drafts one lesson: a pure function of its plan, the sources, and the questions that were refused before. */
export function draftLesson(
  plan: LessonPlan,
  courseTitle: string,
  context: DraftContext,
  refused: readonly Check[] = [],
): DraftedLesson {
  const { lesson, parts } = plan;
  if (parts.length === 0) return blank(plan);
  const page = composePage(
    lesson,
    lesson.scope,
    parts,
    context.matter,
    courseTitle,
    context.brief.sourcesOnly ? { recalled: [], ours: false } : { recalled: recalledTerms(plan, context), ours: true },
  );
  const claims = claimsIn(plan, context);
  const planned = [...new Set(parts.flatMap((part) => part.items.map((item) => item.passage.id)))];
  const knowledge = context.matter.of(planned[0]);
  const objectives = lesson.own?.objective
    ? [ownObjective(lesson.id, lesson.own.objective)]
    : lessonObjectives(
        lesson.id,
        lesson.title,
        claims,
        planned.map((id) => context.matter.of(id).passages.get(id)!),
        knowledge,
      );
  const pool = context.pools.get(knowledge.pack.code);
  const checks: Check[] = pool
    ? draftQuestions(lesson.id, {
        pack: knowledge.pack,
        title: lesson.title,
        blocks: page.blocks,
        lesson: claims,
        course: pool,
        who: context.brief.audience.who,
      })
        .filter((check) => mayBeOffered(check, refused))
        .map((check) => withObjective(check, objectives))
    : [];
  return {
    lesson: {
      id: lesson.id,
      title: lesson.title,
      kind: 'lesson',
      ...kindOf(planned, context),
      objectiveIds: objectives.map((objective) => objective.id),
      state: 'drafted',
      plannedPassages: planned,
      ...(lesson.given?.length && { given: [...lesson.given] }),
      ...(lesson.points?.length && { points: [...lesson.points] }),
      ...(lesson.own?.minutes !== undefined && { minutesFixed: lesson.own.minutes }),
      blocks: withChecks(page.blocks, page.ends, placedOf(checks, plan), plan),
    },
    objectives,
    checks,
  };
}

/** A question with what it is for: the objective that stands on the same passage. */
export function withObjective(check: Check, objectives: readonly Objective[]): Check {
  const own = objectives.find(({ evidence }) =>
    evidence.some(({ id }) => check.evidence.some((range) => range.id === id)),
  );
  return own ? { ...check, objectiveId: own.id } : check;
}

/** A lesson for which the sources hold nothing: it waits for its author's words. */
function blank({ lesson }: LessonPlan): DraftedLesson {
  const objectives = lesson.own?.objective ? [ownObjective(lesson.id, lesson.own.objective)] : [];
  return {
    lesson: {
      ...blankLesson(lesson.id, lesson.title),
      ...(lesson.own?.kind && { lessonKind: lesson.own.kind }),
      objectiveIds: objectives.map(({ id }) => id),
      ...(lesson.own?.minutes !== undefined && { minutesFixed: lesson.own.minutes }),
      ...(lesson.points?.length && { points: [...lesson.points] }),
    },
    objectives,
    checks: [],
  };
}

/** Defined terms of the scope that the audience knows, so that their definitions are left out. */
function recalledTerms({ lesson }: LessonPlan, { matter }: DraftContext): string[] {
  const own = passagesOf(lesson.scope).flatMap((id) => matter.claims.get(id) ?? []);
  const known = new Set(matter.known.map((stems) => stems.join(' ')));
  const terms = own.filter(
    (claim) =>
      claim.kind === 'definition' &&
      claim.term &&
      known.has(matter.of(claim.ranges[0].id).pack.stems(claim.term).join(' ')),
  );
  return [...new Set(terms.map((claim) => claim.term!))];
}

/** Claims whose words the lesson shows: a question must be answerable from its page. */
function claimsIn({ parts }: LessonPlan, { matter, repeatedClaims }: DraftContext): Claim[] {
  const claims = new Map<string, Claim>();
  for (const { sentence } of parts.flatMap((part) => part.items.flatMap((item) => item.sentences))) {
    for (const claim of matter.claims.get(sentence.passage.id) ?? []) {
      if (repeatedClaims.has(claim.id)) continue;
      const own = claim.ranges.filter((range) => range.id === sentence.passage.id);
      if (own.every((range) => range.from >= sentence.from && range.to <= sentence.to)) claims.set(claim.id, claim);
    }
  }
  return [...claims.values()];
}

/**
 * The checks to place: one at each point where the learner shall try, then where cases are weighed, then the best of
 * the rest. A point to try is its author's wish, and has its check whatever the number. What takes long, as a task, is
 * offered and never placed unasked.
 */
function placedOf(all: readonly Check[], { lesson: { points = [] }, questions }: LessonPlan): Check[] {
  const checks = all.filter((check) => !checkFormOf(check).standsAlone);
  const at = (does: PointDoes, placed: readonly Check[]): Check[] =>
    points
      .filter((point) => point.does === does)
      .flatMap(({ passages }) => {
        const own = checks.filter(
          (check) => !placed.includes(check) && check.evidence.some(({ id }) => passages.includes(id)),
        );
        return (
          (does === 'weigh' ? own.find(({ drafted }) => drafted?.form === 'condition') : undefined) ?? own[0] ?? []
        );
      });
  const tried = at('try', []);
  const weighed = at('weigh', tried).slice(0, Math.max(0, questions - tried.length));
  return spread(checks, questions, [...tried, ...weighed]);
}

/** The best checks beside those that are wished for, forms taking turns, no two on one passage. */
function spread(checks: readonly Check[], most: number, wished: readonly Check[]): Check[] {
  const placed: Check[] = [...wished];
  const used = new Map<string, number>();
  for (const { drafted } of wished) used.set(drafted?.form ?? '', (used.get(drafted?.form ?? '') ?? 0) + 1);
  const open = checks.filter((check) => !wished.includes(check));
  while (placed.length < most && open.length > 0) {
    const turn = (check: Check) => used.get(check.drafted?.form ?? '') ?? 0;
    const next = open.reduce((best, check) => (turn(check) < turn(best) ? check : best));
    open.splice(open.indexOf(next), 1);
    if (placed.some((other) => other.evidence.some((range) => next.evidence.some((own) => own.id === range.id))))
      continue;
    placed.push(next);
    used.set(next.drafted?.form ?? '', turn(next) + 1);
  }
  return placed;
}

/** Puts each check behind the part of the page that answers it; the summary stays last. */
function withChecks(
  blocks: readonly Block[],
  ends: readonly (number | undefined)[],
  checks: readonly Check[],
  { parts, lesson }: LessonPlan,
): Block[] {
  const sectionOf = (passageId: string) =>
    (parts.find((part) => part.items.some((item) => item.passage.id === passageId)) ?? parts.at(-1)!).section;
  const places = checks.map((check) => ({ check, at: ends[sectionOf(check.evidence.at(-1)!.id)] ?? blocks.length }));
  // Callouts may have been joined since the ends were counted.
  const last = blocks.at(-1)?.kind === 'summary' ? blocks.length - 1 : blocks.length;
  const result: Block[] = [];
  for (let at = 0; at <= blocks.length; at++) {
    for (const { check } of places.filter((place) => Math.min(place.at, last) === at))
      result.push({ id: idFrom('b', lesson.id, 'check', check.id), kind: 'check', body: { checkId: check.id } });
    if (at < blocks.length) result.push(blocks[at]);
  }
  return result;
}
