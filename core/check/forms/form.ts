import type { Quote } from '../../checks/forms';
import type { Claim } from '../../knowledge';
import type { LanguagePack } from '../../language/pack';
import type { QuestionPool } from '../pool';
import { anyOf } from '../../language/phrases';

/** A question before it has ids: what one form of question makes of a claim. */
export interface Candidate {
  form: 'condition' | 'term' | 'number';
  claim: Claim;
  stem: string;
  right: string;
  /** Where the right answer is a figure: options are ordered by size instead of by chance. */
  value?: number;
  wrong: {
    text: string;
    value?: number;
    code: 'other-case' | 'other-term' | 'other-figure' | 'not-said';
    quotes: Quote[];
  }[];
  level: 'recall' | 'apply' | 'decide';
  difficulty: number;
  /** 0 to 1: how sure we are that it is a good question. */
  score: number;
  reasons: string[];
}

/**
 * What questions are made out of: the claims of the lesson, and those of the whole course to take wrong answers from.
 */
export interface QuestionMatter {
  pack: LanguagePack;
  lesson: readonly Claim[];
  course: QuestionPool;
}

/** One way to ask. */
export interface QuestionForm {
  /** Whether a claim is of the kind it asks about. */
  asks(claim: Claim): boolean;
  /** The question on such a claim; undefined where none would be good. */
  ask(claim: Claim, matter: QuestionMatter): Candidate | undefined;
}

/** The words a claim stands on, as a quote. */
export function quoteOf(claim: Claim): Quote {
  return { text: claim.text, ...(claim.ranges.length === 1 && { passage: claim.ranges[0] }) };
}

const BEFORE_THAT = anyOf`
  do | find | found | make | makes | if | when | case | after | before | with | of | for | to | like | than
`;
const AFTER_THAT = anyOf`
  the | an? | you | your | it | they | there | no | all | any | every | each | some
  [\p{L}-]+s?\s+(?:is|are|was|were|has|have|had|can|will|must|should|does|do)
`;
const POINTS_BY_THAT = new RegExp(String.raw`\b${BEFORE_THAT}\s+that\b(?!\s+${AFTER_THAT}\b)`, 'iu');
const POINTING_WORDS = anyOf`
  this | these | those | such | the (?:above|following|former|latter|same) | above | below | aforementioned | here
  there(?! (?:is|are|was|were|has|have|will|may|must|should|can)\b) | they | them | their | he | she | his | her
  it | its | do so | doing so | then | otherwise | as follows | see | section | chapter | appendix
`;
const POINTS = new RegExp(String.raw`\b${POINTING_WORDS}\b`, 'i');

/** Something outside the sentence that a reader of the question alone could not know. */
export function pointsOut(text: string): boolean {
  return POINTS_BY_THAT.test(text) || POINTS.test(text);
}

/** Upper-cases the first letter of an option. */
export function asOption(text: string): string {
  const bare = text.trim().replace(/[\s.;:,]+$/, '');
  return bare.charAt(0).toUpperCase() + bare.slice(1);
}
