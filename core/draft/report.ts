import { blockTexts } from '../blocks/forms';
import { allLessons, placedChecks } from '../course/course';
import { evidencedSentences, replay, sentenceHash } from '../document/rich-text';
import { accountOf, type Account } from '../review/account';
import { passageIndex } from '../source/source';
import type { Draft } from './index';

/** What a run made, what it left out, and how well it can be trusted, in figures. */
export interface DraftReport {
  words: { read: number; usable: number; taught: number };
  /** What each source gave: `taught` is its words that the course shows. */
  sources: {
    id: string;
    title: string;
    kind: string;
    language: string;
    words: number;
    sections: number;
    passages: number;
    taught: number;
  }[];
  claims: Record<string, number>;
  size: { minutesAsked?: number; minutes: number; modules: number; lessons: number };
  coverage: Account['coverage'];
  questions: { placed: number; offered: number; byForm: Record<string, number> };
  couldFill: Account['couldFill'];
  /**
   * Sentences with a source, those changed, and those whose recorded changes do not give their words (none, always).
   */
  sentences: { sourced: number; changed: number; connecting: number; unfaithful: number };
  leftOut: Account['leftOut'];
  notices: { code: string; parameters?: Record<string, string | number> }[];
}

/** Reports on a draft. */
export function reportOn(draft: Draft): DraftReport {
  const { course, plan, outline, context } = draft;
  const claims: Record<string, number> = {};
  for (const claim of context.knowledge.flatMap((each) => each.claims))
    claims[claim.kind] = (claims[claim.kind] ?? 0) + 1;
  const byForm: Record<string, number> = {};
  for (const check of course.checks)
    byForm[check.drafted?.form ?? 'own'] = (byForm[check.drafted?.form ?? 'own'] ?? 0) + 1;
  const placed = placedChecks(course).length;
  const {
    minutes: { got: minutes },
    sources,
    coverage,
    leftOut,
    couldFill,
  } = accountOf(course, context.knowledge);
  const given = new Map(sources.map((source) => [source.id, source.taught]));
  const asked = plan.minutes.asked;
  return {
    words: {
      read: sum(context.knowledge.map((each) => each.source.words)),
      usable: plan.usableWords,
      taught: sum(plan.modules.flatMap((module) => module.lessons.map((lesson) => lesson.words))),
    },
    sources: context.knowledge.map(({ source }) => ({
      id: source.id,
      title: source.title,
      kind: source.kind,
      language: source.language,
      words: source.words,
      sections: countSections(source.root) - 1,
      passages: source.passages.length,
      taught: given.get(source.id)!,
    })),
    claims,
    size: {
      ...(asked !== undefined && { minutesAsked: asked }),
      minutes,
      modules: course.modules.length,
      lessons: allLessons(course).length,
    },
    coverage,
    questions: { placed, offered: course.checks.length - placed, byForm },
    couldFill,
    sentences: faithfulness(draft),
    leftOut,
    notices: [
      ...outline.notices,
      ...(asked !== undefined && Math.abs(minutes - asked) > asked * 0.1
        ? [{ code: minutes > asked ? 'minutes-over' : 'minutes-not-reached', parameters: { asked, got: minutes } }]
        : []),
    ],
  };
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
