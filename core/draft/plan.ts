import { minutesFor } from '../brief/sizing';
import type { OutlineProposal, ProposedLesson } from '../outline';
import { piecesOf } from '../lesson/pieces';
import type { Piece } from '../lesson/piece';
import { selectPieces, wordsWithNeeds } from '../lesson/select';
import { SHOWN_FROM } from '../check';
import type { DraftContext } from './context';

/** A lesson ready to be drafted: which pieces of its matter it takes. */
export interface LessonPlan {
  lesson: ProposedLesson;
  pieces: Piece[];
  chosen: number[];
  words: number;
  /** Questions to place at most. */
  questions: number;
  /** Minutes it will take, with the questions that are likely to be found. */
  minutes: number;
}

export interface CoursePlan {
  modules: { id: string; title: string; lessons: LessonPlan[] }[];
  /** Lessons with too little to teach from, left out. */
  empty: { title: string; words: number; sourceId: string }[];
  minutes: { asked?: number; planned: number };
  usableWords: number;
}

/** Share of a unit's usable words that a lesson takes when no size is asked: read on many documents, this reads like a lesson. */
const SHARE = 0.6;
/** Pieces from this weight on carry a claim. */
const TELLING = 2;
const MOST_SHARE = 0.9;
/** Short units are taken whole. */
const SHORT_UNIT = 260;
const LEAST_WORDS = 45;
/** What is in focus gets this much more of its words taught. */
const FOCUS_SHARE = 0.6;
/** Minutes. */
const SHORTEST_LESSON = 1.5;

/**
 * Allots the sources' words: the size asked decides how much of each unit its lesson gets, by the weight of what it
 * says. Without a size, three fifths of each. `aim` is the minutes to plan for, when a first draft came out longer or
 * shorter than asked. `settled`: the lessons are the author's already, and none is left out for being small.
 */
export function planCourse(proposal: OutlineProposal, context: DraftContext, { aim = context.brief.size.minutes, settled = false }: { aim?: number; settled?: boolean } = {}): CoursePlan {
  const least = settled ? 1 : LEAST_WORDS;
  const { minutes } = context.brief.size;
  const questions = context.brief.size.questionsPerLesson;
  const open = proposal.modules.map((module) => ({
    id: module.id, title: module.title,
    lessons: module.lessons.map((lesson) => {
      const pieces = piecesOf(lesson.unit, context.matter);
      const usable = pieces.reduce((sum, piece) => sum + piece.words, 0);
      return { lesson, pieces, usable, likelyQuestions: Math.min(questions, expectedQuestions(lesson, context)) };
    }),
  }));
  const lessons = open.flatMap((module) => module.lessons);
  const all = settled ? lessons : roomFor(lessons, aim);
  const usableWords = all.reduce((sum, entry) => sum + entry.usable, 0);
  const choose = (share: number) => new Map(all.map((entry) => [entry, selectPieces(entry.pieces, budget(entry.pieces, entry.usable, share * emphasis(entry.pieces), aim === undefined))]));
  const words = (entry: (typeof all)[number], chosen: readonly number[]) => chosen.reduce((sum, index) => sum + entry.pieces[index].words, 0);
  const minutesOf = (chosen: ReadonlyMap<(typeof all)[number], number[]>) =>
    [...chosen].reduce((sum, [entry, indexes]) => sum + (words(entry, indexes) < least ? 0 : minutesFor(words(entry, indexes), entry.likelyQuestions)), 0);
  let chosen = choose(SHARE);
  if (aim !== undefined) {
    let low = 0.02;
    let high = 1.2;
    for (let round = 0; round < 14; round++) {
      const middle = (low + high) / 2;
      chosen = choose(middle);
      if (minutesOf(chosen) > aim) high = middle;
      else low = middle;
    }
  }
  const empty: CoursePlan['empty'] = [];
  const modules = open.map((module) => ({
    id: module.id, title: module.title,
    lessons: module.lessons.flatMap((entry): LessonPlan[] => {
      const indexes = chosen.get(entry) ?? [];
      const taken = words(entry, indexes);
      if (taken < least) {
        empty.push({ title: entry.lesson.title, words: entry.usable, sourceId: entry.lesson.unit.sourceId });
        return [];
      }
      return [{ lesson: entry.lesson, pieces: entry.pieces, chosen: indexes, words: taken, questions, minutes: minutesFor(taken, entry.likelyQuestions) }];
    }),
  })).filter((module) => module.lessons.length > 0);
  return { modules, empty, minutes: { ...(minutes !== undefined && { asked: minutes }), planned: Math.round(minutesOf(chosen) * 10) / 10 }, usableWords };
}

/** In a short course lessons would be splinters: the lightest are left out, so that each has a minute and a half. */
function roomFor<Entry extends { lesson: ProposedLesson; usable: number }>(entries: readonly Entry[], minutes: number | undefined): Entry[] {
  const most = minutes === undefined ? entries.length : Math.max(1, Math.floor(minutes / SHORTEST_LESSON));
  const worth = ({ lesson, usable }: Entry) => lesson.unit.weight + usable / 100;
  const kept = new Set([...entries].sort((a, b) => worth(b) - worth(a) || (a.lesson.id < b.lesson.id ? -1 : 1)).slice(0, most));
  return entries.filter((entry) => kept.has(entry));
}

/** How much more of its words a lesson is given for what of it is in focus. */
function emphasis(pieces: readonly Piece[]): number {
  const sum = (list: readonly Piece[]) => list.reduce((total, piece) => total + piece.words, 0);
  return 1 + FOCUS_SHARE * (sum(pieces.filter((piece) => piece.focus)) / Math.max(1, sum(pieces)));
}

/** Without a size asked, short units are taken whole, and what says something (rules, definitions, steps ...) is not cut for a share's sake. */
function budget(pieces: readonly Piece[], usable: number, share: number, free: boolean): number {
  if (!free) return usable * share;
  share = Math.min(1, share);
  if (usable <= SHORT_UNIT) return usable;
  return Math.max(usable * share, Math.min(wordsWithNeeds(pieces, TELLING), usable * MOST_SHARE));
}

/** A guess at how many questions a lesson will place, for its minutes: conditional rules, definitions and limits it has. */
function expectedQuestions(lesson: ProposedLesson, { matter }: DraftContext): number {
  const claims = lesson.unit.sections.flatMap((section) => section.passages.flatMap((id) => matter.claims.get(id) ?? []));
  const askable = claims.filter((claim) => !claim.leaning && ((claim.kind === 'rule' && claim.rule?.person && claim.rule.condition) || claim.kind === 'definition' || claim.kind === 'figure')).length;
  return Math.round(askable * (1 - SHOWN_FROM / 1.5));
}
