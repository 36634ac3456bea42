import type { Level } from '~~/core/checks/check';
import type { Shows } from '~~/core/quiz/form';

/** When learners hear what an answer was worth. */
export const SHOWS_WORDS: Record<Shows, string> = {
  each: 'at once, answer by answer',
  handed: 'when they hand in',
  end: 'when nothing can be won by it any more',
  never: 'never: only the result',
};

/** What a question asks of learners. */
export const LEVEL_WORDS: Record<Level, string> = { recall: 'know', apply: 'apply', decide: 'decide' };

/** Where a quiz draws from. */
export const FROM_WORDS = {
  here: 'this page',
  module: 'this page and the lessons of the module',
  course: 'this page and all lessons',
} as const;
