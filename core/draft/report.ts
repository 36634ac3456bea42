import { courseMinutes, PACE } from '../brief/sizing';
import { blockTexts } from '../course/blocks';
import { allLessons, placedChecks } from '../course/course';
import { evidencedSentences, replay, sentenceHash } from '../course/rich-text';
import { usesOf, type Use } from '../course/uses';
import { leftOutLines, saidKinds, type LeftOutLine, type SaidKind } from '../review/left-out';
import { isHarmless } from '../review/words';
import { passageIndex } from '../source/source';
import type { Draft } from './index';

/** What a run made, what it left out, and how well it can be trusted, in figures. */
export interface DraftReport {
  words: { read: number; usable: number; taught: number };
  /** What each source gave: `taught` is its words that the course shows. */
  sources: { id: string; title: string; kind: string; language: string; words: number; sections: number; passages: number; taught: number }[];
  claims: Record<string, number>;
  size: { minutesAsked?: number; minutes: number; modules: number; lessons: number };
  /** How much of what the sources claim is taught, by what it is; noise and repeats are not counted. */
  coverage: Partial<Record<SaidKind, { taught: number; of: number }>>;
  questions: { placed: number; offered: number; byForm: Record<string, number> };
  /** What would fill the time that is left: questions that are offered and not placed. */
  couldFill: { questions: number; minutes: number };
  /** Sentences with a source, those changed, and those whose recorded changes do not give their words (none, always). */
  sentences: { sourced: number; changed: number; connecting: number; unfaithful: number };
  leftOut: LeftOutLine[];
  notices: { code: string; parameters?: Record<string, string | number> }[];
}

/** Reports on a draft. */
export function reportOn(draft: Draft): DraftReport {
  const { course, plan, outline, context } = draft;
  const uses = usesOf(course);
  const claims: Record<string, number> = {};
  for (const claim of context.knowledge.flatMap((each) => each.claims)) claims[claim.kind] = (claims[claim.kind] ?? 0) + 1;
  const byForm: Record<string, number> = {};
  for (const check of course.checks) byForm[check.drafted?.form ?? 'own'] = (byForm[check.drafted?.form ?? 'own'] ?? 0) + 1;
  const placed = placedChecks(course).length;
  const offered = course.checks.length - placed;
  const minutes = courseMinutes(course);
  const asked = plan.minutes.asked;
  const lines = leftOutLines(course.leftOut ?? [], uses, context.knowledge);
  return {
    words: {
      read: sum(context.knowledge.map((each) => each.source.words)), usable: plan.usableWords,
      taught: sum(plan.modules.flatMap((module) => module.lessons.map((lesson) => lesson.words))),
    },
    sources: context.knowledge.map(({ source, sentences }) => ({
      id: source.id, title: source.title, kind: source.kind, language: source.language, words: source.words, sections: countSections(source.root) - 1, passages: source.passages.length,
      taught: sum(source.passages.map((passage) => sum((sentences.get(passage.id) ?? []).map((sentence) => (isTaught(uses, passage.id, sentence) ? sentence.words : 0))))),
    })),
    claims,
    size: { ...(asked !== undefined && { minutesAsked: asked }), minutes, modules: course.modules.length, lessons: allLessons(course).length },
    coverage: coverageOf(draft, uses),
    questions: { placed, offered, byForm },
    couldFill: { questions: offered, minutes: Math.round(offered * PACE.minutesPerCheck * 10) / 10 },
    sentences: faithfulness(draft),
    leftOut: lines,
    notices: [...outline.notices, ...(asked !== undefined && Math.abs(minutes - asked) > asked * 0.1 ? [{ code: minutes > asked ? 'minutes-over' : 'minutes-not-reached', parameters: { asked, got: minutes } }] : [])],
  };
}

const isTaught = (uses: ReadonlyMap<string, readonly Use[]>, id: string, { from, to }: { from: number; to: number }): boolean => (uses.get(id) ?? []).some((use) => use.check === undefined && use.from < to && use.to > from);

/** Claims by what they are, and how many of them stand on a page. Those of noise, and those said twice, are not counted. */
function coverageOf({ course, context }: Draft, uses: ReadonlyMap<string, readonly Use[]>): DraftReport['coverage'] {
  const counts: DraftReport['coverage'] = {};
  const uncounted = new Set((course.leftOut ?? []).filter(({ reason }) => isHarmless(reason)).flatMap(({ passages }) => passages.map((range) => `${range.id}/${range.from}`)));
  for (const { claims, pack } of context.knowledge) {
    for (const claim of claims) {
      const taught = claim.ranges.every((range) => isTaught(uses, range.id, range));
      if (!taught && claim.ranges.some((range) => uncounted.has(`${range.id}/${range.from}`))) continue;
      for (const kind of saidKinds(claim, pack)) {
        const count = (counts[kind] ??= { taught: 0, of: 0 });
        count.of++;
        if (taught) count.taught++;
      }
    }
  }
  return counts;
}

/** Replays every sourced sentence on its passages: its words must come out letter by letter. */
function faithfulness({ course, context }: Draft): DraftReport['sentences'] {
  const passages = passageIndex(context.knowledge.map((each) => each.source));
  const result = { sourced: 0, changed: 0, connecting: 0, unfaithful: 0 };
  for (const text of allLessons(course).flatMap((lesson) => lesson.blocks.flatMap(blockTexts))) {
    for (const { mark, text: words } of evidencedSentences(text)) {
      result.sourced++;
      if (mark.attrs.passages.some((range) => range.edits?.length)) result.changed++;
      const replayed = replay(mark.attrs.passages, (id) => passages.get(id)?.text);
      if (replayed !== words || sentenceHash(words) !== mark.attrs.was) result.unfaithful++;
    }
    if (text.some((run) => run.marks?.some((mark) => mark.type === 'connecting'))) result.connecting++;
  }
  return result;
}

function countSections(section: { sections: { sections: unknown[] }[] }): number {
  return 1 + section.sections.reduce((total, child) => total + countSections(child as typeof section), 0);
}

function sum(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0);
}
