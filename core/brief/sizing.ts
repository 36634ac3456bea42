import { BLOCKS, blockTexts, formOf, type Block, type BlockKind } from '../blocks/forms';
import type { Course, Lesson } from '../course/course';
import { asksOf } from '../course/quizzes';
import { textOf } from '../document/rich-text';
import { roughWords } from '../source/words';

/** The formula of docs/minutes.md. */
export const PACE = {
  /** Words a learner studies in a minute: slower than reading for pleasure (Brysbaert 2019: 238). */
  wordsPerMinute: 180,
  minutesPerCheck: 0.6,
  /** Opening a lesson, finding one's place. */
  minutesPerLesson: 0.3,
};

/** Words that a learner studies of so many in so many rows, items or lines of a block of some kind. */
export function studiedWords(kind: BlockKind, words: number, entries: number): number {
  const most = BLOCKS[kind].study?.most ?? Infinity;
  return entries > most ? Math.round((words * most) / entries) : words;
}

/** Words of a block as a learner reads them. */
export function blockWords(block: Block): number {
  const { study, plain } = formOf(block);
  const texts = [...(plain?.(block.body) ?? []), ...blockTexts(block).map(textOf)];
  const words = texts.reduce((sum, text) => sum + roughWords(text), 0);
  return study ? studiedWords(block.kind, words, study.entries(block.body)) : words;
}

/** Minutes that a block takes beside the reading of its words. */
function minutesBeside(block: Block): number {
  const { study } = formOf(block);
  return study?.minutes ? Math.min(study.most, study.entries(block.body)) * study.minutes : 0;
}

/** Words of a lesson's page; questions are timed apart. */
export function lessonWords(lesson: Pick<Lesson, 'blocks'>): number {
  return lesson.blocks.reduce((sum, block) => sum + blockWords(block), 0);
}

/** How many minutes a learner needs, rounded to a tenth. The author's own figure wins. */
export function lessonMinutes(lesson: Pick<Lesson, 'blocks' | 'minutesFixed' | 'quiz'>): number {
  if (lesson.minutesFixed !== undefined) return lesson.minutesFixed;
  const beside = lesson.blocks.reduce((sum, block) => sum + minutesBeside(block), 0);
  return minutesFor(lessonWords(lesson), asksOf(lesson), beside);
}

/** Minutes for so many words and checks, and what else takes minutes. */
export function minutesFor(words: number, checks: number, beside = 0): number {
  const minutes = PACE.minutesPerLesson + words / PACE.wordsPerMinute + checks * PACE.minutesPerCheck + beside;
  return Math.round(minutes * 10) / 10;
}

const LEVEL = { recall: 0, apply: 1, decide: 2 } as const;

/**
 * Demand on the learner, 0 to 10: the level of the objectives (up to 4), new terms per hundred words (up to 3), reading
 * grade from 6 to 16 (up to 3). Without a grade its part is left out and the rest stretched.
 */
export function lessonDemand(lesson: Lesson, course: Course, grade: number | undefined): number {
  const objectives = course.objectives.filter((objective) => lesson.objectiveIds.includes(objective.id));
  const level =
    objectives.length > 0
      ? objectives.reduce((sum, objective) => sum + LEVEL[objective.level], 0) / objectives.length
      : 0;
  const words = Math.max(1, lessonWords(lesson));
  const terms = course.glossary.filter((entry) =>
    entry.evidence.some((range) => lesson.plannedPassages.includes(range.id)),
  ).length;
  const parts = [2 * level, Math.min(3, (terms * 100) / words)];
  const graded = grade === undefined ? undefined : Math.min(3, Math.max(0, ((grade - 6) / 10) * 3));
  const sum = parts[0] + parts[1] + (graded ?? 0);
  return Math.round((graded === undefined ? (sum * 10) / 7 : sum) * 10) / 10;
}

/** Minutes of a whole course. */
export function courseMinutes(course: Course): number {
  const minutes = course.modules
    .flatMap((module) => module.lessons)
    .reduce((sum, lesson) => sum + lessonMinutes(lesson), 0);
  return Math.round(minutes * 10) / 10;
}
