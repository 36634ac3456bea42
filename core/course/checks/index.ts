import { choice, type ChoiceCheck } from './choice';

export type { ChoiceCheck, Option, Quote } from './choice';

/** Anything that asks the learner. */
export type Check = ChoiceCheck;

/** The forms of all kinds of check, by kind. */
export const CHECK_KINDS = { choice };
