import { blockTexts, type Block } from '../course/blocks';
import type { Course, Lesson } from '../course/course';
import { textOf } from '../course/rich-text';
import { roughWords } from '../source/words';

/** The formula of docs/minutes.md. */
export const PACE = {
  /** Words a learner studies in a minute: slower than reading for pleasure (Brysbaert 2019: 238). */
  wordsPerMinute: 180,
  minutesPerCheck: 0.6,
  minutesPerCodeLine: 0.08,
  /** Opening a lesson, finding one's place. */
  minutesPerLesson: 0.3,
};

/** So many rows, items and lines are read; longer tables, lists and code are there to be looked up in, and only opened. */
const LOOKED_UP_FROM = { table: 15, list: 40, code: 25 };

/** Words that a learner studies of so many in so many rows, items or lines. */
export function studiedWords(kind: keyof typeof LOOKED_UP_FROM, words: number, entries: number): number {
  return entries > LOOKED_UP_FROM[kind] ? Math.round((words * LOOKED_UP_FROM[kind]) / entries) : words;
}

/** Words of a block as a learner reads them. */
export function blockWords(block: Block): number {
  if (block.kind === 'table') return studiedWords('table', textWords(block), block.body.rows.length);
  if (block.kind === 'list') return studiedWords('list', textWords(block), block.body.items.length);
  return textWords(block);
}

function textWords(block: Block): number {
  const terms = block.kind === 'terms' ? block.body.terms.reduce((sum, entry) => sum + roughWords(entry.term), 0) : 0;
  return terms + blockTexts(block).reduce((sum, text) => sum + roughWords(textOf(text)), 0);
}

/** Words of a lesson's page; questions are timed apart. */
export function lessonWords(lesson: Pick<Lesson, 'blocks'>): number {
  return lesson.blocks.reduce((sum, block) => sum + blockWords(block), 0);
}

/** How many minutes a learner needs, rounded to a tenth. The author's own figure wins. */
export function lessonMinutes(lesson: Pick<Lesson, 'blocks' | 'minutesFixed'>): number {
  if (lesson.minutesFixed !== undefined) return lesson.minutesFixed;
  const checks = lesson.blocks.filter((block) => block.kind === 'check').length;
  const lines = lesson.blocks.reduce((sum, block) => sum + (block.kind === 'code' ? Math.min(LOOKED_UP_FROM.code, block.body.code.split('\n').length) : 0), 0);
  return minutesFor(lessonWords(lesson), checks, lines);
}

/** Minutes for so many words, checks and lines of code. */
export function minutesFor(words: number, checks: number, codeLines = 0): number {
  const minutes = PACE.minutesPerLesson + words / PACE.wordsPerMinute + checks * PACE.minutesPerCheck + codeLines * PACE.minutesPerCodeLine;
  return Math.round(minutes * 10) / 10;
}

const LEVEL = { recall: 0, apply: 1, decide: 2 } as const;

/**
 * Demand on the learner, 0 to 10: the level of the objectives (up to 4), new terms per hundred words (up to 3), reading
 * grade from 6 to 16 (up to 3). Without a grade its part is left out and the rest stretched.
 */
export function lessonDemand(lesson: Lesson, course: Course, grade: number | undefined): number {
  const objectives = course.objectives.filter((objective) => lesson.objectiveIds.includes(objective.id));
  const level = objectives.length > 0 ? objectives.reduce((sum, objective) => sum + LEVEL[objective.level], 0) / objectives.length : 0;
  const words = Math.max(1, lessonWords(lesson));
  const terms = course.glossary.filter((entry) => entry.evidence.some((range) => lesson.plannedPassages.includes(range.id))).length;
  const parts = [2 * level, Math.min(3, (terms * 100) / words)];
  const graded = grade === undefined ? undefined : Math.min(3, Math.max(0, ((grade - 6) / 10) * 3));
  const sum = parts[0] + parts[1] + (graded ?? 0);
  return Math.round((graded === undefined ? (sum * 10) / 7 : sum) * 10) / 10;
}

/** Minutes of a whole course. */
export function courseMinutes(course: Course): number {
  const minutes = course.modules.flatMap((module) => module.lessons).reduce((sum, lesson) => sum + lessonMinutes(lesson), 0);
  return Math.round(minutes * 10) / 10;
}
