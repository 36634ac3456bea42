import { ID_PATTERN } from '../../id';
import { passageRange, type PassageRange } from '../../rich-text';
import { list, number, object, oneOf, string } from '../../shape';

/** A passage quoted in feedback: its words, kept even when the source goes, and where they stand. */
export interface Quote {
  text: string;
  passage?: PassageRange;
}

export interface Option {
  id: string;
  text: string;
  feedback: {
    /** `right`, or why it is not: the rule is for another case, the term means something else, the figure is another's. */
    code: 'right' | 'other-case' | 'other-term' | 'other-figure' | 'not-said' | 'own';
    /** What the source says to it. */
    quotes: Quote[];
    /** The author's own words, instead of the standard ones. */
    text?: string;
  };
}

/** A question with one right answer. */
export interface ChoiceCheck {
  id: string;
  kind: 'choice';
  /** The lesson it belongs to; it is an offer until a block of that lesson (or another) places it. */
  lessonId: string;
  stem: string;
  options: Option[];
  /** Id of the right option. */
  key: string;
  evidence: PassageRange[];
  objectiveId?: string;
  level: 'recall' | 'apply' | 'decide';
  /** Expected share of learners who miss it, 0 to 1. */
  difficulty: number;
  /** How the engine came to it; absent on hand-written ones. */
  drafted?: { form: 'condition' | 'term' | 'number'; score: number; reasons: string[] };
}

const id = string({ pattern: ID_PATTERN });
const quote = object({ text: string({ min: 1 }) }, { passage: passageRange });
const option = object({
  id,
  text: string({ min: 1 }),
  feedback: object({ code: oneOf('right', 'other-case', 'other-term', 'other-figure', 'not-said', 'own'), quotes: list(quote) }, { text: string() }),
});

export const choice = {
  required: {
    id, lessonId: id, stem: string({ min: 1 }), options: list(option, { min: 2 }), key: id, evidence: list(passageRange),
    level: oneOf('recall', 'apply', 'decide'), difficulty: number({ min: 0, max: 1 }),
  },
  optional: {
    objectiveId: id,
    drafted: object({ form: oneOf('condition', 'term', 'number'), score: number({ min: 0, max: 1 }), reasons: list(string()) }),
  },
};
