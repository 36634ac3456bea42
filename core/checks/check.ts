import { ID_PATTERN } from '../document/id';
import { passageRange, type PassageRange } from '../document/rich-text';
import { list, number, object, oneOf, string, type Shape } from '../document/shape';

/** A passage quoted in feedback: its words, kept even when the source goes, and where they stand. */
export interface Quote {
  text: string;
  passage?: PassageRange;
}

/** What every check has, whatever it asks for. */
export interface CheckFrame {
  id: string;
  /** The lesson it belongs to; it is an offer until a block of that lesson (or another) places it. */
  lessonId: string;
  /** What is asked, or said to be judged. */
  stem: string;
  evidence: PassageRange[];
  objectiveId?: string;
  level: 'recall' | 'apply' | 'decide';
  /** Expected share of learners who miss it, 0 to 1. */
  difficulty: number;
  /** How the engine came to it; absent on hand-written ones. */
  drafted?: { form: AskingForm; score: number; reasons: string[] };
}

/**
 * Forms of asking: what to do in a case, which term, which figure, what a row says or whose it is, what comes next,
 * what must not be done, whether something is allowed.
 */
export const ASKING_FORMS = ['condition', 'term', 'number', 'lookup', 'step', 'prohibition', 'permission'] as const;
export type AskingForm = (typeof ASKING_FORMS)[number];

export const idShape = string({ pattern: ID_PATTERN });
export const quoteShape = object({ text: string({ min: 1 }) }, { passage: passageRange });

/** Fields of a node: what must be there and what may. */
export interface Fields {
  required: Record<string, Shape>;
  optional?: Record<string, Shape>;
}

/** The form of the frame; a kind adds its own fields. */
export const FRAME: Required<Fields> = {
  required: {
    id: idShape,
    lessonId: idShape,
    stem: string({ min: 1 }),
    evidence: list(passageRange),
    level: oneOf('recall', 'apply', 'decide'),
    difficulty: number({ min: 0, max: 1 }),
  },
  optional: {
    objectiveId: idShape,
    drafted: object({
      form: oneOf(...ASKING_FORMS),
      score: number({ min: 0, max: 1 }),
      reasons: list(string()),
    }),
  },
};
