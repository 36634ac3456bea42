import { ID_PATTERN } from '../document/id';
import { pictureRef, type PictureRef } from '../document/media';
import { passageRange, type PassageRange } from '../document/rich-text';
import { boolean, list, number, object, oneOf, string, type Shape } from '../document/shape';

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
  level: Level;
  /** Expected share of learners who miss it, 0 to 1. */
  difficulty: number;
  /** How the engine came to it; absent on hand-written ones. */
  drafted?: { form: AskingForm; score: number; reasons: string[] };
  /** What it weighs among the others of its lesson, quiz and course; 1 where nothing is said. */
  points?: number;
  /** Its lesson is done only when it is answered, whatever the rules of the course ask for. */
  required?: boolean;
  /** What its author says to a right and to any other answer, besides what is said to the answer itself. */
  said?: { right?: string; wrong?: string };
  /** A picture under what is asked. */
  picture?: CheckPicture;
  /** By which its author finds it again, among all their questions. */
  tags?: string[];
  /** Its author does not want it: kept, so that it is neither lost nor offered again. */
  refused?: { because: Refusal; words?: string };
}

/**
 * Why a question is refused: what it is about does not matter (`aside`), it can be answered without knowing (`given`),
 * its key or an answer is wrong (`wrong`), it is too easy (`easy`), it is asked already (`twice`), its form of asking
 * is not wanted in this course (`form`), or what its author says (`other`).
 */
export const REFUSALS = ['aside', 'given', 'wrong', 'easy', 'twice', 'form', 'other'] as const;
export type Refusal = (typeof REFUSALS)[number];

/** What is asked of learners: to know something again, to apply it, to decide by it. */
export const LEVELS = ['recall', 'apply', 'decide'] as const;
export type Level = (typeof LEVELS)[number];

/** A picture of a check; `alt` says what it shows to who cannot see it. */
export interface CheckPicture {
  media: PictureRef;
  alt: string;
}

/** What is partly right counts by its parts, or for nothing. */
export const CREDITS = ['all', 'each'] as const;
export type Credit = (typeof CREDITS)[number];

/**
 * Forms of asking: what to do in a case, which term, which figure, what a row says or whose it is, what belongs
 * together, which band a figure falls into, what comes next, in which order, what must not be done, what is done and
 * what is not, whether something is allowed, whether this holds or that, what is answered to a question or trouble, of
 * which name something is said, what is to be done and handed in, what is decided in one case after another.
 */
export const ASKING_FORMS = [
  'condition',
  'term',
  'number',
  'lookup',
  'pairs',
  'band',
  'step',
  'sequence',
  'prohibition',
  'groups',
  'permission',
  'instead',
  'answer',
  'named',
  'practice',
  'decision',
] as const;
export type AskingForm = (typeof ASKING_FORMS)[number];

export const idShape = string({ pattern: ID_PATTERN });
export const quoteShape = object({ text: string({ min: 1 }) }, { passage: passageRange });

/** Fields of a node: what must be there and what may. */
export interface Fields {
  required: Record<string, Shape>;
  optional?: Record<string, Shape>;
}

/** A tag is as long as this at most. */
export const TAG_LONGEST = 60;

/** What a check may weigh. */
export const POINTS = { min: 0, max: 100 };
const words = string({ min: 1, max: 2000 });

export const pictureShape = object({ media: pictureRef, alt: string({ max: 1000 }) });

/** The form of the frame; a kind adds its own fields. */
export const FRAME: Required<Fields> = {
  required: {
    id: idShape,
    lessonId: idShape,
    stem: string({ min: 1 }),
    evidence: list(passageRange),
    level: oneOf(...LEVELS),
    difficulty: number({ min: 0, max: 1 }),
  },
  optional: {
    objectiveId: idShape,
    drafted: object({
      form: oneOf(...ASKING_FORMS),
      score: number({ min: 0, max: 1 }),
      reasons: list(string()),
    }),
    points: number(POINTS),
    required: boolean,
    said: object({}, { right: words, wrong: words }),
    picture: pictureShape,
    tags: list(string({ min: 1, max: TAG_LONGEST }), { min: 1 }),
    refused: object({ because: oneOf(...REFUSALS) }, { words: string({ min: 1, max: 500 }) }),
  },
};
